package app.jemble.inbound;

import app.jemble.core.response.ResponseKind;
import app.jemble.response.Answered;
import app.jemble.response.AnsweredMessages;
import app.jemble.response.ResponseService;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes in what people write by text, beside what they write by mail. Once each. */
@Service
public class InboundTexts {

  /**
   * What somebody wrote.
   *
   * @param identity by which it is known
   * @param sender their number
   * @param stops whether it asks for no more texts
   */
  public record Text(String identity, String sender, String words, Instant at, boolean stops) {}

  private final InboundMapper mapper;
  private final ResponseService responses;
  private final AnsweredMessages messages;

  InboundTexts(InboundMapper mapper, ResponseService responses, AnsweredMessages messages) {
    this.mapper = mapper;
    this.responses = responses;
    this.messages = messages;
  }

  /** It answers the last text that was sent to its number; else a colleague says whose it is. */
  @Transactional
  public void receive(Text text) {
    Long id =
        mapper.addText(
            new InboundMapper.NewMail(
                text.identity(),
                text.at(),
                text.sender(),
                "",
                text.words(),
                "Reply",
                "",
                "",
                written(text)));
    if (id == null) {
      return;
    }
    Answered message = messages.lastToNumber(text.sender());
    if (message != null) {
      String words = snippet(text.words());
      ResponseKind kind = text.stops() ? ResponseKind.LEFT : ResponseKind.REPLIED;
      responses.note(message, kind, words, id);
    }
    if (message != null || text.stops()) {
      mapper.place(id, text.at(), null);
    }
  }

  private static String snippet(String words) {
    return words.length() <= InboundService.SNIPPET
        ? words
        : words.substring(
            0, words.offsetByCodePoints(0, words.codePointCount(0, InboundService.SNIPPET)));
  }

  /** As a mail would be, so that it is given out in one form (RFC 5322). */
  private static byte[] written(Text text) {
    String head =
        "From: <"
            + text.sender().replaceAll("[^+A-Za-z0-9]", "")
            + "@text.invalid>\r\nDate: "
            + DateTimeFormatter.RFC_1123_DATE_TIME.format(text.at().atOffset(ZoneOffset.UTC))
            + "\r\nMIME-Version: 1.0\r\nContent-Type: text/plain; charset=UTF-8"
            + "\r\nContent-Transfer-Encoding: 8bit\r\n\r\n";
    String body = String.join("\r\n", text.words().lines().toList()) + "\r\n";
    return (head + body).getBytes(StandardCharsets.UTF_8);
  }
}
