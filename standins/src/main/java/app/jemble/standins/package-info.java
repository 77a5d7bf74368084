/**
 * The post office: the pretend outside world. A mail host (SMTP and IMAP) and pretend readers who
 * act on what they get by protocol alone: they fetch marks, follow links, reply, are away, do not
 * exist, leave. Start with {@link app.jemble.standins.PostOffice}.
 */
package app.jemble.standins;
