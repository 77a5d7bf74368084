/**
 * Mailings: which there are, whether one can still be changed, and the files that travel with its
 * messages. Read {@link app.jemble.mailing.MailingService} first.
 *
 * <p>Tables: mailing_file.
 */
package app.jemble.mailing;
