/**
 * What the house tells its colleagues by mail, each in their language. Read {@link
 * app.jemble.telling.ColleagueMails} first.
 *
 * <p>Tables: none.
 */
package app.jemble.telling;
