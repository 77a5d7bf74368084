/**
 * What the house keeps that nobody may read who has the database alone. Read {@link
 * app.jemble.secret.HouseSecrets} first.
 *
 * <p>Tables: none.
 */
package app.jemble.secret;
