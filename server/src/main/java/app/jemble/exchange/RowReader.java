package app.jemble.exchange;

import static app.jemble.core.record.Words.fold;

import app.jemble.account.Account;
import app.jemble.core.exchange.ColumnMatch;
import app.jemble.core.paper.Country;
import app.jemble.core.paper.PostalLines.Postal;
import app.jemble.core.paper.PostalReading;
import app.jemble.core.record.EmailAddress;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldException;
import app.jemble.core.record.FieldReader;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.FullName;
import app.jemble.record.FieldJson;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Reads the cells of a row as values of fields, and finds what the person is known by. */
final class RowReader {

  /**
   * A row as it was read.
   *
   * @param values a JSON object by field name; empty cells are left out
   * @param problem why the row cannot be taken, or null
   * @param note which cells were left out or not parted, where the rest is taken; or null
   * @param key what the person is known by: e: and an e-mail, n: and a number, p: with name and
   *     postcode; null when the row says none of them
   */
  record Read(String values, String problem, String note, String key) {}

  private final List<Field> columns = new ArrayList<>();
  private final ImportChoices choices;
  private final FieldReader reader;
  private final FieldJson json;
  private final Map<String, String> logins = new LinkedHashMap<>();
  private final FieldCatalogue fields;
  private final Country house;

  /**
   * @param house the country of addresses that name none
   */
  RowReader(
      ImportChoices choices,
      FieldCatalogue fields,
      FieldReader reader,
      List<Account> colleagues,
      Country house,
      FieldJson json) {
    this.choices = choices;
    this.fields = fields;
    this.reader = reader;
    this.house = house;
    this.json = json;
    for (String column : choices.columns()) {
      columns.add(column == null ? null : fields.find(column).orElseThrow());
    }
    for (Account colleague : colleagues) {
      logins.put(fold(colleague.login()), colleague.login());
      logins.put(fold(colleague.name()), colleague.login());
    }
  }

  /** A cell that cannot be read is left out and named; without what it is known by no row goes. */
  Read read(List<String> cells) {
    Map<String, FieldValue> values = new LinkedHashMap<>();
    List<String> notes = new ArrayList<>();
    Locale language = language(cells);
    for (int i = 0; i < columns.size() && i < cells.size(); i++) {
      Field field = columns.get(i);
      if (field != null && !cells.get(i).isBlank()) {
        try {
          take(field, cells.get(i), language, values, notes);
        } catch (FieldException wrong) {
          if (isKey(field)) {
            return new Read(json.writeAll(values), wrong.getMessage(), null, null);
          }
          notes.add("Left out: " + wrong.getMessage());
        }
      }
    }
    return judge(values, notes.isEmpty() ? null : String.join(" ", notes));
  }

  private boolean isKey(Field field) {
    return switch (choices.sameBy()) {
      case EMAIL -> field.name().equals("email");
      case NUMBER -> field.name().equals("number");
      case NAME_AND_POSTCODE ->
          field.name().equals(ColumnMatch.WHOLE_NAME)
              || field.name().equals("address.postcode")
              || field.name().equals(ColumnMatch.WHOLE_ADDRESS)
              || field.name().endsWith("_name");
    };
  }

  /** How names are parted depends on it. */
  private Locale language(List<String> cells) {
    for (int i = 0; i < columns.size() && i < cells.size(); i++) {
      if (columns.get(i) != null && columns.get(i).name().equals("language")) {
        return Locale.forLanguageTag(cells.get(i).strip().replace('_', '-'));
      }
    }
    return Locale.ROOT;
  }

  private void take(
      Field field,
      String cell,
      Locale language,
      Map<String, FieldValue> values,
      List<String> notes) {
    if (field.name().equals(ColumnMatch.WHOLE_NAME)) {
      FullName name = FullName.of(cell, language);
      part("first_name", name.first(), values);
      part("last_name", name.last(), values);
    } else if (field.name().equals(ColumnMatch.WHOLE_ADDRESS)) {
      address(cell, values, notes);
    } else if (field.name().equals("owner")) {
      String login = logins.get(fold(cell.strip()));
      if (login == null) {
        throw new FieldException("owner", "There is no colleague named “" + cell.strip() + "”.");
      }
      put(field, FieldValue.text(login), values);
    } else {
      put(field, reader.read(field, cell), values);
    }
  }

  /** In its parts; what cannot be parted stands whole as the street, and is said. */
  private void address(String cell, Map<String, FieldValue> values, List<String> notes) {
    Optional<Postal> read = PostalReading.of(cell, house);
    if (read.isEmpty()) {
      notes.add("The address cannot be parted and stands whole as the street: " + cell.strip());
    }
    Postal address = read.orElseGet(() -> new Postal(cell.strip(), "", "", ""));
    part("address.street", address.street(), values);
    part("address.postcode", address.postcode(), values);
    part("address.place", address.place(), values);
    part("address.country", address.country(), values);
  }

  private void part(String name, String text, Map<String, FieldValue> values) {
    Field field = fields.find(name).orElseThrow();
    put(field, reader.read(field, text), values);
  }

  private static void put(Field field, FieldValue value, Map<String, FieldValue> values) {
    if (!value.isEmpty()) {
      values.put(field.name(), value);
    }
  }

  private Read judge(Map<String, FieldValue> values, String note) {
    if (values.isEmpty()) {
      return new Read("{}", note == null ? "There is nothing in this row." : note, null, null);
    }
    String key = key(values);
    if (key == null) {
      return new Read(
          json.writeAll(values),
          "There is no " + wanted() + " to know this person by.",
          null,
          null);
    }
    return new Read(json.writeAll(values), null, note, key);
  }

  /** By what was chosen; where a row lacks it, by name and postcode. */
  private String key(Map<String, FieldValue> values) {
    String chosen =
        switch (choices.sameBy()) {
          case EMAIL -> prefixed("e:", EmailAddress.key(text(values, "email")));
          case NUMBER -> prefixed("n:", text(values, "number"));
          case NAME_AND_POSTCODE -> null;
        };
    String name = (text(values, "first_name") + " " + text(values, "last_name")).strip();
    String postcode = text(values, "address.postcode").replace(" ", "");
    boolean both = !name.isEmpty() && !postcode.isEmpty();
    return chosen != null ? chosen : both ? "p:" + fold(name) + "|" + fold(postcode) : null;
  }

  private String wanted() {
    return switch (choices.sameBy()) {
      case EMAIL -> "e-mail, nor name and postcode,";
      case NUMBER -> "number, nor name and postcode,";
      case NAME_AND_POSTCODE -> "name with a postcode";
    };
  }

  private static String prefixed(String prefix, String value) {
    return value.isEmpty() ? null : prefix + value;
  }

  private static String text(Map<String, FieldValue> values, String field) {
    return values.get(field) instanceof FieldValue.Text t ? t.text() : "";
  }
}
