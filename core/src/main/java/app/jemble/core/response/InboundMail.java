package app.jemble.core.response;

import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;

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

  /** What no text that a person reads holds, and no database keeps. */
  private static final Pattern CONTROLS =
      Pattern.compile("[\\x00-\\x08\\x0b\\x0c\\x0e-\\x1f\\x7f-\\x9f\\ufffe\\uffff]");

  public InboundMail {
    headers = readable(headers);
    original = readable(original);
    contentType = readable(contentType);
    deliveryStatus = readable(deliveryStatus);
    feedbackReport = readable(feedbackReport);
    text = readable(text);
    said = readable(said);
  }

  private static Map<String, List<String>> readable(Map<String, List<String>> headers) {
    Map<String, List<String>> readable = new HashMap<>();
    headers.forEach(
        (name, values) -> readable.put(name, values.stream().map(InboundMail::readable).toList()));
    return Map.copyOf(readable);
  }

  /** Without control characters and halves of characters; a null stays one. */
  private static String readable(String text) {
    if (text == null) {
      return null;
    }
    String whole = new String(text.getBytes(StandardCharsets.UTF_8), StandardCharsets.UTF_8);
    return CONTROLS.matcher(whole).replaceAll(" ");
  }

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
