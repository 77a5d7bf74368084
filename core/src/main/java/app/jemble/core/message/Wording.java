package app.jemble.core.message;

/** What is said on one way, to all whom a cause writes to. */
public sealed interface Wording permits MailWording {}
