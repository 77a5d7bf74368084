package app.jemble.core.message;

import app.jemble.core.document.Filling;
import app.jemble.core.merge.Escaping;
import app.jemble.core.merge.FieldNames;
import app.jemble.core.merge.Place;
import app.jemble.core.merge.Position;
import app.jemble.core.merge.Renderer;
import app.jemble.core.merge.Template;
import app.jemble.core.merge.TemplateError;
import app.jemble.core.merge.TemplateParser;
import app.jemble.core.merge.TemplateParser.Kind;
import app.jemble.core.paper.Country;
import app.jemble.core.paper.PostalLines;
import app.jemble.core.reach.Address;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.Values;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.chrono.IsoChronology;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeFormatterBuilder;
import java.time.format.FormatStyle;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * A letter on paper made ready to be merged for one person after another.
 *
 * @param header the words above it, of the letterhead
 * @param footer the words below it
 * @param document which it is made of, instead of a body, where it is made of one
 */
public record PaperLetter(
    PaperWording wording,
    Template subject,
    Template body,
    Template header,
    Template footer,
    Optional<DocumentLetter> document) {

  /**
   * How it is to look.
   *
   * @param head the letterhead, or none
   * @param signature the sender's signature as template text, put in by {@code {{> signature}}}
   * @param document which it is made of, where its wording names one that is still there
   */
  public record Looks(
      Optional<Letterhead> head, String signature, Optional<DocumentLetter.Source> document) {

    /** Of a letter that is written here. */
    public Looks(Optional<Letterhead> head, String signature) {
      this(head, signature, Optional.empty());
    }
  }

  /** What came of it: a letter where there are no errors. */
  public record Prepared(Optional<PaperLetter> letter, List<TemplateError> errors) {
    public Prepared {
      errors = List.copyOf(errors);
    }
  }

  /** Reads a wording; errors are those of its texts as they were written. */
  public static Prepared prepare(PaperWording wording, Looks looks, FieldCatalogue fields) {
    TemplateParser.Parsed subject =
        TemplateParser.parse(wording.subject(), Kind.PLAIN_TEXT, fields);
    Optional<DocumentLetter> document = looks.document().map(d -> new DocumentLetter(d, fields));
    Looks around = wording.usesDocument() ? new Looks(Optional.empty(), looks.signature()) : looks;
    TemplateParser.Parsed body = html(wording.usesDocument() ? "" : wording.body(), looks, fields);
    TemplateParser.Parsed header = html(around(around, Letterhead::header), looks, fields);
    TemplateParser.Parsed footer = html(around(around, Letterhead::footer), looks, fields);
    List<TemplateError> errors = new ArrayList<>();
    Stream.of(subject, body, header, footer).forEach(p -> errors.addAll(p.errors()));
    document.ifPresent(d -> errors.addAll(d.errors()));
    if (wording.usesDocument() && document.isEmpty()) {
      errors.add(
          new TemplateError(
              new Position(1, 1), "Its document is not there any more; choose another."));
    }
    if (!errors.isEmpty()) {
      return new Prepared(Optional.empty(), errors);
    }
    return new Prepared(
        Optional.of(
            new PaperLetter(
                wording,
                subject.template().orElseThrow(),
                body.template().orElseThrow(),
                header.template().orElseThrow(),
                footer.template().orElseThrow(),
                document)),
        errors);
  }

  private static String around(Looks looks, Function<Letterhead, String> part) {
    return looks.head().map(part).orElse("");
  }

  private static TemplateParser.Parsed html(String text, Looks looks, FieldCatalogue fields) {
    return TemplateParser.parse(
        text, Kind.HTML, fields, Map.of(LetterText.SIGNATURE, looks.signature()));
  }

  /** Every field of the records that it asks for, in order of first use. */
  public Set<String> fields() {
    Set<String> fields = new LinkedHashSet<>();
    Stream.of(subject, body, header, footer).forEach(part -> fields.addAll(part.fields()));
    document.ifPresent(d -> fields.addAll(d.fields()));
    fields.removeIf(f -> f.startsWith("message.") || f.equals(MessageFields.LEAVE));
    return fields;
  }

  /**
   * What is the same for every letter of a cause.
   *
   * @param zone the workspace's zone
   * @param posting the country where it is posted, and the language in which others are named there
   * @param senderLine the house's own name and address
   */
  public record Shared(
      ZoneId zone, Country posting, Locale house, String senderLine, Optional<Letterhead> head) {}

  /**
   * What is one person's own.
   *
   * @param name the reader's, as it stands above the address
   * @param day of the letter
   * @param token the message's public token; empty for what does not leave
   */
  public record Own(
      Address.Postal to,
      String name,
      Values values,
      Locale language,
      LocalDate day,
      String token) {}

  /**
   * A letter, and what was missing for it.
   *
   * @param missing fields without a value and without a fallback
   */
  public record Composed(OutgoingSheet message, Set<String> missing) {
    public Composed {
      missing = FieldNames.inOrder(missing);
    }
  }

  /** One person's letter. */
  public Composed compose(Shared shared, Own own) {
    Set<String> missing = new LinkedHashSet<>();
    List<String> address = new ArrayList<>();
    address.add(own.name());
    address.addAll(
        PostalLines.of(
            PostalLines.Postal.read(own.to().stored()), shared.posting(), shared.house()));
    Optional<Filling> filling =
        document.map(d -> d.filling(own.values(), own.language(), shared.zone()));
    filling.ifPresent(f -> missing.addAll(document.orElseThrow().missing(f)));
    OutgoingSheet sheet =
        new OutgoingSheet(
            own.token(),
            own.to(),
            address,
            shared.senderLine(),
            dated(own.day(), own.language()),
            subject(shared, own, missing),
            rendered(header, shared, own, missing),
            filling.map(this::said).orElseGet(() -> rendered(body, shared, own, missing)),
            rendered(footer, shared, own, missing),
            shared.head(),
            wording.form(),
            own.language(),
            filling);
    return new Composed(sheet, missing);
  }

  /** A letter of a document is called as its document is, where nothing else is written. */
  private String subject(Shared shared, Own own, Set<String> missing) {
    String subject = Escaping.oneLine(rendered(this.subject, shared, own, missing));
    return subject.isBlank() ? document.map(DocumentLetter::name).orElse(subject) : subject;
  }

  private String said(Filling filling) {
    StringBuilder html = new StringBuilder();
    document
        .orElseThrow()
        .words(filling)
        .lines()
        .forEach(
            line -> {
              html.append("<div>");
              Escaping.append(html, line, Place.HTML_TEXT);
              html.append("</div>");
            });
    return html.toString();
  }

  /** As it is written in full where its reader is: "29 November 2026" (Unicode CLDR). */
  private static String dated(LocalDate day, Locale language) {
    String pattern =
        DateTimeFormatterBuilder.getLocalizedDateTimePattern(
            FormatStyle.LONG, null, IsoChronology.INSTANCE, language);
    return DateTimeFormatter.ofPattern(pattern, language).format(day);
  }

  private static String rendered(Template part, Shared shared, Own own, Set<String> missing) {
    Renderer.Rendered rendered = Renderer.render(part, own.values(), own.language(), shared.zone());
    missing.addAll(rendered.missing());
    return rendered.text();
  }
}
