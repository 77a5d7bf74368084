/**
 * The table of roles on its screen. Read {@link app.jemble.role.page.RoleController} first.
 *
 * <p>Tables: none.
 */
package app.jemble.role.page;
