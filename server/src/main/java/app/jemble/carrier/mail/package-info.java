/**
 * Mail on its way out: how it is written (RFC 5322, RFC 2045) and handed to a mail server (RFC
 * 5321). Read {@link app.jemble.carrier.mail.MailConnection} first.
 *
 * <p>Tables: none.
 */
package app.jemble.carrier.mail;
