package app.jemble.core.exchange;

import app.jemble.core.paper.PostalField;
import app.jemble.core.paper.PostalReading;
import app.jemble.core.record.EmailAddress;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldUse;
import app.jemble.core.record.Words;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Which field the columns of a file stand for, by the likeness of their headers. */
public final class ColumnMatch {

  /** What headers are called besides the labels of the fields (common practice). */
  private static final Map<String, List<String>> ALSO =
      Map.ofEntries(
          Map.entry("name", List.of("full name", "member name", "contact name")),
          Map.entry("first_name", List.of("first", "given name", "forename", "christian name")),
          Map.entry("last_name", List.of("last", "surname", "family name")),
          Map.entry("honorific", List.of("title", "salutation", "prefix")),
          Map.entry("email", List.of("e mail", "mail", "email address", "e mail address")),
          Map.entry("phone", List.of("telephone", "tel", "mobile", "phone number", "cell")),
          Map.entry(
              "number",
              List.of("no", "member no", "member number", "membership number", "customer number")),
          Map.entry("plan", List.of("membership", "membership plan", "membership type")),
          Map.entry("joined_on", List.of("join date", "joined on", "member since", "date joined")),
          Map.entry("renews_on", List.of("renewal", "renewal date", "expires")),
          Map.entry("dues_owed", List.of("dues", "balance", "owed", "outstanding")),
          Map.entry("last_visit", List.of("last seen", "last visited")),
          Map.entry("birthday", List.of("date of birth", "dob", "born", "birth date")),
          Map.entry("tags", List.of("tags", "labels", "groups")),
          Map.entry("organisation.name", List.of("company", "organization", "firm", "school")),
          Map.entry("address.street", List.of("address", "street address", "address line 1")),
          Map.entry("address.postcode", List.of("post code", "zip", "zip code", "postal code")),
          Map.entry("address.place", List.of("city", "town")),
          Map.entry("source", List.of("lead source", "origin", "heard from")),
          Map.entry("language", List.of("lang")),
          Map.entry("asked_not", List.of("do not contact", "opted out", "no mail")),
          Map.entry("no_mail", List.of("no email", "email opt out", "unsubscribed")),
          Map.entry("no_texts", List.of("no sms", "no text messages", "sms opt out")),
          Map.entry("no_notices", List.of("no push", "no app notices", "push opt out")),
          Map.entry("time_zone", List.of("timezone", "tz")));

  private static final double NEAR = 0.78;

  /**
   * A column that holds first and last name together; see {@link app.jemble.core.record.FullName}.
   */
  public static final String WHOLE_NAME = "name";

  /** A column that holds a whole postal address; see {@link PostalReading}. */
  public static final String WHOLE_ADDRESS = PostalField.NAME;

  /** Columns that hold parts of one. */
  public static final List<String> PARTS_OF_ADDRESS =
      List.of("address.street", "address.postcode", "address.place");

  private ColumnMatch() {}

  /**
   * The name of a field for each header, or null where none is like it; no field twice. The likest
   * pairs are matched first.
   *
   * @param samples the first cells of each column: a column of addresses is the e-mail, whatever it
   *     is called
   */
  public static List<String> propose(
      List<String> headers, List<List<String>> samples, FieldCatalogue fields) {
    List<Pair> pairs = new ArrayList<>();
    for (int column = 0; column < headers.size(); column++) {
      for (Field field : fields.all(FieldUse.FILTER)) {
        if (!mayBe(field)) {
          continue;
        }
        double likeness = likeness(headers.get(column), field);
        if (field.name().equals("email") && areAddresses(samples.get(column))) {
          likeness = Math.max(likeness, 0.9);
        }
        if (likeness >= NEAR) {
          pairs.add(new Pair(column, field.name(), likeness));
        }
      }
    }
    pairs.sort((a, b) -> Double.compare(b.likeness(), a.likeness()));
    String[] proposed = new String[headers.size()];
    Set<String> taken = new HashSet<>();
    for (Pair pair : pairs) {
      if (proposed[pair.column()] == null && taken.add(pair.field())) {
        proposed[pair.column()] = pair.field();
      }
    }
    wholeAddress(proposed, samples);
    return Arrays.asList(proposed);
  }

  /** Where nothing else of an address has a column, one of several pieces is the whole of it. */
  private static void wholeAddress(String[] proposed, List<List<String>> samples) {
    List<String> columns = Arrays.asList(proposed);
    int street = columns.indexOf("address.street");
    boolean alone = PARTS_OF_ADDRESS.stream().filter(columns::contains).count() == 1;
    if (street >= 0 && alone && inPieces(samples.get(street))) {
      proposed[street] = WHOLE_ADDRESS;
    }
  }

  private static boolean inPieces(List<String> cells) {
    List<String> filled = cells.stream().filter(c -> !c.isBlank()).toList();
    long parted = filled.stream().filter(c -> c.strip().matches("(?s).*[,;\\n].*")).count();
    return !filled.isEmpty() && parted * 2 > filled.size();
  }

  /** Whether a column of a file can be a field. */
  public static boolean mayBe(Field field) {
    return field.allows(FieldUse.EDIT)
        || field.allows(FieldUse.BRING_IN)
        || field.name().equals(WHOLE_NAME)
        || field.name().equals(WHOLE_ADDRESS);
  }

  private record Pair(int column, String field, double likeness) {}

  private static double likeness(String header, Field field) {
    String asked = plain(header);
    if (asked.isEmpty()) {
      return 0;
    }
    double best = Math.max(alike(asked, plain(field.label())), alike(asked, plain(field.name())));
    for (String other : ALSO.getOrDefault(field.name(), List.of())) {
      best = Math.max(best, 0.99 * alike(asked, other));
    }
    return best;
  }

  private static String plain(String header) {
    return Words.fold(header).replaceAll("[^\\p{L}\\p{N}]+", " ").strip();
  }

  /** 1 for equal words, less for each letter that differs. */
  private static double alike(String a, String b) {
    if (a.equals(b)) {
      return 1;
    }
    int longest = Math.max(a.length(), b.length());
    return longest < 4 ? 0 : 1 - (double) Words.distance(a, b) / longest;
  }

  private static boolean areAddresses(List<String> cells) {
    List<String> filled = cells.stream().filter(c -> !c.isBlank()).toList();
    long addresses = filled.stream().filter(c -> EmailAddress.isValid(c.strip())).count();
    return !filled.isEmpty() && addresses * 2 > filled.size();
  }
}
