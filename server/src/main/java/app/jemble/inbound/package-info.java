/**
 * Mail that comes in: fetched, taken apart, sorted, and placed by hand where software cannot. Read
 * {@link app.jemble.inbound.InboundService} first.
 *
 * <p>Tables: inbound_mail, mailbox, mail_trial.
 */
package app.jemble.inbound;
