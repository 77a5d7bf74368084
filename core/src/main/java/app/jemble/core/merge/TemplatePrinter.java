package app.jemble.core.merge;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/** Writes a parsed template back as text; read again it gives the same template. */
public final class TemplatePrinter {

  private final TemplateParser.Kind kind;
  private final StringBuilder out = new StringBuilder();

  private TemplatePrinter(TemplateParser.Kind kind) {
    this.kind = kind;
  }

  /**
   * @param kind the kind it was parsed as: in HTML the inside of a merge field is HTML as well
   */
  public static String print(Template template, TemplateParser.Kind kind) {
    TemplatePrinter printer = new TemplatePrinter(kind);
    printer.printAll(template.parts());
    return printer.out.toString();
  }

  private void printAll(List<Part> parts) {
    for (Part part : parts) {
      if (part instanceof Part.Fixed fixed) {
        out.append(fixed.text());
      } else if (part instanceof Part.MergeField field) {
        tag(inside(field));
      } else if (part instanceof Part.Section section) {
        tag((section.inverted() ? "^" : "#") + section.field());
        printAll(section.parts());
        tag("/" + section.field());
      } else if (part instanceof Part.Partial partial) {
        tag("> " + partial.name());
      } else if (part instanceof Part.Note note) {
        tag("! " + note.text());
      }
    }
  }

  private void tag(String inside) {
    out.append("{{").append(written(inside, kind)).append("}}");
  }

  /** The inside of a merge field as it is written in a text of this kind. */
  static String written(String inside, TemplateParser.Kind kind) {
    if (kind != TemplateParser.Kind.HTML) {
      return inside;
    }
    StringBuilder escaped = new StringBuilder();
    Escaping.append(escaped, inside, Place.HTML_ATTRIBUTE);
    return escaped.toString();
  }

  private static String inside(Part.MergeField field) {
    return inside(field.sources(), field.format());
  }

  static String inside(List<Part.Source> tried, Optional<Part.Format> as) {
    String sources =
        tried.stream().map(TemplatePrinter::source).collect(Collectors.joining(" or "));
    return as.map(format -> sources + " as " + format(format)).orElse(sources);
  }

  private static String source(Part.Source source) {
    return source instanceof Part.Fallback fallback
        ? quoted(fallback.text())
        : ((Part.FieldSource) source).name();
  }

  private static String format(Part.Format format) {
    return format instanceof Part.DatePattern date
        ? quoted(date.pattern())
        : ((Part.NamedFormat) format).name().toLowerCase(Locale.ROOT);
  }

  /** A text that was read between one kind of quotation marks holds none of that kind. */
  private static String quoted(String text) {
    return text.contains("\"") ? "“" + text + "”" : "\"" + text + "\"";
  }
}
