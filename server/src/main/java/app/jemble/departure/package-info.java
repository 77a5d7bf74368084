/**
 * What the outbox asks of others as a message leaves: what it says, whether it still may, where it
 * goes instead, and what follows when it is refused. Read {@link
 * app.jemble.departure.OutgoingTexts} first.
 *
 * <p>Tables: none.
 */
package app.jemble.departure;
