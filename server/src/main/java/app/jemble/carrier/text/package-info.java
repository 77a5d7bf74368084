/**
 * Text messages to and from a message centre (SMPP v3.4). Read {@link
 * app.jemble.carrier.text.TextCarrier} first.
 *
 * <p>Tables: none.
 */
package app.jemble.carrier.text;
