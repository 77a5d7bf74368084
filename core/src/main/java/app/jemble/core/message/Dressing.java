package app.jemble.core.message;

import app.jemble.core.merge.Escaping;
import app.jemble.core.merge.Place;
import app.jemble.core.record.FieldValue;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/**
 * Makes a whole HTML document of a body's template text, once for all people: letterhead, inline
 * looks, the leaving line and the place of the open mark. What comes out is template text again.
 */
final class Dressing {

  /** The colours of a message without a letterhead. */
  private static final String PLAIN_ACCENT = "#1f5f99";

  private static final String PAPER = "#ffffff";
  private static final String QUIET = "#66675c";

  private final Optional<Letterhead> head;
  private final List<String> links = new ArrayList<>();

  /**
   * @param head the letterhead; none for a message that looks as if written by hand
   */
  Dressing(Optional<Letterhead> head) {
    this.head = head;
  }

  /** Where the numbered links lead, as template text, in order. */
  List<String> links() {
    return links;
  }

  /** The body with its looks written into its elements, and its links numbered. */
  String body(String html) {
    Document document = Jsoup.parseBodyFragment(html);
    document.outputSettings().prettyPrint(false);
    for (Element element : document.body().getAllElements()) {
      dress(element);
    }
    return document.body().html();
  }

  private void dress(Element element) {
    String usual =
        element.normalName().equals("a") ? link(element) : BodyStyles.usual(element.normalName());
    if (!usual.isEmpty()) {
      String own = element.attr("style");
      element.attr("style", own.isEmpty() ? usual : usual + ";" + own);
    }
  }

  private String link(Element link) {
    boolean button = link.hasClass("button");
    link.removeAttr("class");
    String address = link.attr("href");
    if (address.isEmpty()) {
      return "";
    }
    if (MessageFields.isNumbered(address)) {
      link.attr("href", "{{" + MessageFields.link(number(address)) + "}}");
    }
    String accent = head.map(Letterhead::accent).orElse(PLAIN_ACCENT);
    return button
        ? BodyStyles.button(accent, head.map(Letterhead::paper).orElse(PAPER))
        : BodyStyles.link(accent);
  }

  private int number(String address) {
    int known = links.indexOf(address);
    if (known < 0) {
      known = links.size();
      links.add(address);
    }
    return known;
  }

  /**
   * The whole document.
   *
   * @param body from {@link #body}
   * @param foot the lines of the foot, as template text
   */
  String document(String body, List<String> foot, Locale language) {
    StringBuilder out = new StringBuilder(body.length() + 2000);
    out.append("<!DOCTYPE html>\n<html lang=\"").append(escaped(language.toLanguageTag()));
    out.append("\"><head><meta charset=\"utf-8\">");
    out.append("<meta name=\"viewport\" content=\"width=device-width, initial-scale=1\">");
    head.ifPresent(h -> out.append(dark(h)));
    out.append("</head>\n");
    if (head.isPresent()) {
      onPaper(out, head.get(), body, foot);
    } else {
      plain(out, body, foot);
    }
    out.append("{{#").append(MessageFields.MARK).append("}}<img src=\"{{");
    out.append(MessageFields.MARK);
    out.append("}}\" width=\"1\" height=\"1\" alt=\"\" style=\"display:block\">{{/");
    return out.append(MessageFields.MARK).append("}}\n</body></html>\n").toString();
  }

  private static void plain(StringBuilder out, String body, List<String> foot) {
    out.append("<body style=\"margin:8px;font-family:Arial,sans-serif;font-size:15px;");
    out.append("line-height:1.5\">\n").append(body).append('\n');
    if (!foot.isEmpty()) {
      out.append("<p style=\"color:").append(QUIET).append(";font-size:12px\">");
      out.append(String.join("<br>", foot)).append("</p>\n");
    }
  }

  private void onPaper(StringBuilder out, Letterhead h, String body, List<String> foot) {
    out.append("<body class=\"page\" style=\"margin:0;padding:0;background-color:");
    out.append(h.page()).append("\">\n");
    out.append("<table role=\"presentation\" width=\"100%\" cellpadding=\"0\" cellspacing=\"0\"");
    out.append(" style=\"border-collapse:collapse\"><tr><td align=\"center\">\n");
    out.append("<table role=\"presentation\" class=\"paper\" width=\"100%\" cellpadding=\"0\"");
    out.append(" cellspacing=\"0\" style=\"border-collapse:collapse;max-width:600px;");
    out.append("background-color:").append(h.paper()).append(";color:").append(h.ink());
    out.append(";font-family:").append(h.typeface().family());
    out.append(";font-size:16px;line-height:1.5;text-align:left\">\n");
    band(out, h);
    out.append("<tr><td style=\"padding:20px\">\n").append(body).append("\n</td></tr>\n");
    out.append("<tr><td style=\"padding:12px 20px;border-top:1px solid #ded8c9;color:");
    out.append(QUIET).append(";font-family:Arial,sans-serif;font-size:12px\">\n");
    out.append(body(h.footer()));
    out.append(String.join("<br>", foot)).append("</td></tr>\n</table>\n</td></tr></table>\n");
  }

  private void band(StringBuilder out, Letterhead h) {
    if (h.header().isBlank() && h.logo().isEmpty()) {
      return;
    }
    out.append("<tr><td style=\"background-color:").append(h.band()).append(";color:");
    out.append(h.bandInk()).append(";padding:12px 20px;font-family:Arial,sans-serif;");
    out.append("font-weight:bold\">");
    h.logo()
        .ifPresent(
            logo ->
                out.append("<img src=\"")
                    .append(new FieldValue.Picture(logo).path())
                    .append("\" alt=\"{{workspace.name}}\" height=\"40\"")
                    .append(" style=\"display:block;border:0\">"));
    out.append(words(h.header())).append("</td></tr>\n");
  }

  /** The header's words keep the band's own colour and stand close. */
  private static String words(String html) {
    return html.replace("<p>", "<p style=\"margin:0\">");
  }

  /** Readers that know dark rooms get dark paper; the band keeps its colours. */
  private static String dark(Letterhead h) {
    return "<meta name=\"color-scheme\" content=\"light dark\">"
        + "<style>@media (prefers-color-scheme: dark){"
        + ".page{background-color:#15171a!important}"
        + ".paper{background-color:#1f2226!important;color:#e8e6df!important}"
        + ".paper a{color:"
        + lighter(h.accent())
        + "!important}.paper a[style*=inline-block]{color:#15171a!important;background-color:"
        + lighter(h.accent())
        + "!important}}</style>";
  }

  /** Half way to white, so that a colour made for white paper can be read on dark. */
  private static String lighter(String colour) {
    StringBuilder out = new StringBuilder("#");
    for (int at = 1; at < 7; at += 2) {
      int part = Integer.parseInt(colour.substring(at, at + 2), 16);
      out.append(String.format(Locale.ROOT, "%02x", (part + 255) / 2));
    }
    return out.toString();
  }

  private static String escaped(String value) {
    StringBuilder out = new StringBuilder();
    Escaping.append(out, value, Place.HTML_ATTRIBUTE);
    return out.toString();
  }
}
