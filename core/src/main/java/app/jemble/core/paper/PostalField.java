package app.jemble.core.paper;

import app.jemble.core.paper.PostalLines.Postal;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.Values;
import java.util.Locale;

/** The merge field that is a whole postal address, made of the parts that are on record. */
public final class PostalField {

  public static final String NAME = "address.lines";

  private PostalField() {}

  /** The address on record; what is not there is empty. */
  public static Postal of(Values person) {
    return new Postal(
        part(person, "street"),
        part(person, "postcode"),
        part(person, "place"),
        part(person, "country"));
  }

  private static String part(Values person, String part) {
    return person.get("address." + part) instanceof FieldValue.Text text ? text.text() : "";
  }

  /**
   * A person's values with that of the field, which is empty where a letter could not arrive.
   *
   * @param house where letters are posted
   * @param language of the line for the country
   */
  public static Values over(Values person, Country house, Locale language) {
    return field -> {
      if (!field.equals(NAME)) {
        return person.get(field);
      }
      Postal address = of(person);
      return address.isWhole()
          ? FieldValue.lines(PostalLines.of(address, house, language))
          : FieldValue.EMPTY;
    };
  }
}
