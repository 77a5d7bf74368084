package app.jemble.core.message;

import app.jemble.core.record.FieldValue;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
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

  /** A text that is put in stands between paragraphs, since it holds paragraphs of its own. */
  private static final Pattern PUT_IN_ALONE =
      Pattern.compile("<p(?: [^>]*)?>\\s*(\\{\\{\\s*&gt;[^{}]*}})\\s*</p>");

  private static final Pattern ON_RECORD =
      Pattern.compile(Pattern.quote(FieldValue.Picture.PATH) + "[A-Za-z0-9_-]+");

  private static final Pattern PASSAGE = Pattern.compile("\\s*+\\{\\{\\s*+[#^/!>]");

  private static final List<String> STYLED =
      List.of("p", "h1", "h2", "h3", "span", "td", "th", "table", "a", "img");

  private static final Safelist ALLOWED = new BodySafelist();

  private SafeHtml() {}

  /** The allowed part of an HTML fragment; merge fields in text and addresses stay. */
  public static String clean(String html) {
    Document dirty = Jsoup.parseBodyFragment(html);
    Document clean = new Cleaner(ALLOWED).clean(dirty);
    clean.outputSettings().prettyPrint(false);
    for (Element styled : clean.select("[style]")) {
      String kept = BodyStyles.clean(styled.attr("style"));
      if (kept.isEmpty()) {
        styled.removeAttr("style");
      } else {
        styled.attr("style", kept);
      }
    }
    return PUT_IN_ALONE.matcher(clean.body().html()).replaceAll("$1");
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
          "sub",
          "sup",
          "table",
          "tbody",
          "td",
          "th",
          "thead",
          "tr",
          "u",
          "ul");
      addAttributes("a", "href", "title", "class");
      addAttributes("img", "src", "alt", "width", "height");
      addAttributes("td", "colspan", "rowspan");
      addAttributes("th", "colspan", "rowspan");
      addAttributes("ol", "start");
      for (String styled : STYLED) {
        addAttributes(styled, "style");
      }
    }

    @Override
    public boolean isSafeAttribute(String tagName, Element element, Attribute attribute) {
      if (!super.isSafeAttribute(tagName, element, attribute)) {
        return false;
      }
      return switch (attribute.getKey()) {
        case "href" -> isSafeAddress(attribute.getValue());
        case "src" -> isSafePicture(attribute.getValue()) || isOnRecord(attribute.getValue());
        case "class" -> attribute.getValue().equals("button");
        default -> true;
      };
    }
  }

  private static boolean isOnRecord(String address) {
    return ON_RECORD.matcher(address).matches();
  }

  /** A passage could make any address of what stands in it; a link's is asked again, later. */
  private static boolean isSafePicture(String address) {
    return isSafeAddress(address) && !PASSAGE.matcher(address).lookingAt();
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
