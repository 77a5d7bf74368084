package app.jemble.core;

import app.jemble.core.check.LinkCheck;
import app.jemble.core.check.NameCheck;
import app.jemble.core.exchange.Delimiter;
import app.jemble.core.filter.FilterException;
import app.jemble.core.filter.FilterSentenceReader;
import app.jemble.core.merge.Blanks;
import app.jemble.core.merge.TemplateParser;
import app.jemble.core.message.LetterText;
import app.jemble.core.message.PlainText;
import app.jemble.core.message.PlainWords;
import app.jemble.core.message.SafeHtml;
import app.jemble.core.message.WebAddress;
import app.jemble.core.pace.PlanException;
import app.jemble.core.pace.PlanSentenceReader;
import app.jemble.core.record.DayOrder;
import app.jemble.core.record.DayStyle;
import app.jemble.core.record.EmailAddress;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FullName;
import app.jemble.core.record.PhoneNumber;
import app.jemble.core.record.TypedDay;
import app.jemble.core.record.TypedTime;
import app.jemble.core.record.Words;
import app.jemble.core.record.YardFields;
import app.jemble.core.response.AuthenticationResults;
import app.jemble.core.response.AwayUntil;
import app.jemble.core.response.InboundMail;
import app.jemble.core.response.MailSorter;
import app.jemble.core.response.OwnWords;
import app.jemble.core.response.ReplySubject;
import app.jemble.core.response.SortedMail;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;

/** Every reader of text in core, and the texts that are hardest on each. */
public final class WorstShapes {

  private static final FieldCatalogue FIELDS = YardFields.standard();

  /**
   * A reader and what is read.
   *
   * @param piece is repeated
   */
  public record Shape(String reader, String piece, String end, Consumer<String> read) {

    /** Reads so many characters of it. */
    public void read(int characters) {
      read.accept(piece.repeat(Math.max(1, characters / piece.length())) + end);
    }

    @Override
    public String toString() {
      String shown = piece.replace("\n", "\\n");
      return reader + " " + (shown.length() > 30 ? shown.substring(0, 30) + "…" : shown);
    }
  }

  private WorstShapes() {}

  private static final List<String> HTML =
      List.of(
          "<ul><li>",
          "<ol><li>",
          "<blockquote>",
          "<p>",
          "<b>",
          "<td>",
          "<table><tr><td>",
          "<a href=x>",
          "&nbsp;",
          " ",
          "<",
          "</p>",
          "<p {{",
          "<div><span>",
          "&lt;",
          "<p><ol><li>",
          "<font>");

  private static final List<String> TEMPLATES =
      List.of(
          "{{first_name}}",
          "{{x}}",
          "{{#first_name}}",
          "{{^first_name}}{{/first_name}}",
          "{{",
          "}}",
          "\n",
          "{{first_name or \"",
          "{{first_name or last_name or ",
          "<a href=\"{{first_name}}\">",
          "<a ",
          "\"",
          "[a",
          "{{! ",
          "{{/first_name}}",
          "{{> signature}}",
          "{{&quot;",
          "{{first_nam}}");

  private static final List<String> MAILS =
      List.of(
          "-",
          "=",
          "_",
          " ",
          "a@",
          "<a@b.example> ",
          "<a@far.test>: user unknown\n",
          "user unknown ",
          "re: ",
          "exceed the ",
          "the ",
          "mailbox ",
          "delivery ",
          "> ",
          ">",
          "\n",
          "on ",
          "<a@",
          "\t \n",
          "until ",
          "back on 12 ",
          "Message-ID: <",
          "to: a@far.test\n",
          "(",
          "550 5.1.1 ",
          "a@far.test ",
          "verify ",
          "try ");

