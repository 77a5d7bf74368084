/**
 * The screen on which services outside are set. Read {@link
 * app.jemble.outside.page.ServicesController} first.
 *
 * <p>Tables: none.
 */
package app.jemble.outside.page;
