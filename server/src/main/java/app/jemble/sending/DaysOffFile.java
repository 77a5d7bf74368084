package app.jemble.sending;

import app.jemble.workspace.Problem;
import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.util.DateTimeComponents;
import biweekly.util.ICalDate;
import biweekly.util.com.google.ical.compat.javautil.DateIterator;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Date;
import java.util.List;
import java.util.TimeZone;
import java.util.TreeMap;

/**
 * Days off out of a calendar file (iCalendar, RFC 5545): each day that an event of whole days
 * covers, every time it comes round. Events with a time of day are no days off.
 */
final class DaysOffFile {

  private static final int MOST_YEARS = 5;
  private static final int MOST_DAYS = 1000;

  private DaysOffFile() {}

  /**
   * The days from one on, for five years, each once, in order.
   *
   * @param today days before it are left out
   */
  static List<DayOff> read(String file, LocalDate today) {
    List<ICalendar> calendars = Biweekly.parse(file).all();
    TreeMap<LocalDate, String> days = new TreeMap<>();
    for (ICalendar calendar : calendars) {
      calendar.getEvents().forEach(event -> add(event, today, days));
    }
    if (calendars.isEmpty() || days.isEmpty()) {
      throw Problem.wrong(
          "file",
          "There is no whole day in this file from today on; it should be a calendar (.ics).");
    }
    List<DayOff> all = new ArrayList<>();
    days.forEach((day, name) -> all.add(new DayOff(day, name)));
    return all;
  }

  private static void add(VEvent event, LocalDate today, TreeMap<LocalDate, String> days) {
    if (event.getDateStart() == null || event.getDateStart().getValue().hasTime()) {
      return;
    }
    String name =
        event.getSummary() == null || event.getSummary().getValue().isBlank()
            ? "Day off"
            : event.getSummary().getValue().strip();
    long length = length(event);
    LocalDate end = today.plusYears(MOST_YEARS);
    DateIterator starts = event.getDateIterator(TimeZone.getTimeZone(ZoneOffset.UTC));
    starts.advanceTo(Date.from(today.minusDays(length).atStartOfDay(ZoneOffset.UTC).toInstant()));
    while (starts.hasNext() && days.size() < MOST_DAYS) {
      LocalDate start = starts.next().toInstant().atZone(ZoneOffset.UTC).toLocalDate();
      if (start.isAfter(end)) {
        return;
      }
      for (long d = 0; d < length; d++) {
        if (!start.plusDays(d).isBefore(today)) {
          days.putIfAbsent(start.plusDays(d), name);
        }
      }
    }
  }

  /** In whole days; the end of a whole-day event is the day after its last (RFC 5545 3.6.1). */
  private static long length(VEvent event) {
    LocalDate from = day(event.getDateStart().getValue());
    if (event.getDateEnd() != null && event.getDateEnd().getValue() != null) {
      return Math.max(
          1, Math.min(366, day(event.getDateEnd().getValue()).toEpochDay() - from.toEpochDay()));
    }
    if (event.getDuration() != null && event.getDuration().getValue() != null) {
      return Math.max(1, Math.min(366, event.getDuration().getValue().toMillis() / 86_400_000L));
    }
    return 1;
  }

  private static LocalDate day(ICalDate date) {
    DateTimeComponents raw = date.getRawComponents();
    return LocalDate.of(raw.getYear(), raw.getMonth(), raw.getDate());
  }
}
