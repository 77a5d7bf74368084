package app.jemble.core.message;

import app.jemble.core.merge.Escaping;
import app.jemble.core.merge.Place;
import app.jemble.core.paper.LabelFit;
import app.jemble.core.record.FieldValue;
import java.util.List;
import java.util.Locale;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Entities;

/**
 * Letters as one document in XHTML, whose style sheet (CSS Paged Media) lays each on sheets of its
 * own and counts their pages.
 */
public final class PaperDocument {

  /** The largest that an address is written. */
  public static final double ADDRESS_POINTS = 10;

  private PaperDocument() {}

  /**
   * A letter and how large its address is written.
   *
   * @param addressPoints from {@link LabelFit}
   */
  public record Page(OutgoingSheet sheet, double addressPoints) {}

  /** What the first line of a letter is called, by its place from 0. */
  public static String id(int place) {
    return "letter-" + place;
  }

  /**
   * @param pages letters of one form, at least one
   * @param fonts the families to take letters from, in order
   */
  public static String of(List<Page> pages, String title, Locale language, List<String> fonts) {
    OutgoingSheet first = pages.get(0).sheet();
    StringBuilder out = new StringBuilder("<html lang=\"");
    out.append(escaped(language.toLanguageTag())).append("\"><head><title>");
    out.append(escaped(title)).append("</title><meta name=\"subject\" content=\"");
    out.append(escaped(title)).append("\"/><style>").append(PaperStyle.of(first, fonts));
    out.append("</style></head><body>");
    for (int i = 0; i < pages.size(); i++) {
      letter(out, i, pages.get(i));
    }
    return out.append("</body></html>").toString();
  }

  private static void letter(StringBuilder out, int place, Page page) {
    OutgoingSheet sheet = page.sheet();
    out.append("<div class=\"letter\" lang=\"");
    out.append(escaped(sheet.language().toLanguageTag())).append("\">");
    out.append("<div class=\"foot\">").append(clean(sheet.footer())).append("</div>");
    header(out, sheet);
    out.append("<div class=\"sender\">").append(escaped(sheet.senderLine())).append("</div>");
    out.append("<div class=\"address\" style=\"font-size:").append(page.addressPoints());
    out.append("pt\">");
    sheet.address().forEach(line -> out.append("<div>").append(escaped(line)).append("</div>"));
    out.append("</div>");
    sheet.form().folds().forEach(fold -> mark(out, fold));
    out.append("<p class=\"dated\" id=\"")
        .append(id(place))
        .append("\">")
        .append(escaped(sheet.dated()))
        .append("</p>");
    if (!sheet.subject().isEmpty()) {
      out.append("<h1 class=\"subject\">").append(escaped(sheet.subject())).append("</h1>");
    }
    out.append("<div class=\"text\">").append(clean(sheet.body())).append("</div></div>");
  }

  private static void header(StringBuilder out, OutgoingSheet sheet) {
    if (sheet.head().isEmpty()) {
      return;
    }
    out.append("<div class=\"head\">");
    sheet
        .head()
        .flatMap(Letterhead::logo)
        .ifPresent(
            logo ->
                out.append("<img src=\"")
                    .append(new FieldValue.Picture(logo).path())
                    .append("\" alt=\"\"/>"));
    out.append(clean(sheet.header())).append("</div>");
  }

  private static void mark(StringBuilder out, double fold) {
    out.append("<div class=\"mark\" style=\"top:").append(fold - PaperStyle.TOP);
    out.append("mm\"></div>");
  }

  /** Well formed, its pictures no wider than the text. */
  private static String clean(String html) {
    Document document = Jsoup.parseBodyFragment(SafeHtml.clean(html));
    document
        .outputSettings()
        .syntax(Document.OutputSettings.Syntax.xml)
        .escapeMode(Entities.EscapeMode.xhtml)
        .prettyPrint(false);
    for (Element picture : document.select("img")) {
      if (!picture.hasAttr("alt")) {
        picture.attr("alt", "");
      }
    }
    document.select("a[href]").forEach(PaperDocument::spellOut);
    return document.body().html();
  }

  /** Nobody can follow a link on paper: where it leads stands beside its words. */
  private static void spellOut(Element link) {
    String address = link.attr("href");
    boolean same = address.equals(link.text()) || address.equals("mailto:" + link.text());
    if (!address.isEmpty() && !same) {
      link.after(" (" + Entities.escape(address) + ")");
    }
  }

  private static String escaped(String value) {
    StringBuilder out = new StringBuilder();
    Escaping.append(out, value, Place.HTML_ATTRIBUTE);
    return out.toString();
  }
}
