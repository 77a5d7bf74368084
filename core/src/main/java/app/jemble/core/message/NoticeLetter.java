package app.jemble.core.message;

import app.jemble.core.merge.FieldNames;
import app.jemble.core.merge.Renderer;
import app.jemble.core.merge.Template;
import app.jemble.core.merge.TemplateError;
import app.jemble.core.merge.TemplateParser;
import app.jemble.core.merge.TemplateParser.Kind;
import app.jemble.core.reach.Address;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.Values;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** A notice to the app made ready to be merged for one person after another. */
public record NoticeLetter(Template title, Template words, Template link) {

  /** What came of it: a letter where there are no errors. */
  public record Prepared(Optional<NoticeLetter> letter, List<TemplateError> errors) {
    public Prepared {
      errors = List.copyOf(errors);
    }
  }

  /** Reads a wording; errors are those of its texts as they were written. */
  public static Prepared prepare(NoticeWording wording, FieldCatalogue fields) {
    List<TemplateParser.Parsed> parsed =
        Stream.of(wording.title(), wording.words(), wording.link())
            .map(text -> TemplateParser.parse(text, Kind.PLAIN_TEXT, fields))
            .toList();
    List<TemplateError> errors = parsed.stream().flatMap(p -> p.errors().stream()).toList();
    if (!errors.isEmpty()) {
      return new Prepared(Optional.empty(), errors);
    }
    List<Template> templates = parsed.stream().map(p -> p.template().orElseThrow()).toList();
    return new Prepared(
        Optional.of(new NoticeLetter(templates.get(0), templates.get(1), templates.get(2))),
        errors);
  }

  /** Every field of the records that it asks for, in order of first use. */
  public Set<String> fields() {
    Set<String> fields = new LinkedHashSet<>(title.fields());
    fields.addAll(words.fields());
    fields.addAll(link.fields());
    fields.remove(MessageFields.LEAVE);
    return fields;
  }

  /**
   * What is the same for every notice of a cause.
   *
   * @param zone the workspace's zone
   * @param publicUrl where links and the leaving page are found, without a final slash
   * @param countsLinks whether its link leads through a counting address
   */
  public record Shared(ZoneId zone, String publicUrl, boolean countsLinks) {}

  /**
   * What is one person's own.
   *
   * @param token the message's public token; empty for what does not leave
   */
  public record Own(Address.Device to, Values values, Locale language, String token) {}

  /**
   * A notice, with no devices yet, and what was missing for it.
   *
   * @param missing fields without a value and without a fallback
   */
  public record Composed(OutgoingNotice message, Set<String> missing) {
    public Composed {
      missing = FieldNames.inOrder(missing);
    }
  }

  /** One person's notice. A link that is none is left out, and leads nowhere. */
  public Composed compose(Shared shared, Own own) {
    String leave = shared.publicUrl() + "/leave/" + own.token();
    Values values =
        field ->
            field.equals(MessageFields.LEAVE) ? FieldValue.text(leave) : own.values().get(field);
    Set<String> missing = new LinkedHashSet<>();
    String shownTitle = line(rendered(title, values, shared, own, missing));
    String shownWords = rendered(words, values, shared, own, missing).strip();
    String written = rendered(link, values, shared, own, missing).strip();
    Optional<String> target = written.equals(leave) ? Optional.empty() : WebAddress.normal(written);
    List<String> links = new ArrayList<>();
    String leads = written.equals(leave) ? leave : target.orElse("");
    if (target.isPresent() && shared.countsLinks()) {
      links.add(target.get());
      leads = shared.publicUrl() + "/l/" + own.token() + "/0";
    }
    return new Composed(
        new OutgoingNotice(
            own.token(), own.to(), List.of(), shownTitle, shownWords, leads, leave, links),
        missing);
  }

  private static String rendered(
      Template template, Values values, Shared shared, Own own, Set<String> missing) {
    Renderer.Rendered rendered = Renderer.render(template, values, own.language(), shared.zone());
    missing.addAll(rendered.missing());
    return rendered.text();
  }

  /** A title has one line. */
  private static String line(String text) {
    return text.strip().replaceAll("\\s+", " ");
  }
}
