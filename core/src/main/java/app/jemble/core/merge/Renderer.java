package app.jemble.core.merge;

import app.jemble.core.record.FieldValue;
import app.jemble.core.record.Values;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.TemporalAccessor;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/** Makes one person's text of a parsed template. Never throws for a parsed template. */
public final class Renderer {

  /**
   * One person's text.
   *
   * @param text the text, values escaped for where they stand
   * @param missing names of the fields that were asked for, had no value and had no fallback
   */
  public record Rendered(String text, Set<String> missing) {
    public Rendered {
      missing = FieldNames.inOrder(missing);
    }
  }

  private final Values values;
  private final Locale locale;
  private final ZoneId zone;
  private final StringBuilder out;
  private Set<String> missing = Set.of();

  private Renderer(Values values, Locale locale, ZoneId zone, int length) {
    this.values = values;
    this.locale = locale;
    this.zone = zone;
    this.out = new StringBuilder(length);
  }

  /**
   * @param template a parsed template
   * @param values what is known of the person
   * @param locale the person's language, for dates, money and lists
   * @param zone the zone in which instants are shown as days and times
   */
  public static Rendered render(Template template, Values values, Locale locale, ZoneId zone) {
    Renderer renderer = new Renderer(values, locale, zone, template.likelyLength());
    renderer.renderAll(template.parts());
    return new Rendered(renderer.out.toString(), renderer.missing);
  }

  private void renderAll(List<Part> parts) {
    for (int i = 0; i < parts.size(); i++) {
      Part part = parts.get(i);
      if (part instanceof Part.Fixed fixed) {
        out.append(fixed.text());
      } else if (part instanceof Part.MergeField field) {
        renderField(field);
      } else if (part instanceof Part.Section section) {
        if (values.get(section.field()).isTruthy() != section.inverted()) {
          renderAll(section.parts());
        }
      } else if (part instanceof Part.Partial partial) {
        renderAll(partial.parts());
      }
    }
  }

  private void renderField(Part.MergeField field) {
    for (Part.Source source : field.sources()) {
      if (source instanceof Part.Fallback fallback) {
        Escaping.append(out, fallback.text(), field.place());
        return;
      }
      FieldValue value = values.get(((Part.FieldSource) source).name());
      if (value instanceof FieldValue.Picture picture) {
        // The parser lets a picture stand nowhere but in an address, and its path is our own.
        out.append(picture.path());
        return;
      }
      if (value instanceof FieldValue.Lines lines) {
        showLines(lines.lines(), field);
        return;
      }
      if (!value.isEmpty()) {
        Escaping.append(out, show(value, field.format()), field.place());
        return;
      }
    }
    miss(((Part.FieldSource) field.sources().get(0)).name());
  }

  /** Lines stay lines where there can be any; elsewhere they are parted by commas. */
  private void showLines(List<String> lines, Part.MergeField field) {
    String parting =
        switch (field.place()) {
          case HTML_TEXT -> "<br>";
          case PLAIN_TEXT -> "\n";
          default -> ", ";
        };
    boolean capitals = field.format().orElse(null) == Part.NamedFormat.CAPITALS;
    for (int i = 0; i < lines.size(); i++) {
      String line = lines.get(i);
      out.append(i == 0 ? "" : parting);
      Escaping.append(out, capitals ? line.toUpperCase(locale) : line, field.place());
    }
  }

  private void miss(String field) {
    if (missing.isEmpty()) {
      missing = new LinkedHashSet<>();
    }
    missing.add(field);
  }

  private String show(FieldValue value, Optional<Part.Format> format) {
    Part.Format wanted = format.orElse(null);
    String shown;
    if (value instanceof FieldValue.Text t) {
      shown = t.text().strip();
    } else if (value instanceof FieldValue.Day d) {
      shown = showDate(d.day(), d.day(), wanted);
    } else if (value instanceof FieldValue.Moment m) {
      shown = showDate(m.instant().atZone(zone), m.instant().atZone(zone).toLocalDate(), wanted);
    } else if (value instanceof FieldValue.Money m) {
      shown = ShownNumbers.money(m, locale);
    } else if (value instanceof FieldValue.Amount a) {
      shown = ShownNumbers.number(a.number(), locale);
    } else if (value instanceof FieldValue.Tags t) {
      shown = String.join(", ", t.tags());
    } else {
      shown = ((FieldValue.Flag) value).yes() ? "yes" : "no";
    }
    return wanted == Part.NamedFormat.CAPITALS ? shown.toUpperCase(locale) : shown;
  }

  /** A pattern that asks more than the value has (hours of a day) falls back to the long date. */
  private String showDate(TemporalAccessor exact, LocalDate day, Part.Format wanted) {
    if (wanted instanceof Part.DatePattern p) {
      try {
        return ShownDates.pattern(p.pattern(), locale).format(exact);
      } catch (DateTimeException notInTheValue) {
        return longDate(day);
      }
    }
    return longDate(day);
  }

  private String longDate(LocalDate day) {
    return ShownDates.inFull(locale).format(day);
  }
}
