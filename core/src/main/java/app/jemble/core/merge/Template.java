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
  public Template {
    parts = List.copyOf(parts);
  }

  /** The names of all fields it asks for, in order of first use. */
  public Set<String> fields() {
    Set<String> names = new LinkedHashSet<>();
    collect(parts, names);
    return names;
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
      }
    }
  }
}