  /** All of them. */
  public static List<Shape> all() {
    List<Shape> all = new ArrayList<>();
    Map<String, Consumer<String>> readers = new LinkedHashMap<>();
    readers.put("PlainText", PlainText::fromHtml);
    readers.put("SafeHtml", SafeHtml::clean);
    readers.forEach((name, read) -> HTML.forEach(p -> all.add(new Shape(name, p, "", read))));
    readers.clear();
    readers.put("template", t -> TemplateParser.parse(t, TemplateParser.Kind.HTML, FIELDS));
    readers.put("header", t -> TemplateParser.parse(t, TemplateParser.Kind.HEADER, FIELDS));
    readers.put("letter", t -> LetterText.errors(new LetterText.Written("x", t), FIELDS));
    readers.put("Blanks", Blanks::in);
    readers.forEach((name, read) -> TEMPLATES.forEach(p -> all.add(new Shape(name, p, "", read))));
    readers.clear();
    readers.put("MailSorter", WorstShapes::sort);
    readers.put("OwnWords", OwnWords::of);
    readers.put("AwayUntil", t -> AwayUntil.in(t, LocalDate.of(2027, 3, 1)));
    readers.put("ReplySubject", ReplySubject::bare);
    readers.put("AuthenticationResults", t -> AuthenticationResults.of(List.of(t), "mx"));
    readers.put("EmailAddress", EmailAddress::isValid);
    readers.put("FullName", FullName::of);
    readers.put("PhoneNumber", t -> PhoneNumber.international(t, "GB"));
    readers.put("DayOrder", DayOrder.DAY_FIRST::read);
    readers.put("TypedDay", WorstShapes::day);
    readers.put("TypedTime", TypedTime::read);
    readers.put("plan", WorstShapes::plan);
    readers.put("NameCheck", NameCheck::look);
    readers.put("LinkCheck", t -> LinkCheck.look("https://quay.example", t));
    readers.put("WebAddress", t -> WebAddress.normal("https://" + t));
    readers.put("Delimiter", Delimiter::guess);
    readers.put("PlainWords", PlainWords::toHtml);
    readers.put("tidy", Words::tidy);
    readers.put("filter sentence", WorstShapes::sentence);
    readers.forEach(
        (name, read) -> MAILS.forEach(p -> all.add(new Shape(name, p, "\na@far.test", read))));
    for (String piece :
        List.of("(", "not (", "people with at least one of (", "any of (", "“", "[", "]]")) {
      all.add(new Shape("filter sentence", piece, "", WorstShapes::sentence));
    }
    for (String piece : List.of("a.", "%", "[", ":", "@", "é", "//", "#")) {
      all.add(
          new Shape("WebAddress", piece, "", t -> WebAddress.normal("https://quay.example/" + t)));
    }
    return all;
  }

  private static void day(String text) {
    TypedDay.read(
        text, LocalDate.of(2027, 3, 1), DayStyle.of(DayOrder.DAY_FIRST), TypedDay.Lean.AHEAD);
  }

  private static void plan(String text) {
    try {
      LocalDateTime now = LocalDateTime.of(2027, 3, 1, 9, 0);
      PlanSentenceReader.read(
          text, now, DayStyle.of(DayOrder.DAY_FIRST), ZoneId.of("Europe/London"));
    } catch (PlanException refused) {
      // a sentence, which is what is wanted
    }
  }

  private static void sentence(String text) {
    try {
      FilterSentenceReader.read(text, FIELDS);
    } catch (FilterException refused) {
      // a sentence, which is what is wanted
    }
  }

  /** The text as everything that a mail has: each header, report and body. */
  private static void sort(String text) {
    String header = text.length() > 10_000 ? text.substring(0, 10_000) : text;
    List<String> values = List.of(header);
    Map<String, List<String>> headers =
        Map.of("from", values, "subject", values, "references", values, "in-reply-to", values);
    Map<String, List<String>> daemon =
        Map.of("from", List.of("mailer-daemon@far.test"), "subject", values);
    for (InboundMail mail :
        List.of(
            new InboundMail(headers, "text/plain", null, null, Map.of(), text, text),
            new InboundMail(daemon, "text/plain", null, null, headers, text, text),
            new InboundMail(daemon, "multipart/report", text, null, headers, text, text),
            new InboundMail(daemon, "multipart/report", null, text, headers, text, text))) {
      MailSorter.sort(mail);
      SortedMail.related(mail);
    }
  }
}
