/**
 * Messages on their way: claimed, guarded, handed over once, and told how that ended. It knows no
 * mailing and no people. Read {@link app.jemble.outbox.OutboxWorker} first.
 *
 * <p>Tables: message, handover, handed_over, sent_copies, carrier_state.
 */
package app.jemble.outbox;
