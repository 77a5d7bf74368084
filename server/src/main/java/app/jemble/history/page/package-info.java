/**
 * The history as an administrator reads it: with what was changed about people. Read {@link
 * app.jemble.history.page.HistoryController} first.
 *
 * <p>Tables: none.
 */
package app.jemble.history.page;
