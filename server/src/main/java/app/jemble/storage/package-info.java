/**
 * How values that JDBC does not know are stored, and SQL of which nothing is a text that somebody
 * wrote. Read {@link app.jemble.storage.Sql} first.
 *
 * <p>Tables: scheduled_tasks.
 */
package app.jemble.storage;
