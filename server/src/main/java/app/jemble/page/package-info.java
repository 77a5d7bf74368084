/**
 * Pages for those who do not sign in, such as readers: made by the server, without scripts, in the
 * house's look. Read {@link app.jemble.page.PublicPages} first.
 *
 * <p>Tables: none.
 */
package app.jemble.page;
