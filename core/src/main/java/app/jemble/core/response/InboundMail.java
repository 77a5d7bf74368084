package app.jemble.core.response;

import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * A mail that arrived, taken apart as far as sorting needs.
 *
 * @param headers header values by lower-case name, in order
 * @param contentType the whole type, lower case, with parameters
 * @param deliveryStatus the text of a message/delivery-status part, or null
 * @param feedbackReport the text of a message/feedback-report part, or null
 * @param original the headers of the mail that came back, by lower-case name; empty when none
 * @param text the plain text a person would read
 * @param said all its words, part by part, with what it quotes or brings back as text
 */
public record InboundMail(
    Map<String, List<String>> headers,
    String contentType,
    String deliveryStatus,
    String feedbackReport,
    Map<String, List<String>> original,
    String text,
    String said) {

  /** The first value of a header, or an empty text. */
  public String header(String name) {
    return first(headers, name);
  }

  String originalHeader(String name) {
    return first(original, name);
  }

  private static String first(Map<String, List<String>> headers, String name) {
    List<String> values = headers.getOrDefault(name.toLowerCase(Locale.ROOT), List.of());
    return values.isEmpty() ? "" : values.get(0).strip();
  }
}
