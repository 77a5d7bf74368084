package app.jemble.core.merge;

/** Where a value stands, and so how it is escaped. There is no unescaped form. */
public enum Place {
  /** between HTML tags */
  HTML_TEXT,
  /** inside a quoted attribute of an HTML tag */
  HTML_ATTRIBUTE,
  /** at the very start of a link's or picture's address: the value decides the address */
  URL_START,
  /** later inside a link's or picture's address */
  URL_PART,
  /** at the very start of an address that stands by itself, outside HTML */
  BARE_ADDRESS_START,
  /** in a mail header such as the subject */
  HEADER,
  /** in plain text */
  PLAIN_TEXT
}
