package app.jemble.core.response;

import app.jemble.core.record.EmailAddress;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * Reads the machine part of a delivery report (RFC 3464 section 2): groups of fields with an empty
 * line between them, the first about the report, each other about one recipient.
 */
final class DeliveryReport {

  private DeliveryReport() {}

  /**
   * All who failed, with the code and the words of the first; else those whose mail is delayed;
   * empty when it names neither.
   */
  static Optional<SortedMail> read(String status) {
    List<String> failed = new ArrayList<>();
    List<String> delayed = new ArrayList<>();
    Map<String, String> first = Map.of();
    for (Map<String, String> group : groups(status)) {
      String action = group.getOrDefault("action", "").toLowerCase(Locale.ROOT);
      String address = address(group);
      if (action.startsWith("failed") && EmailAddress.isValid(address)) {
        first = failed.isEmpty() ? group : first;
        failed.add(address);
      } else if (action.startsWith("delayed")) {
        delayed.add(address);
      }
    }
    if (!failed.isEmpty()) {
      return Optional.of(returned(first, failed));
    }
    return delayed.isEmpty() ? Optional.empty() : Optional.of(new SortedMail.Delayed(delayed));
  }

  private static SortedMail returned(Map<String, String> first, List<String> failed) {
    String why = afterType(first.getOrDefault("diagnostic-code", ""));
    String given = first.getOrDefault("status", "").split("\\s", 2)[0];
    boolean general = given.isEmpty() || given.endsWith(".0.0");
    ReturnMeaning meaning =
        ReturnMeaning.of(general ? ReturnWords.enhanced(why).orElse(given) : given, why);
    return new SortedMail.Returned(meaning.forGood(), failed, meaning.code(), why);
  }

  private static String address(Map<String, String> group) {
    String original = afterType(group.getOrDefault("original-recipient", ""));
    String address =
        original.isEmpty() ? afterType(group.getOrDefault("final-recipient", "")) : original;
    return address.replaceAll("^<|>$", "");
  }

  /** {@code "rfc822; bea@okonjo.example"} gives {@code "bea@okonjo.example"}. */
  private static String afterType(String field) {
    return field.substring(field.indexOf(';') + 1).strip();
  }

  private static List<Map<String, String>> groups(String status) {
    List<Map<String, String>> groups = new ArrayList<>();
    String unfolded = status.replace("\r\n", "\n").replaceAll("\\n[ \\t]+", " ");
    for (String block : unfolded.split("\\n\\s*\\n")) {
      Map<String, String> group = new HashMap<>();
      for (String line : block.split("\\n")) {
        int colon = line.indexOf(':');
        if (colon > 0) {
          String name = line.substring(0, colon).strip().toLowerCase(Locale.ROOT);
          group.putIfAbsent(name, line.substring(colon + 1).strip());
        }
      }
      groups.add(group);
    }
    return groups;
  }
}
