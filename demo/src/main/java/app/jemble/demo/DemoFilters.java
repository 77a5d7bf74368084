package app.jemble.demo;

import java.util.List;
import java.util.Locale;

/** Filters that colleagues keep and share, to begin with. */
final class DemoFilters {

  /** A kept filter; the filter as the API writes it. */
  record Kept(String subject, String name, String login, String filter) {}

  private static final String MEMBERS = where("kind", "ANY_OF", "member");

  static final List<Kept> ALL =
      List.of(
          people(
              "Long unseen members",
              "orla",
              all(MEMBERS, where("last_visit", "AGO", "12", "months"))),
          people(
              "Joined in this month, any year",
              "orla",
              all(MEMBERS, where("joined_on", "IN_MONTH", "this"))),
          people(
              "New last month",
              "orla",
              all(MEMBERS, where("joined_on", "IN_PERIOD", "last month"))),
          people("Dues unpaid", "orla", all(MEMBERS, where("dues_owed", "MORE", "0"))),
          people(
              "The committee",
              "orla",
              has("OFFICE", where("body", "IS", "Committee"), where("until", "EMPTY"))),
          people("Birthday within a week", "orla", all(where("birthday", "COMES_ROUND", "7"))),
          people(
              "Leads I am talking with",
              "tomas",
              all(
                  where("kind", "ANY_OF", "lead"),
                  where("stage", "ANY_OF", "talking", "quoted"),
                  where("owner", "IS_ME"))),
          people(
              "Open quotes of this week",
              "tomas",
              has(
                  "QUOTE",
                  where("sent_on", "IN_PERIOD", "this week"),
                  where("stage", "ANY_OF", "open"))),
          people(
              "Introduced by me, within three steps",
              "tomas",
              all(where("introduced_by", "INTRODUCED", "me", "3"))),
          people(
              "A task is due today",
              "tomas",
              has("TASK", where("due_on", "IN_PERIOD", "today"), where("done", "NO"))),
          new Kept(
              "quotes", "Sent this week", "tomas", all(where("sent_on", "IN_PERIOD", "this week"))),
          new Kept(
              "tasks",
              "Mine, due by now",
              "tomas",
              all(
                  where("owner", "IS_ME"),
                  where("done", "NO"),
                  where("due_on", "IN_LAST", "60", "days"))));

  private DemoFilters() {}

  private static Kept people(String name, String login, String filter) {
    return new Kept("people", name, login, filter);
  }

  private static String where(String field, String operator, String... values) {
    return String.format(
        Locale.ROOT,
        "{\"field\": \"%s\", \"operator\": \"%s\", \"values\": [%s]}",
        field,
        operator,
        String.join(", ", List.of(values).stream().map(v -> '"' + v + '"').toList()));
  }

  private static String all(String... conditions) {
    return String.format(
        Locale.ROOT,
        "{\"match\": \"ALL\", \"conditions\": [%s], \"related\": [], \"groups\": []}",
        String.join(", ", conditions));
  }

  private static String has(String kind, String... conditions) {
    return String.format(
        Locale.ROOT,
        "{\"match\": \"ALL\", \"conditions\": [], \"related\": [{\"kind\": \"%s\", \"atLeast\": 1, \"where\": %s}], \"groups\": []}",
        kind,
        all(conditions));
  }
}
