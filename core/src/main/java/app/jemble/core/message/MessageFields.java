package app.jemble.core.message;

import app.jemble.core.record.Field;
import app.jemble.core.record.FieldType;
import app.jemble.core.record.FieldUse;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * The fields that belong to a message and not to a record. Writers know one of them, the link to
 * leave; the others are put in when the letter is dressed.
 */
public final class MessageFields {

  /** The address at which its reader leaves the list. */
  public static final String LEAVE = "leave_link";

  /** What the app of a person registers with. */
  public static final String APP_LINK = "app_link";

  /** The address of the open mark. */
  static final String MARK = "message.mark";

  private static final String LINK = "message.link_";

  private static final Pattern LEADS_OUT = Pattern.compile("\\{\\{\\s*" + LEAVE + "\\s*}}");

  private MessageFields() {}

  /** The name of the field that holds where a counted link leads, from 0. */
  static String link(int number) {
    return LINK + number;
  }

  /** The number of a counted link's field; -1 for every other field. */
  static int linkNumber(String field) {
    return field.startsWith(LINK) ? Integer.parseInt(field.substring(LINK.length())) : -1;
  }

  /** Links of the web are numbered, and those that begin with a merge field and may become any. */
  static boolean isNumbered(String address) {
    return isWeb(address) || (address.startsWith("{{") && !LEADS_OUT.matcher(address).matches());
  }

  static boolean isWeb(String address) {
    return address.regionMatches(true, 0, "http://", 0, 7)
        || address.regionMatches(true, 0, "https://", 0, 8);
  }

  /** What a dressed letter may name beside the fields of the catalogue. */
  static List<Field> of(int links) {
    List<Field> fields = new ArrayList<>();
    fields.add(field(MARK));
    for (int number = 0; number < links; number++) {
      fields.add(field(link(number)));
    }
    return fields;
  }

  private static Field field(String name) {
    return new Field(name, name, FieldType.TEXT, List.of(), Set.of(FieldUse.MERGE));
  }
}
