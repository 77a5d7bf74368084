package app.jemble.core.filter;

import app.jemble.core.record.DayStyle;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.Related;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;

/**
 * What a typed filter is read with: the house's fields, what is called by name, and its calendar.
 *
 * @param fields the fields of what is listed
 * @param subject what is listed when it is not people, else null
 * @param names by the name of a field, what its values are called: lists, tags, colleagues
 * @param kept filters that were kept under a name
 */
public record TypedHouse(
    FieldCatalogue fields,
    Related subject,
    Map<String, List<Named>> names,
    List<Kept> kept,
    Calendar calendar) {

  /**
   * A value and what people call it.
   *
   * @param key as a filter writes it: the login of a colleague, the number of a mailing
   */
  public record Named(String name, String key) {}

  /** A filter that was kept under a name. */
  public record Kept(String name, Filter.Group filter) {}

  /**
   * The day on which it is typed.
   *
   * @param order whether the day or the month comes first in digits
   */
  public record Calendar(LocalDate today, DayStyle style) {}

  public TypedHouse {
    names = Map.copyOf(names);
    kept = List.copyOf(kept);
  }

  boolean isOfPeople() {
    return subject == null;
  }

  /** The kinds of people are named by themselves: "members". */
  boolean isKindOfPerson(Field field) {
    return isOfPeople()
        && field.name().equals("kind")
        && fields.find("kind").filter(field::equals).isPresent();
  }

  /** The fields of the records around people; of what is listed for null. */
  FieldCatalogue fields(Related scope) {
    return scope == null ? fields : fields.around(scope);
  }

  /** What the values of a field are called; its choices when it has some. */
  List<Named> named(Field field) {
    return field.choices().isEmpty()
        ? names.getOrDefault(field.name(), List.of())
        : field.choices().stream().map(c -> new Named(c, c)).toList();
  }
}
