package app.jemble.core.signup;

import app.jemble.core.record.FieldValue;
import app.jemble.core.record.Words;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * What somebody said who is on record already: it fills what is empty; what differs waits for a
 * colleague (section 16).
 *
 * @param fills what goes on record, by field
 * @param differs what was said otherwise than it stands, by field
 */
public record SaidAndKept(Map<String, FieldValue> fills, Map<String, FieldValue> differs) {

  /**
   * @param said by field
   * @param kept what stands on record, by field; a field that is not there is empty
   */
  public static SaidAndKept of(Map<String, FieldValue> said, Map<String, FieldValue> kept) {
    Map<String, FieldValue> fills = new LinkedHashMap<>();
    Map<String, FieldValue> differs = new LinkedHashMap<>();
    said.forEach(
        (field, value) -> {
          FieldValue stands = kept.getOrDefault(field, FieldValue.EMPTY);
          if (stands.isEmpty()) {
            fills.put(field, value);
          } else if (!isSame(value, stands)) {
            differs.put(field, value);
          }
        });
    return new SaidAndKept(fills, differs);
  }

  /** Letters in another case, and blanks, are no other answer. */
  private static boolean isSame(FieldValue said, FieldValue kept) {
    return said instanceof FieldValue.Text mine && kept instanceof FieldValue.Text theirs
        ? Words.fold(Words.tidy(mine.text())).equals(Words.fold(Words.tidy(theirs.text())))
        : said instanceof FieldValue.Amount mine && kept instanceof FieldValue.Amount theirs
            ? mine.number().compareTo(theirs.number()) == 0
            : said.equals(kept);
  }
}
