package app.jemble.core.house;

/** The services outside that a house uses. */
public enum ServiceKind {
  /** what mails leave through (RFC 5321) */
  MAIL_SERVER,
  /** where replies and returns arrive (RFC 9051) */
  MAILBOX,
  /** what texts leave through (SMPP v3.4) */
  TEXT_SERVICE
}
