package app.jemble.core.pace;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeSet;

/**
 * A plan as a sentence: "Mon 30 Nov 09:00, 40 every 15 minutes, Mon–Fri 09:00–12:00 on each
 * person's own clock, done by Fri 4 Dec". What it writes, {@link PlanSentenceReader} reads.
 */
public final class PlanSentence {

  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("EEE d ", Locale.ENGLISH);
  private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("HH:mm", Locale.ROOT);
  private static final String DASH = "–";

  private PlanSentence() {}

  /**
   * The plan in words.
   *
   * @param today the day on which it is read; other years are written
   * @param house the workspace's zone, which is not named
   */
  public static String of(PlanWish plan, LocalDate today, ZoneId house) {
    List<String> clauses = new ArrayList<>();
    clauses.add(start(plan, today, house));
    clauses.add(
        plan.wavePeople() == null
            ? "all at once"
            : plan.wavePeople() + " every " + gap(plan.gapSeconds()));
    if (plan.hours() != null || plan.ownClock()) {
      String hours = plan.hours() == null ? "the usual hours" : hours(plan.hours());
      clauses.add(hours + (plan.ownClock() ? " on each person’s own clock" : ""));
    }
    if (plan.doneBy() != null) {
      clauses.add("done by " + day(plan.doneBy(), today));
    }
    return String.join(", ", clauses);
  }

  private static String start(PlanWish plan, LocalDate today, ZoneId house) {
    if (plan.start() == null) {
      return "now";
    }
    String at = day(plan.start().toLocalDate(), today) + " " + CLOCK.format(plan.start());
    if (plan.startOwn()) {
      return at + " each person’s own time";
    }
    ZoneId zone = plan.startZone();
    return zone == null || zone.equals(house) ? at : at + " " + city(zone) + " time";
  }

  /** "Tue 24 Mar", with the year when it is not this one. Months have three letters. */
  public static String day(LocalDate day, LocalDate today) {
    String month = day.getMonth().getDisplayName(TextStyle.FULL, Locale.ENGLISH).substring(0, 3);
    String year = day.getYear() == today.getYear() ? "" : " " + day.getYear();
    return DAY.format(day) + month + year;
  }

  /** A zone as people say it: the last part of its name. */
  static String city(ZoneId zone) {
    String id = zone.getId();
    return id.substring(id.lastIndexOf('/') + 1).replace('_', ' ');
  }

  /** A gap in the longest unit that it is a whole number of: "15 minutes", "hour". */
  static String gap(long seconds) {
    Map<String, Long> units = new LinkedHashMap<>();
    units.put("day", Duration.ofDays(1).toSeconds());
    units.put("hour", Duration.ofHours(1).toSeconds());
    units.put("minute", 60L);
    for (Map.Entry<String, Long> unit : units.entrySet()) {
      long count = seconds / unit.getValue();
      if (count > 0 && seconds % unit.getValue() == 0) {
        return count == 1 ? unit.getKey() : count + " " + unit.getKey() + "s";
      }
    }
    return seconds == 1 ? "second" : seconds + " seconds";
  }

  /** Days that have the same hours stand together: "Mon–Fri 09:00–12:00, Sat 10:00–11:00". */
  static String hours(WeeklyHours hours) {
    if (hours.equals(WeeklyHours.ANY)) {
      return "at any hour";
    }
    Map<String, TreeSet<DayOfWeek>> days = new LinkedHashMap<>();
    for (WeeklyHours.Window w : hours.windows()) {
      String time = clock(w.from()) + DASH + clock(w.to());
      days.computeIfAbsent(time, t -> new TreeSet<>()).add(w.day());
    }
    List<String> spans = new ArrayList<>();
    days.forEach((time, on) -> spans.add(days(on) + " " + time));
    return spans.isEmpty() ? "never" : String.join(", ", spans);
  }

  private static String clock(int minutes) {
    return String.format(Locale.ROOT, "%02d:%02d", minutes / 60, minutes % 60);
  }

  /** "Mon–Fri", "Mon Wed", "every day". */
  private static String days(TreeSet<DayOfWeek> days) {
    if (days.size() == DayOfWeek.values().length) {
      return "every day";
    }
    List<String> runs = new ArrayList<>();
    DayOfWeek first = null;
    for (DayOfWeek day : days) {
      first = first == null ? day : first;
      boolean last = day == DayOfWeek.SUNDAY || !days.contains(day.plus(1));
      if (last) {
        int length = day.getValue() - first.getValue() + 1;
        runs.add(length == 1 ? name(day) : name(first) + (length == 2 ? " " : DASH) + name(day));
        first = null;
      }
    }
    return String.join(" ", runs);
  }

  private static String name(DayOfWeek day) {
    return day.getDisplayName(TextStyle.SHORT, Locale.ENGLISH);
  }

  /** When something starts at a time of which the day was not written: today, if it is to come. */
  static LocalDateTime next(LocalTime time, LocalDateTime now) {
    LocalDateTime today = now.toLocalDate().atTime(time);
    return today.isAfter(now) ? today : today.plusDays(1);
  }
}
