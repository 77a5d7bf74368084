package app.jemble.core.message;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;

/**
 * The looks a body may have: what a writer chose, kept as far as every mail reader shows it, and
 * what each kind of element gets without a choice, written into the element itself, since many mail
 * readers drop style sheets (common practice).
 */
final class BodyStyles {

  private static final Map<String, Pattern> ALLOWED =
      Map.of(
          "color", Pattern.compile("#[0-9a-f]{3}([0-9a-f]{3})?|rgb\\([0-9, ]{5,13}\\)"),
          "background-color", Pattern.compile("#[0-9a-f]{3}([0-9a-f]{3})?|rgb\\([0-9, ]{5,13}\\)"),
          "font-size", Pattern.compile("([89]|[1-6][0-9]|7[0-2])px"),
          "text-align", Pattern.compile("left|center|right|justify"),
          "width", Pattern.compile("[0-9]{1,4}px|[0-9]{1,3}%"));

  private static final String LINE = "#c9c3b4";

  private static final Map<String, String> USUAL =
      Map.ofEntries(
          Map.entry("p", "margin:0 0 1em"),
          Map.entry("h1", "margin:0 0 .6em;font-size:26px;line-height:1.25"),
          Map.entry("h2", "margin:0 0 .6em;font-size:21px;line-height:1.3"),
          Map.entry("h3", "margin:0 0 .6em;font-size:18px;line-height:1.3"),
          Map.entry("ul", "margin:0 0 1em;padding-left:1.5em"),
          Map.entry("ol", "margin:0 0 1em;padding-left:1.5em"),
          Map.entry("blockquote", "margin:0 0 1em;padding-left:12px;border-left:3px solid " + LINE),
          Map.entry("table", "border-collapse:collapse;margin:0 0 1em"),
          Map.entry("td", "border:1px solid " + LINE + ";padding:6px 10px;vertical-align:top"),
          Map.entry(
              "th",
              "border:1px solid " + LINE + ";padding:6px 10px;vertical-align:top;text-align:left"),
          Map.entry("hr", "border:0;border-top:1px solid " + LINE + ";margin:20px 0"),
          Map.entry("img", "max-width:100%;height:auto;border:0"));

  private BodyStyles() {}

  /** The allowed part of a style attribute, in the order given. */
  static String clean(String style) {
    List<String> kept = new ArrayList<>();
    for (String declaration : style.toLowerCase(Locale.ROOT).split(";")) {
      int colon = declaration.indexOf(':');
      if (colon > 0) {
        String name = declaration.substring(0, colon).strip();
        String value = declaration.substring(colon + 1).strip();
        Pattern allowed = ALLOWED.get(name);
        if (allowed != null && allowed.matcher(value).matches()) {
          kept.add(name + ": " + value);
        }
      }
    }
    return String.join("; ", kept);
  }

  /** What an element of that name looks like without a choice; empty when nothing is said. */
  static String usual(String tag) {
    return USUAL.getOrDefault(tag, "");
  }

  static String link(String accent) {
    return "color:" + accent;
  }

  /** A link that looks like a button: shown as one where padding is known, else as a bold link. */
  static String button(String accent, String ink) {
    return "display:inline-block;background-color:"
        + accent
        + ";color:"
        + ink
        + ";padding:10px 18px;border-radius:6px;text-decoration:none;font-weight:bold";
  }
}
