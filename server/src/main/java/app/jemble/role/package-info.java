/**
 * The house's roles: which rights each has and how far they go, as whoever looks after colleagues
 * lays them down. What they mean is decided in core. Read {@link app.jemble.role.Roles} first.
 *
 * <p>Tables: role.
 */
package app.jemble.role;
