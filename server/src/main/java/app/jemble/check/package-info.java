/**
 * The look at everyone before release: each message as it would leave, and what is odd about it.
 * Read {@link app.jemble.check.CheckService} first.
 *
 * <p>Tables: none.
 */
package app.jemble.check;
