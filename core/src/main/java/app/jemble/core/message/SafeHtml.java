package app.jemble.core.message;

import java.util.Locale;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Attribute;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.safety.Cleaner;
import org.jsoup.safety.Safelist;

/**
 * The HTML a message body may hold. Everything else (scripts, styles, handlers, forms, comments,
 * unsafe addresses) is dropped; the words stay.
 */
public final class SafeHtml {

  private static final Safelist ALLOWED = new BodySafelist();

  private SafeHtml() {}

  /** The allowed part of an HTML fragment; merge fields in text and addresses stay. */
  public static String clean(String html) {
    Document dirty = Jsoup.parseBodyFragment(html);
    Document clean = new Cleaner(ALLOWED).clean(dirty);
    clean.outputSettings().prettyPrint(false);
    return clean.body().html();
  }

  /** Addresses may begin with a merge field, which jsoup's own list of protocols cannot say. */
  private static final class BodySafelist extends Safelist {
    BodySafelist() {
      addTags(
          "a",
          "b",
          "blockquote",
          "br",
          "code",
          "div",
          "em",
          "h1",
          "h2",
          "h3",
          "hr",
          "i",
          "img",
          "li",
          "ol",
          "p",
          "pre",
          "s",
          "span",
          "strong",
          "table",
          "tbody",
          "td",
          "th",
          "thead",
          "tr",
          "u",
          "ul");
      addAttributes("a", "href", "title");
      addAttributes("img", "src", "alt", "width", "height");
      addAttributes("td", "colspan", "rowspan");
      addAttributes("th", "colspan", "rowspan");
    }

    @Override
    public boolean isSafeAttribute(String tagName, Element element, Attribute attribute) {
      if (!super.isSafeAttribute(tagName, element, attribute)) {
        return false;
      }
      String name = attribute.getKey();
      return !(name.equals("href") || name.equals("src")) || isSafeAddress(attribute.getValue());
    }
  }

  static boolean isSafeAddress(String address) {
    String start = address.strip().toLowerCase(Locale.ROOT);
    return start.startsWith("http://")
        || start.startsWith("https://")
        || start.startsWith("mailto:")
        || start.startsWith("tel:")
        || start.startsWith("{{");
  }
}
