package app.jemble.conversation;

import app.jemble.core.message.PlainWords;
import app.jemble.core.message.SeenLetter;
import app.jemble.core.reach.Channel;
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

  /** One as its carrier kept it. */
  static SentLetter of(Channel channel, byte[] kept) {
    return switch (channel) {
      case TEXT -> ofWords("Text message", new String(kept, StandardCharsets.UTF_8));
      case APP -> ofWords("Notice to the app", KeptNotice.of(kept).words());
      case EMAIL, POST -> of(kept);
    };
  }

  /** One that is words alone. */
  private static SentLetter ofWords(String subject, String words) {
    return new SentLetter(subject, PlainWords.toHtml(words), words);
  }
}
