package app.jemble.core.document;

import java.util.Locale;
import java.util.Map;

/**
 * What one person's document is filled with.
 *
 * @param values by the document's own name of each field
 * @param language of the reader, for the pictures of dates and numbers
 */
public record Filling(Map<String, DocumentValue> values, Locale language) {

  public Filling {
    values = Map.copyOf(values);
  }

  DocumentValue of(String field) {
    return values.getOrDefault(field, DocumentValue.NONE);
  }
}
