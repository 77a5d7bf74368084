/**
 * The open mark and the links of messages: fetches are noted at once and judged in a moment. Read
 * {@link app.jemble.mark.MarkIntake} first.
 *
 * <p>Tables: none.
 */
package app.jemble.mark;
