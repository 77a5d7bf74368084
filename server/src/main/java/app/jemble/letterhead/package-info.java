/**
 * Letterheads: what stands around a message. Read {@link app.jemble.letterhead.LetterheadService}
 * first.
 *
 * <p>Tables: letterhead.
 */
package app.jemble.letterhead;
