package app.jemble.core.message;

import app.jemble.core.paper.Box;
import app.jemble.core.paper.LetterForm;
import java.util.List;

/** The style sheet of letters on paper (CSS 2.1 and CSS Paged Media). */
final class PaperStyle {

  private static final String PLAIN = "#000000";

  /**
   * Where the page's own box begins, from its upper and its left edge: nothing is drawn outside it,
   * so that it holds the letterhead and the fold marks too. Printers leave less free.
   */
  static final double TOP = 12;

  private static final double LEFT = 5;

  private static final String TEXT =
      """
      body { margin: 0; font-size: 10.5pt; line-height: 1.4 }
      .letter { position: relative; page-break-before: always; -fs-page-sequence: start;
        padding-left: 20mm }
      .foot { position: running(foot); padding-left: 20mm; font-size: 7.5pt; line-height: 1.3 }
      .foot p { margin: 0 }
      .head { position: absolute; top: 0; left: 20mm; overflow: hidden; font-weight: bold }
      .head img { height: 12mm }
      .head p { margin: 0 0 1mm }
      .sender { position: absolute; font-size: 6.5pt; white-space: nowrap; overflow: hidden }
      .address { position: absolute; line-height: 1.2; white-space: nowrap }
      .mark { position: absolute; left: 0; width: 4mm; border-top: 0.2mm solid #888888 }
      .dated { margin: 0 0 4mm; text-align: right }
      h1, h2, h3 { line-height: 1.25; margin: 0 0 0.6em; page-break-after: avoid }
      h1 { font-size: 15pt }
      h2 { font-size: 13pt }
      h3 { font-size: 11.5pt }
      .subject { font-size: 11pt; margin: 0 0 5mm }
      p { margin: 0 0 0.8em; orphans: 2; widows: 2 }
      a { text-decoration: none }
      img { max-width: 165mm }
      table { border-collapse: collapse; margin: 0 0 1em }
      td, th { border: 0.2mm solid #999999; padding: 1mm 2mm; vertical-align: top;
        text-align: left }
      blockquote { margin: 0 0 0.8em 4mm }
      """;

  private PaperStyle() {}

  /**
   * @param like any of the letters
   * @param fonts the families to take letters from, in order
   */
  static String of(OutgoingSheet like, List<String> fonts) {
    LetterForm form = like.form();
    String families = String.join(", ", fonts.stream().map(font -> "'" + font + "'").toList());
    String accent = like.head().map(Letterhead::accent).orElse(PLAIN);
    String band = like.head().map(Letterhead::band).orElse(PLAIN);
    double across = form.paper().width() - LetterForm.LEFT_MARGIN - LetterForm.MARGIN;
    return page(form, families)
        + TEXT
        + "body { font-family: "
        + families
        + " }\n.letter { padding-top: "
        + (form.textTop() - TOP)
        + "mm }\n.head { max-height: "
        + (form.field().top() - TOP - 1)
        + "mm; width: "
        + across
        + "mm; color: "
        + band
        + "; border-bottom: 0.4mm solid "
        + band
        + " }\na { color: "
        + accent
        + " }\n.sender { "
        + place(form.senderLine())
        + " }\n.address { "
        + place(form.address())
        + " }\n";
  }

  private static String page(LetterForm form, String families) {
    return "@page { size: "
        + form.paper().width()
        + "mm "
        + form.paper().height()
        + "mm; margin: "
        + TOP
        + "mm "
        + LetterForm.MARGIN
        + "mm "
        + LetterForm.MARGIN
        + "mm "
        + LEFT
        + "mm; @bottom-left { content: element(foot); width: 85%; vertical-align: top }"
        + " @bottom-right { content: counter(page) \"/\" counter(pages); font-size: 8pt;"
        + " vertical-align: top; font-family: "
        + families
        + " } }\n";
  }

  /** From the place where the text of a page begins. */
  private static String place(Box box) {
    return "left: "
        + (box.left() - LEFT)
        + "mm; top: "
        + (box.top() - TOP)
        + "mm; width: "
        + box.width()
        + "mm; height: "
        + box.height()
        + "mm";
  }
}
