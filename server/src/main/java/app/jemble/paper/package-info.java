/**
 * What paper is set in, and letters as PDF. Read {@link app.jemble.paper.LettersPdf} first.
 *
 * <p>Tables: none.
 */
package app.jemble.paper;
