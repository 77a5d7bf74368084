/**
 * The one clock of the house, which in a demo may run faster. Read {@link
 * app.jemble.clock.TheClock} first.
 *
 * <p>Tables: none.
 */
package app.jemble.clock;
