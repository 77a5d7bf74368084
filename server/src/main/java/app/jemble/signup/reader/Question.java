package app.jemble.signup.reader;

import app.jemble.core.record.Field;
import app.jemble.core.record.FieldType;
import app.jemble.core.signup.SignUpForm;
import app.jemble.core.signup.SignUpForm.Fault;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * A question of a page as its reader sees it.
 *
 * @param kind FLAG, CHOICE, or another type of field
 * @param input the type of its box (HTML, section of input types)
 * @param autocomplete what browsers know of their owner (WCAG 2.2, 1.3.5); empty when nothing
 * @param value as it was typed
 * @param fault a sentence, or empty
 */
public record Question(
    String name,
    String label,
    String kind,
    String input,
    String autocomplete,
    boolean required,
    List<String> choices,
    String value,
    String fault) {

  private static final Map<String, String> KNOWN =
      Map.ofEntries(
          Map.entry("email", "email"),
          Map.entry("honorific", "honorific-prefix"),
          Map.entry("first_name", "given-name"),
          Map.entry("last_name", "family-name"),
          Map.entry("phone", "tel"),
          Map.entry("birthday", "bday"),
          Map.entry("organisation.name", "organization"),
          Map.entry("address.street", "street-address"),
          Map.entry("address.postcode", "postal-code"),
          Map.entry("address.place", "address-level2"),
          Map.entry("address.country", "country-name"));

  /** The address, then what the page asks for. */
  static List<Question> of(
      SignUpForm form,
      Map<String, String> given,
      Map<String, Fault> faults,
      Map<String, String> words) {
    List<Question> all = new ArrayList<>();
    all.add(
        new Question(
            SignUpForm.EMAIL,
            words.get("email"),
            "EMAIL",
            "email",
            "email",
            true,
            List.of(),
            given.getOrDefault(SignUpForm.EMAIL, ""),
            sentence(faults.get(SignUpForm.EMAIL), words)));
    for (SignUpForm.Asked asked : form.asked()) {
      Field field = asked.field();
      all.add(
          new Question(
              field.name(),
              words.getOrDefault("field." + field.name(), field.label()),
              field.type().name(),
              input(field),
              KNOWN.getOrDefault(field.name(), ""),
              asked.required(),
              field.choices(),
              given.getOrDefault(field.name(), ""),
              sentence(faults.get(field.name()), words)));
    }
    return all;
  }

  private static String input(Field field) {
    if (field.name().equals("phone")) {
      return "tel";
    }
    return field.type() == FieldType.DAY ? "date" : "text";
  }

  private static String sentence(Fault fault, Map<String, String> words) {
    return fault == null
        ? ""
        : words.get(
            switch (fault) {
              case MISSING -> "missing";
              case NO_ADDRESS -> "noAddress";
              case TOO_LONG -> "tooLong";
              case NOT_READ -> "notRead";
            });
  }
}
