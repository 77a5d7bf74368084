/**
 * What a browser may run of the screens. Read {@link app.jemble.browser.PageScripts} first.
 *
 * <p>Tables: none.
 */
package app.jemble.browser;
