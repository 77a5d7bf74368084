/**
 * What is set from outside, by environment; docs/operations.md names it all. Read {@link
 * app.jemble.settings.JembleSettings} first.
 *
 * <p>Tables: none.
 */
package app.jemble.settings;
