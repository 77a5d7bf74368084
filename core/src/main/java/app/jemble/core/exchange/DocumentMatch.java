package app.jemble.core.exchange;

import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldUse;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/** Which field of the records each field of a document stands for, by the likeness of its name. */
public final class DocumentMatch {

  /** What documents call what no column of a file can be (common practice). */
  private static final Map<String, String> ALSO =
      Map.of(
          "addressblock", "address.lines",
          "address block", "address.lines",
          "postal address", "address.lines",
          "sender", "sender.name");

  private DocumentMatch() {}

  /**
   * The name of a field for each, or null where none is like it.
   *
   * @param own the document's own names
   */
  public static Map<String, String> propose(Set<String> own, FieldCatalogue fields) {
    List<String> names = new ArrayList<>(own);
    List<String> words = names.stream().map(DocumentMatch::words).toList();
    List<String> found =
        ColumnMatch.propose(words, words.stream().map(w -> List.<String>of()).toList(), fields);
    Map<String, String> proposed = new LinkedHashMap<>();
    for (int i = 0; i < names.size(); i++) {
      String exact = names.get(i).toLowerCase(Locale.ROOT);
      String field = ALSO.getOrDefault(words.get(i), found.get(i));
      proposed.put(names.get(i), mayStand(exact, fields) ? exact : usable(field, fields));
    }
    return proposed;
  }

  private static String usable(String field, FieldCatalogue fields) {
    return field != null && mayStand(field, fields) ? field : null;
  }

  private static boolean mayStand(String field, FieldCatalogue fields) {
    return fields.find(field).filter(f -> f.allows(FieldUse.MERGE)).isPresent();
  }

  /** "FirstName" and "first_name" are "first name". */
  private static String words(String name) {
    return name.replaceAll("(?<=\\p{Ll})(?=\\p{Lu})", " ")
        .replaceAll("[_.\\-]+", " ")
        .strip()
        .toLowerCase(Locale.ROOT);
  }
}
