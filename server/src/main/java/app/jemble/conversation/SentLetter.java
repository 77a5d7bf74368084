package app.jemble.conversation;

import app.jemble.core.message.PlainWords;
import app.jemble.core.message.SeenLetter;
import app.jemble.inbound.MailParts;
import java.nio.charset.StandardCharsets;
import java.util.Optional;

/**
 * A message that has left, to be looked at.
 *
 * @param html as it looked, with nothing alive in it
 * @param text its text, for readers without HTML
 */
record SentLetter(String subject, String html, String text) {

  static SentLetter of(byte[] mime) {
    MailParts parts = MailParts.of(mime);
    String seen = SeenLetter.of(parts.html(), id -> Optional.ofNullable(parts.pictures().get(id)));
    return new SentLetter(parts.subject(), seen, parts.text());
  }

  /** One that is words alone. */
  static SentLetter ofText(byte[] octets) {
    String words = new String(octets, StandardCharsets.UTF_8);
    return new SentLetter("Text message", PlainWords.toHtml(words), words);
  }
}
