/**
 * What the house says of itself, on its screen. Read {@link
 * app.jemble.workspace.page.HouseController} first.
 *
 * <p>Tables: none.
 */
package app.jemble.workspace.page;
