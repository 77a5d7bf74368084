package app.jemble.core.message;

import app.jemble.core.document.DocumentTemplate;
import app.jemble.core.document.DocumentValue;
import app.jemble.core.document.Filling;
import app.jemble.core.merge.Blanks;
import app.jemble.core.merge.Position;
import app.jemble.core.merge.Renderer;
import app.jemble.core.merge.Template;
import app.jemble.core.merge.TemplateError;
import app.jemble.core.merge.TemplateParser;
import app.jemble.core.merge.TemplateParser.Kind;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.Values;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** A letter that is made of a document, ready to be filled for one person after another. */
public final class DocumentLetter {

  /**
   * What a field of a document stands for.
   *
   * @param field the name of a field of the records; null for none
   * @param otherwise what stands there when nothing is known; empty for nothing
   */
  public record Match(String field, String otherwise) {
    public Match {
      field = field == null || field.isBlank() ? null : field;
      otherwise = otherwise == null ? "" : otherwise;
    }

    /** Whether it says what stands there. */
    public boolean saysSomething() {
      return field != null || !otherwise.isEmpty();
    }
  }

  /**
   * A document and how it is matched.
   *
   * @param matches by the document's own name of each field
   */
  public record Source(String name, DocumentTemplate template, Map<String, Match> matches) {
    public Source {
      matches = Map.copyOf(matches);
    }
  }

  private final Source source;
  private final Map<String, Template> fields = new LinkedHashMap<>();
  private final List<TemplateError> errors = new ArrayList<>();

  /** What cannot be filled is among its errors. */
  public DocumentLetter(Source source, FieldCatalogue catalogue) {
    this.source = source;
    for (String own : source.template().fields()) {
      Match match = source.matches().get(own);
      if (match == null || !match.saysSomething()) {
        error("Its field “" + own + "” stands for none of yours yet.");
      } else if (match.field() != null) {
        TemplateParser.Parsed parsed =
            TemplateParser.parse("{{" + match.field() + "}}", Kind.PLAIN_TEXT, catalogue);
        parsed.template().ifPresent(template -> fields.put(own, template));
        errors.addAll(parsed.errors());
      }
    }
  }

  private void error(String sentence) {
    errors.add(new TemplateError(new Position(1, 1), sentence));
  }

  public List<TemplateError> errors() {
    return List.copyOf(errors);
  }

  public String name() {
    return source.name();
  }

  /** Blanks like {@code [this]} that are left in it. */
  public List<String> blanks() {
    return Blanks.in(source.template().words(new Filling(Map.of(), Locale.ROOT)));
  }

  /** Every field of the records that it asks for. */
  public Set<String> fields() {
    Set<String> all = new LinkedHashSet<>();
    fields.values().forEach(template -> all.addAll(template.fields()));
    return all;
  }

  /**
   * What one person's is filled with.
   *
   * @param zone in which instants are shown as days
   */
  public Filling filling(Values values, Locale language, ZoneId zone) {
    Map<String, DocumentValue> filled = new LinkedHashMap<>();
    source
        .matches()
        .forEach((own, match) -> filled.put(own, value(own, match, values, language, zone)));
    return new Filling(filled, language);
  }

  private DocumentValue value(
      String own, Match match, Values values, Locale language, ZoneId zone) {
    Template template = fields.get(own);
    if (template != null) {
      String text = Renderer.render(template, values, language, zone).text();
      if (!text.isBlank()) {
        return DocumentValue.of(values.get(match.field()), text, zone);
      }
    }
    return DocumentValue.words(match.otherwise());
  }

  /** What it says to one person, a line for each paragraph. */
  public String words(Filling filling) {
    return source.template().words(filling);
  }

  /** Fields of the records that are shown and have no value. */
  public Set<String> missing(Filling filling) {
    Set<String> missing = new LinkedHashSet<>();
    for (String own : source.template().missing(filling)) {
      Optional.ofNullable(source.matches().get(own)).map(Match::field).ifPresent(missing::add);
    }
    return missing;
  }
}
