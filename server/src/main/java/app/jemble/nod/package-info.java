/**
 * Releases that wait for the nod of a second colleague. Read {@link app.jemble.nod.Nods} first.
 *
 * <p>Tables: nod.
 */
package app.jemble.nod;
