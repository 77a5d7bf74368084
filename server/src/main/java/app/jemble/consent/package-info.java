/**
 * Consent: which topics people have left, and which ways they have closed. Read {@link
 * app.jemble.consent.Consents} first.
 *
 * <p>Tables: topic_left, way_closed.
 */
package app.jemble.consent;
