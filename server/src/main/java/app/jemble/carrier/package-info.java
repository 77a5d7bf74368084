/**
 * What takes messages out of the house, as the outbox sees it: a carrier a channel, its lines, and
 * how a hand-over ended. Read {@link app.jemble.carrier.Carrier} first.
 *
 * <p>Tables: none.
 */
package app.jemble.carrier;
