/**
 * What a browser may run of the screens, and what their changes must carry. Read {@link
 * app.jemble.browser.PageScripts} first.
 *
 * <p>Tables: none.
 */
package app.jemble.browser;
