package app.jemble.core.house;

/** What of people's data can be kept for so many months and not longer. */
public enum Kept {
  /** messages as they were sent */
  COPIES,
  /** what was noted with responses: with which program, why a mail came back */
  RESPONSES,
  /** mails and texts that came */
  MAILS,
  /** people who were archived, and all that is held of them */
  ARCHIVED
}
