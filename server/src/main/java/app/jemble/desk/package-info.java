/**
 * The first screen: what wants a colleague today. Read {@link app.jemble.desk.DeskController}
 * first.
 *
 * <p>Tables: none.
 */
package app.jemble.desk;
