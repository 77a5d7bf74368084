/**
 * Mailings: what is written, its files, its state, and to whom it is open. Read {@link
 * app.jemble.mailing.OpenMailings} first.
 *
 * <p>Tables: mailing, mailing_file.
 */
package app.jemble.mailing;
