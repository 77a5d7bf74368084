/**
 * Connections to the database, and on whose behalf they are used. Read {@link
 * app.jemble.pool.OnBehalf} first; what a colleague with people of their own finds is written in
 * db/migration/afterMigrateApplied.sql.
 *
 * <p>Tables: none.
 */
package app.jemble.pool;
