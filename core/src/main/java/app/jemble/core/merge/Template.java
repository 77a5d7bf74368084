package app.jemble.core.merge;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * A parsed template, free of errors.
 *
 * @param parts its pieces in order
 */
public record Template(List<Part> parts) {

  private static final int A_VALUE = 24;

  public Template {
    parts = List.copyOf(parts);
  }

  /** The names of all fields it asks for, in order of first use. */
  public Set<String> fields() {
    Set<String> names = new LinkedHashSet<>();
    collect(parts, names);
    return names;
  }

  /** About how long one person's text gets, in UTF-16 units. */
  int likelyLength() {
    return likelyLength(parts);
  }

  private static int likelyLength(List<Part> parts) {
    int length = 0;
    for (Part part : parts) {
      if (part instanceof Part.Fixed fixed) {
        length += fixed.text().length();
      } else if (part instanceof Part.Section section) {
        length += likelyLength(section.parts());
      } else if (part instanceof Part.Partial partial) {
        length += likelyLength(partial.parts());
      } else {
        length += A_VALUE;
      }
    }
    return length;
  }

  private static void collect(List<Part> parts, Set<String> names) {
    for (Part part : parts) {
      if (part instanceof Part.MergeField field) {
        for (Part.Source source : field.sources()) {
          if (source instanceof Part.FieldSource named) {
            names.add(named.name());
          }
        }
      } else if (part instanceof Part.Section section) {
        names.add(section.field());
        collect(section.parts(), names);
      } else if (part instanceof Part.Partial partial) {
        collect(partial.parts(), names);
      }
    }
  }
}
