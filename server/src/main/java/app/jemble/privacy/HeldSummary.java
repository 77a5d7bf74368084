package app.jemble.privacy;

import app.jemble.core.record.Field;
import app.jemble.paper.PlainPdf;
import app.jemble.privacy.HeldOfPerson.Held;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;

/** What is held of a person, told shortly: what the template {@code held.ftlh} shows. */
public final class HeldSummary {

  /** A line of a table. */
  public record Line(String label, String text) {}

  /** The person's own row: its values stand in a table of their own. */
  static final String RECORD = "person";

  /** What each part of the record is called for people. */
  private static final Map<String, String> PARTS =
      Map.ofEntries(
          Map.entry("membership", "Membership"),
          Map.entry("task", "Tasks"),
          Map.entry("quote", "Quotes"),
          Map.entry("office", "Offices"),
          Map.entry("attendance", "Events"),
          Map.entry("list", "Lists"),
          Map.entry("message", "Messages to them"),
          Map.entry("response", "Responses"),
          Map.entry("own_wording", "Words for them alone"),
          Map.entry("follow_act", "What rules did"),
          Map.entry("series_entry", "Series"),
          Map.entry("occasion_turn", "Days to remember"),
          Map.entry("way_closed", "Ways they closed"),
          Map.entry("topic", "Topics they left"),
          Map.entry("device", "Devices with our app"),
          Map.entry("sign_up", "Sign-ups"),
          Map.entry("print_own", "Own words on labels"),
          Map.entry("print_item", "Labels and letters on paper"),
          Map.entry("change", "Changes of the record"),
          Map.entry("import_row", "Rows of files"));

  private final String name;
  private final String day;
  private final List<Line> values;
  private final List<Line> parts;
  private final List<Line> messages;

  private HeldSummary(
      String name, String day, List<Line> values, List<Line> parts, List<Line> messages) {
    this.name = name;
    this.day = day;
    this.values = values;
    this.parts = parts;
    this.messages = messages;
  }

  static HeldSummary of(
      Held held, List<Field> fields, Map<String, String> values, LocalDate day, ZoneId zone) {
    List<Line> lines =
        fields.stream()
            .filter(field -> values.containsKey(field.name()))
            .map(field -> new Line(field.label(), values.get(field.name())))
            .toList();
    TreeMap<String, String> counts = new TreeMap<>();
    held.record().forEach((part, rows) -> counts.put(words(part), Integer.toString(rows.size())));
    counts.remove(RECORD);
    List<Line> parts = new ArrayList<>();
    counts.forEach((part, count) -> parts.add(new Line(part, count)));
    return new HeldSummary(held.name(), day.toString(), lines, parts, messages(held, zone));
  }

  /** A part that has no words of its own yet is told by its name, not left out. */
  static String words(String part) {
    return PARTS.getOrDefault(part, part);
  }

  private static List<Line> messages(Held held, ZoneId zone) {
    record Dated(Instant at, Line line) {}
    Stream<Dated> sent =
        held.sent().stream()
            .map(
                m ->
                    new Dated(
                        m.at(), new Line(day(m.at(), zone) + ", sent", subject(m.subject()))));
    Stream<Dated> came =
        held.came().stream()
            .map(
                m ->
                    new Dated(
                        m.at(), new Line(day(m.at(), zone) + ", came", subject(m.subject()))));
    return Stream.concat(sent, came)
        .sorted(Comparator.comparing(Dated::at))
        .map(Dated::line)
        .toList();
  }

  private static String day(Instant at, ZoneId zone) {
    return LocalDate.ofInstant(at, zone).toString();
  }

  private static String subject(String subject) {
    return subject.isBlank() ? "(without a subject)" : subject;
  }

  public String getName() {
    return name;
  }

  public String getDay() {
    return day;
  }

  public List<Line> getValues() {
    return values;
  }

  public List<Line> getParts() {
    return parts;
  }

  public List<Line> getMessages() {
    return messages;
  }

  public String getFamilies() {
    return PlainPdf.families();
  }
}
