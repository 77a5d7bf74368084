package app.jemble.core.merge;

import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldType;
import app.jemble.core.record.FieldUse;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jsoup.parser.Parser;

/**
 * Reads template text. Trouble is returned as values, all of it at once; a template is only given
 * when there is none.
 */
public final class TemplateParser {

  /** What a template's text is, and so how values in it are escaped. */
  public enum Kind {
    HTML,
    HEADER,
    PLAIN_TEXT,
    /** where a link leads, by itself: no markup, but values are made safe as in an address */
    ADDRESS
  }

  /**
   * What came of parsing.
   *
   * @param template present when there are no errors
   * @param errors in order of position
   */
  public record Parsed(Optional<Template> template, List<TemplateError> errors) {
    public Parsed {
      errors = List.copyOf(errors);
    }
  }

  /** Letters and the like use a few hundred thousand at most; pictures stand beside the text. */
  public static final int MOST_CHARACTERS = 1_000_000;

  static final int MOST_TAGS = 10_000;
  static final int LONGEST_TAG = 1_000;

  /** Passages within passages. */
  static final int DEEPEST = 20;

  /** Nobody reads more of them at once. */
  private static final int MOST_ERRORS = 50;

  private record Open(String field, boolean inverted, List<Part> parts, int offset) {}

  private final String text;
  private final Kind kind;
  private final FieldCatalogue catalogue;
  private final Map<String, String> partials;
  private final List<TemplateError> errors = new ArrayList<>();
  private final Deque<Open> open = new ArrayDeque<>();
  private final HtmlPlaces places = new HtmlPlaces();
  private final Lines lines;
  private int tags;
  private boolean tooDeep;
  private boolean begun;

  private TemplateParser(
      String text, Kind kind, FieldCatalogue catalogue, Map<String, String> partials) {
    this.text = text;
    this.kind = kind;
    this.catalogue = catalogue;
    this.partials = partials;
    this.lines = new Lines(text);
    open.push(new Open("", false, new ArrayList<>(), 0));
  }

  /** Parses a text; every field it names must be a merge field of the catalogue. */
  public static Parsed parse(String text, Kind kind, FieldCatalogue catalogue) {
    return parse(text, kind, catalogue, Map.of());
  }

  /**
   * Parses a text into which others may be put by name, as {@code {{> signature}}}.
   *
   * @param partials those other texts, of the same kind; none of them holds another
   */
  public static Parsed parse(
      String text, Kind kind, FieldCatalogue catalogue, Map<String, String> partials) {
    return new TemplateParser(text, kind, catalogue, partials).parse();
  }

  private Parsed parse() {
    if (text.length() > MOST_CHARACTERS) {
      error(0, "A text has at most a million characters.");
      return new Parsed(Optional.empty(), errors);
    }
    int at = 0;
    while (at < text.length() && errors.size() < MOST_ERRORS && !tooDeep) {
      int start = text.indexOf("{{", at);
      if (start < 0) {
        addFixed(text.substring(at));
        break;
      }
      addFixed(text.substring(at, start));
      int end = text.indexOf("}}", start + 2);
      if (end < 0) {
        error(start, "This merge field is never closed; write }} after it.");
        break;
      }
      if (++tags > MOST_TAGS) {
        error(start, "A text has at most 10,000 merge fields and passages.");
        break;
      }
      if (end - start > LONGEST_TAG) {
        error(start, "A merge field has at most 1,000 characters; is }} missing?");
      } else {
        readTag(start, text.substring(start + 2, end));
      }
      at = end + 2;
    }
    closeRest();
    Optional<Template> template =
        errors.isEmpty() ? Optional.of(new Template(open.peek().parts())) : Optional.empty();
    return new Parsed(template, errors);
  }

  private void addFixed(String fixed) {
    if (!fixed.isEmpty()) {
      add(new Part.Fixed(fixed));
      places.read(fixed);
    }
  }

  private void readTag(int start, String inside) {
    // Cleaned HTML writes quotation marks and the like as entities, also inside a merge field.
    String content = (kind == Kind.HTML ? Parser.unescapeEntities(inside, false) : inside).strip();
    if (content.isEmpty()) {
      error(start, "An empty merge field; write a field's name between {{ and }}.");
      return;
    }
    switch (content.charAt(0)) {
      case '!' -> add(new Part.Note(content.substring(1).strip()));
      case '#' -> openSection(start, content.substring(1).strip(), false);
      case '^' -> openSection(start, content.substring(1).strip(), true);
      case '/' -> closeSection(start, content.substring(1).strip());
      case '{', '&' ->
          error(
              start,
              "Values are always made safe for where they stand; write {{name}} with two braces.");
      case '>' -> addPartial(start, content.substring(1).strip());
      case '=' -> error(start, "“=” has no meaning here; write a field's name.");
      default -> addMergeField(start, content);
    }
  }

