package app.jemble.core.message;

import app.jemble.core.merge.Template;
import app.jemble.core.merge.TemplateError;
import app.jemble.core.merge.TemplateParser;
import app.jemble.core.merge.TemplateParser.Kind;
import app.jemble.core.record.FieldCatalogue;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A subject and a body made ready to be merged for one person after another: parsed, dressed in the
 * letterhead, its plain text made, its links numbered.
 *
 * @param subject parsed as a header
 * @param html the whole document
 * @param text the plain text of the same
 * @param links where the links lead
 * @param countsLinks whether they lead there through a counting address
 * @param namesLeaving whether the words themselves say how to leave
 */
public record LetterText(
    Template subject,
    Template html,
    Template text,
    List<Template> links,
    boolean countsLinks,
    boolean namesLeaving) {

  private static final String LEAVE_WORDS = "You can leave this list at any time";

  public LetterText {
    links = List.copyOf(links);
  }

  /** What is written: template text. */
  public record Written(String subject, String body) {}

  /**
   * How it is to look.
   *
   * @param head the letterhead, or none
   * @param signature the sender's signature as template text, put in by {@code {{> signature}}}
   * @param language of what stands around the words
   * @param countsLinks whether links lead through a counting address
   * @param saysHowToLeave whether the foot says how to leave, where the words do not
   */
  public record Style(
      Optional<Letterhead> head,
      String signature,
      Locale language,
      boolean countsLinks,
      boolean saysHowToLeave) {}

  /**
   * What came of it.
   *
   * @param text present when there are no errors
   */
  public record Prepared(
      Optional<LetterText> text,
      List<TemplateError> subjectErrors,
      List<TemplateError> bodyErrors) {
    public Prepared {
      subjectErrors = List.copyOf(subjectErrors);
      bodyErrors = List.copyOf(bodyErrors);
    }
  }

  /** The name by which the signature is put into a body. */
  public static final String SIGNATURE = "signature";

  /** What is wrong with a wording, whoever will sign it. */
  public static List<TemplateError> errors(Written written, FieldCatalogue fields) {
    List<TemplateError> errors =
        new ArrayList<>(TemplateParser.parse(written.subject(), Kind.HEADER, fields).errors());
    errors.addAll(
        TemplateParser.parse(written.body(), Kind.HTML, fields, Map.of(SIGNATURE, "")).errors());
    return errors;
  }

  /** Reads a wording; errors are those of the text as it was written. */
  public static Prepared prepare(Written written, Style looks, FieldCatalogue fields) {
    TemplateParser.Parsed subject = TemplateParser.parse(written.subject(), Kind.HEADER, fields);
    TemplateParser.Parsed body =
        TemplateParser.parse(
            written.body(), Kind.HTML, fields, Map.of(SIGNATURE, looks.signature()));
    Optional<LetterText> text =
        subject.template().isEmpty() || body.template().isEmpty()
            ? Optional.empty()
            : Optional.of(dressed(written, looks, fields, subject.template().get(), body));
    return new Prepared(text, subject.errors(), body.errors());
  }

  private static LetterText dressed(
      Written written,
      Style looks,
      FieldCatalogue fields,
      Template subject,
      TemplateParser.Parsed body) {
    boolean namesLeaving = body.template().orElseThrow().fields().contains(MessageFields.LEAVE);
    boolean saysLeaving = looks.saysHowToLeave() && !namesLeaving;
    Dressing dressing = new Dressing(looks.head());
    String bodyHtml = dressing.body(written.body());
    String signatureHtml = dressing.body(looks.signature());
    String html = dressing.document(bodyHtml, foot(looks, saysLeaving), looks.language());
    List<String> links = dressing.links();

    FieldCatalogue all = fields.plus(MessageFields.of(links.size()));
    String plain = PlainText.fromHtml(written.body(), address -> shown(address, links));
    String signature = PlainText.fromHtml(looks.signature(), address -> shown(address, links));
    String text = plain + textFoot(looks, saysLeaving);
    return new LetterText(
        subject,
        parsed(html, Kind.HTML, all, signatureHtml),
        parsed(text, Kind.PLAIN_TEXT, all, signature),
        links.stream().map(link -> parsed(link, Kind.ADDRESS, all, "")).toList(),
        looks.countsLinks(),
        namesLeaving);
  }

  /** Where a link leads is merged once, and named by its number elsewhere. */
  private static String shown(String address, List<String> links) {
    int number = links.indexOf(address);
    return number < 0 ? address : "{{" + MessageFields.link(number) + "}}";
  }

  private static List<String> foot(Style looks, boolean saysLeaving) {
    List<String> lines = new ArrayList<>();
    if (saysLeaving && looks.head().isEmpty()) {
      lines.add("{{workspace.name}}, {{workspace.address}}");
    }
    if (saysLeaving) {
      lines.add(
          "<a style=\"color:inherit\" href=\"{{"
              + MessageFields.LEAVE
              + "}}\">"
              + LEAVE_WORDS
              + "</a>.");
    }
    return lines;
  }

  private static String textFoot(Style looks, boolean saysLeaving) {
    String footer =
        looks.head().map(h -> PlainText.fromHtml(h.footer(), a -> a).strip()).orElse("");
    StringBuilder out = new StringBuilder();
    if (looks.head().isPresent() || saysLeaving) {
      out.append("\n-- \n{{workspace.name}}\n");
      out.append(footer.isEmpty() ? "{{workspace.address}}" : footer).append('\n');
    }
    if (saysLeaving) {
      out.append(LEAVE_WORDS).append(": {{").append(MessageFields.LEAVE).append("}}\n");
    }
    return out.toString();
  }

  /** What was readable as written is readable when dressed; otherwise the dressing is at fault. */
  private static Template parsed(String text, Kind kind, FieldCatalogue all, String signature) {
    TemplateParser.Parsed parsed =
        TemplateParser.parse(text, kind, all, Map.of(SIGNATURE, signature));
    return parsed
        .template()
        .orElseThrow(() -> new IllegalStateException("dressed: " + parsed.errors()));
  }

  /** Every field of the records that it asks for, in order of first use. */
  public Set<String> fields() {
    Set<String> fields = new LinkedHashSet<>(subject.fields());
    fields.addAll(html.fields());
    fields.addAll(text.fields());
    links.forEach(link -> fields.addAll(link.fields()));
    fields.removeIf(f -> f.startsWith("message.") || f.equals(MessageFields.LEAVE));
    return fields;
  }
}
