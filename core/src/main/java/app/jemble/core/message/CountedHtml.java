package app.jemble.core.message;

import java.util.ArrayList;
import java.util.List;
import java.util.function.IntFunction;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/**
 * A message's HTML with its web links led through the counting address.
 *
 * @param html the rewritten fragment
 * @param links where each counted link leads, in order; only these are ever redirected to
 */
public record CountedHtml(String html, List<String> links) {
  public CountedHtml {
    links = List.copyOf(links);
  }

  /**
   * Rewrites every http and https link.
   *
   * @param html a clean fragment
   * @param address the counting address of the link with that number, from 0
   */
  public static CountedHtml of(String html, IntFunction<String> address) {
    Document document = Jsoup.parseBodyFragment(html);
    document.outputSettings().prettyPrint(false);
    List<String> links = new ArrayList<>();
    for (Element link : document.select("a[href]")) {
      String target = link.attr("href");
      if (target.startsWith("http://") || target.startsWith("https://")) {
        int known = links.indexOf(target);
        if (known < 0) {
          known = links.size();
          links.add(target);
        }
        link.attr("href", address.apply(known));
      }
    }
    return new CountedHtml(document.body().html(), links);
  }
}