  private void addPartial(int start, String name) {
    String inside = partials.get(name);
    if (inside == null) {
      error(start, noPartial(name));
      return;
    }
    if (kind == Kind.HTML && places.here() != Place.HTML_TEXT) {
      error(start, "{{> " + name + "}} stands between tags, not inside one.");
      return;
    }
    Parsed parsed = parse(inside, kind, catalogue);
    parsed.errors().forEach(e -> error(start, "In the " + name + ": " + e.sentence()));
    parsed.template().ifPresent(t -> add(new Part.Partial(name, t.parts())));
  }

  private String noPartial(String name) {
    return partials.isEmpty()
        ? "No other text can be put in here."
        : "There is no text named “"
            + name
            + "” to put in here; there is "
            + String.join(", ", partials.keySet())
            + ".";
  }

  private void openSection(int start, String name, boolean inverted) {
    known(start, name);
    if (open.size() > DEEPEST) {
      error(start, "Passages stand in one another at most 20 deep.");
      tooDeep = true;
      return;
    }
    open.push(new Open(name, inverted, new ArrayList<>(), start));
  }

  private void closeSection(int start, String name) {
    if (open.size() == 1) {
      error(start, "Nothing is open here that {{/" + name + "}} could close.");
      return;
    }
    Open section = open.peek();
    if (!section.field().equals(name)) {
      error(start, "{{/" + name + "}} stands where {{/" + section.field() + "}} is needed.");
    }
    closeTop();
  }

  private void closeTop() {
    Open section = open.pop();
    add(
        new Part.Section(
            section.field(), section.inverted(), section.parts(), lines.at(section.offset())));
  }

  private void closeRest() {
    while (open.size() > 1) {
      Open section = open.peek();
      if (errors.size() < MOST_ERRORS) {
        error(
            section.offset(),
            "The passage for "
                + section.field()
                + " is never closed; write {{/"
                + section.field()
                + "}}.");
      }
      closeTop();
    }
  }

  private void addMergeField(int start, String content) {
    MergeFieldReader.Read read = MergeFieldReader.read(content);
    if (read.problem() != null) {
      error(start, read.problem());
      return;
    }
    for (Part.Source source : read.sources()) {
      if (source instanceof Part.FieldSource named) {
        known(start, named.name());
      }
    }
    if (kind == Kind.HTML && places.bareInTag()) {
      error(start, "A merge field inside a tag must stand between quotation marks.");
      return;
    }
    Place place = place();
    if (place != Place.URL_START && namesPicture(read.sources())) {
      error(start, "A picture can only stand where the address of a picture stands.");
      return;
    }
    add(new Part.MergeField(read.sources(), read.format(), place, lines.at(start)));
  }

  private boolean namesPicture(List<Part.Source> sources) {
    return sources.stream()
        .anyMatch(
            source ->
                source instanceof Part.FieldSource named
                    && catalogue
                        .find(named.name())
                        .filter(f -> f.type() == FieldType.PICTURE)
                        .isPresent());
  }

  private Place place() {
    return switch (kind) {
      case HTML -> places.here();
      case HEADER -> Place.HEADER;
      case PLAIN_TEXT -> Place.PLAIN_TEXT;
      case ADDRESS -> begun ? Place.URL_PART : Place.BARE_ADDRESS_START;
    };
  }

  private void known(int start, String name) {
    boolean isKnown = catalogue.find(name).filter(f -> f.allows(FieldUse.MERGE)).isPresent();
    if (!isKnown) {
      String suggestion =
          catalogue.suggest(name, FieldUse.MERGE).map(s -> " Did you mean " + s + "?").orElse("");
      error(start, "There is no field named “" + name + "”." + suggestion);
    }
  }

  private void add(Part part) {
    open.peek().parts().add(part);
    begun |= part instanceof Part.Fixed || part instanceof Part.MergeField;
  }

  private void error(int offset, String sentence) {
    errors.add(new TemplateError(lines.at(offset), sentence));
  }
}
