/**
 * Letters on paper: printed by the run, posted, and then sent. Read {@link
 * app.jemble.print.letter.LetterRuns} first.
 *
 * <p>Tables: none.
 */
package app.jemble.print.letter;
