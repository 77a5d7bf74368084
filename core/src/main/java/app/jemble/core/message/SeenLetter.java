package app.jemble.core.message;

import java.util.Optional;
import java.util.function.Function;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Attribute;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/**
 * A letter that has left, as it looked, to be looked at again: nothing in it runs, no mark is
 * fetched and no link is followed, so that looking counts nothing.
 */
public final class SeenLetter {

  private static final String CARRIED = "cid:";

  /** For what a style might fetch (Content Security Policy Level 3). */
  private static final String NOTHING_FETCHED =
      "default-src 'none'; img-src data:; style-src 'unsafe-inline'";

  private SeenLetter() {}

  /**
   * The HTML of the letter with everything dead in it.
   *
   * @param html as it left
   * @param carried a picture that the letter carries, by its Content-ID (RFC 2392), as an address
   *     that fetches nothing, such as a {@code data:} one; empty for what it does not carry
   */
  public static String of(String html, Function<String, Optional<String>> carried) {
    Document letter = Jsoup.parse(html);
    letter.outputSettings().prettyPrint(false);
    letter
        .select("script, iframe, object, embed, link, base, meta[http-equiv], form, input")
        .remove();
    letter
        .head()
        .prependElement("meta")
        .attr("http-equiv", "Content-Security-Policy")
        .attr("content", NOTHING_FETCHED);
    letter.getAllElements().forEach(SeenLetter::takeHandlers);
    letter.select("a[href], area[href]").forEach(SeenLetter::deaden);
    letter.select("img").forEach(picture -> show(picture, carried));
    letter.select("[background], [poster], [srcset]").forEach(SeenLetter::takeOtherSources);
    return letter.outerHtml();
  }

  private static void takeHandlers(Element element) {
    element.attributes().asList().stream()
        .map(Attribute::getKey)
        .filter(name -> name.startsWith("on"))
        .toList()
        .forEach(element::removeAttr);
  }

  /** Where it led is said when it is pointed at. */
  private static void deaden(Element link) {
    link.attr("title", link.attr("href"));
    link.removeAttr("href");
  }

  private static void show(Element picture, Function<String, Optional<String>> carried) {
    String source = picture.attr("src");
    Optional<String> shown =
        source.startsWith(CARRIED)
            ? carried.apply(source.substring(CARRIED.length()))
            : Optional.empty();
    if (shown.isPresent()) {
      picture.attr("src", shown.get());
    } else if (picture.attr("alt").isEmpty()) {
      picture.remove();
    } else {
      picture.removeAttr("src");
    }
  }

  private static void takeOtherSources(Element element) {
    element.removeAttr("background").removeAttr("poster").removeAttr("srcset");
  }
}
