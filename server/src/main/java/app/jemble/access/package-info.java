/**
 * Who may do what in the server: the right that each operation names, and the one that asks core.
 * What is private is loaded by each room's one loader, which asks here. Read {@link
 * app.jemble.access.AccessService} first.
 *
 * <p>Tables: none.
 */
package app.jemble.access;
