package app.jemble.core.signup;

import app.jemble.core.reach.Channel;
import app.jemble.core.record.EmailAddress;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldException;
import app.jemble.core.record.FieldReader;
import app.jemble.core.record.FieldType;
import app.jemble.core.record.FieldUse;
import app.jemble.core.record.FieldValue;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What a page asks besides the address.
 *
 * @param asked in the order of the page
 */
public record SignUpForm(List<Asked> asked) {

  /** What the address is called in the form and on record. */
  public static final String EMAIL = "email";

  /** Values longer than this are no answer to a question on a page. */
  public static final int LONGEST = 500;

  private static final Set<FieldType> ASKABLE =
      Set.of(
          FieldType.TEXT,
          FieldType.NUMBER,
          FieldType.MONEY,
          FieldType.DAY,
          FieldType.FLAG,
          FieldType.CHOICE);

  /** What the house says of people, and not they of themselves. */
  private static final Set<String> THE_HOUSES_OWN =
      Set.of(
          EMAIL,
          "kind",
          "number",
          "plan",
          "status",
          "joined_on",
          "renews_on",
          "dues_owed",
          "stage",
          "source",
          "language",
          "time_zone",
          "asked_not",
          "app_installed");

  /** Ways beside e-mail that a page can offer its readers. */
  public static final Set<Channel> OFFERED = Set.of(Channel.TEXT, Channel.APP);

  /**
   * Whether what a page asks is enough to reach its readers on a way: a text needs their phone.
   *
   * @param asked the names of the fields
   */
  public static boolean asksEnoughFor(Channel way, Set<String> asked) {
    return way != Channel.TEXT || asked.contains("phone");
  }

  /** A field that is asked, and whether it must be answered. */
  public record Asked(Field field, boolean required) {}

  /** What is wrong with an answer. */
  public enum Fault {
    /** it must be answered */
    MISSING,
    /** no address that mail can be sent to */
    NO_ADDRESS,
    /** longer than an answer is */
    TOO_LONG,
    /** no day, number or choice of the field */
    NOT_READ
  }

  /**
   * What was typed, read.
   *
   * @param address the address as typed, blanks around it cut
   * @param values what was answered, by field; nothing of what was left empty
   * @param faults by the name of the field
   */
  public record Reading(String address, Map<String, FieldValue> values, Map<String, Fault> faults) {
    public boolean isGood() {
      return faults.isEmpty();
    }
  }

  public SignUpForm {
    asked = List.copyOf(asked);
  }

  /** Whether people may be asked for a field on a page that anybody can open. */
  public static boolean mayAsk(Field field) {
    return field.allows(FieldUse.EDIT)
        && ASKABLE.contains(field.type())
        && !THE_HOUSES_OWN.contains(field.name());
  }

  /**
   * Reads what was posted; names that the page does not ask for are passed over.
   *
   * @param given the posted texts by name
   */
  public Reading read(Map<String, String> given, FieldReader reader) {
    Map<String, FieldValue> values = new LinkedHashMap<>();
    Map<String, Fault> faults = new LinkedHashMap<>();
    String address = given.getOrDefault(EMAIL, "").strip();
    if (address.isEmpty()) {
      faults.put(EMAIL, Fault.MISSING);
    } else if (!EmailAddress.isValid(address)) {
      faults.put(EMAIL, Fault.NO_ADDRESS);
    }
    for (Asked question : asked) {
      String text = given.getOrDefault(question.field().name(), "");
      read(question, text, reader, values, faults);
    }
    return new Reading(address, values, faults);
  }

  private static void read(
      Asked question,
      String text,
      FieldReader reader,
      Map<String, FieldValue> values,
      Map<String, Fault> faults) {
    String name = question.field().name();
    if (text.length() > LONGEST) {
      faults.put(name, Fault.TOO_LONG);
      return;
    }
    try {
      FieldValue value = reader.read(question.field(), text);
      if (!value.isEmpty()) {
        values.put(name, value);
      } else if (question.required()) {
        faults.put(name, Fault.MISSING);
      }
    } catch (FieldException notRead) {
      faults.put(name, Fault.NOT_READ);
    }
  }
}
