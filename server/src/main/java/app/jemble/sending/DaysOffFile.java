package app.jemble.sending;

import app.jemble.problem.Problem;
import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.util.DateTimeComponents;
import biweekly.util.ICalDate;
import biweekly.util.com.google.ical.compat.javautil.DateIterator;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Date;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TimeZone;
import java.util.TreeMap;
import java.util.TreeSet;

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
    List<ICalendar> calendars = Biweekly.parse(withoutMark(file)).all();
    TreeMap<LocalDate, String> days = new TreeMap<>();
    for (ICalendar calendar : calendars) {
      // Single times that were moved or called off, by the event and the day they stood on.
      Set<String> changed = new HashSet<>();
      calendar.getEvents().stream()
          .filter(event -> event.getRecurrenceId() != null)
          .forEach(event -> moved(event).ifPresent(changed::add));
      for (VEvent event : calendar.getEvents()) {
        try {
          add(event, today, days, changed);
        } catch (DateTimeException | IllegalArgumentException noSuchDay) {
          // An event that no calendar could have is none.
        }
      }
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

  /** Some programs begin a file with a mark of its byte order. */
  private static String withoutMark(String file) {
    return file.startsWith("\ufeff") ? file.substring(1) : file;
  }

  private static Optional<String> moved(VEvent event) {
    ICalDate from = event.getRecurrenceId().getValue();
    String uid = event.getUid() == null ? "" : event.getUid().getValue();
    try {
      return Optional.of(uid + " " + day(from));
    } catch (DateTimeException | NullPointerException noSuchDay) {
      return Optional.empty();
    }
  }

  private static void add(
      VEvent event, LocalDate today, TreeMap<LocalDate, String> days, Set<String> changed) {
    boolean calledOff = event.getStatus() != null && event.getStatus().isCancelled();
    if (calledOff
        || event.getDateStart() == null
        || event.getDateStart().getValue() == null
        || event.getDateStart().getValue().hasTime()) {
      return;
    }
    String name =
        event.getSummary() == null || event.getSummary().getValue().isBlank()
            ? "Day off"
            : event.getSummary().getValue().strip();
    String uid = event.getUid() == null ? "" : event.getUid().getValue();
    boolean moved = event.getRecurrenceId() != null;
    long length = length(event);
    for (LocalDate start : starts(event, today.minusDays(length), today.plusYears(MOST_YEARS))) {
      for (long d = 0; d < length && days.size() < MOST_DAYS; d++) {
        boolean stays = moved || !changed.contains(uid + " " + start);
        if (stays && !start.plusDays(d).isBefore(today)) {
          days.putIfAbsent(start.plusDays(d), name);
        }
      }
    }
  }

  /** The days on which it begins, every time it comes round: the first of them always its own. */
  private static TreeSet<LocalDate> starts(VEvent event, LocalDate from, LocalDate to) {
    TreeSet<LocalDate> starts = new TreeSet<>();
    LocalDate first = day(event.getDateStart().getValue());
    if (event.getRecurrenceRule() == null && !first.isBefore(from) && !first.isAfter(to)) {
      starts.add(first);
    }
    if (event.getRecurrenceId() != null) {
      return starts;
    }
    DateIterator days = event.getDateIterator(TimeZone.getTimeZone(ZoneOffset.UTC));
    days.advanceTo(Date.from(from.atStartOfDay(ZoneOffset.UTC).toInstant()));
    while (days.hasNext() && starts.size() < MOST_DAYS) {
      LocalDate start = days.next().toInstant().atZone(ZoneOffset.UTC).toLocalDate();
      if (start.isAfter(to)) {
        break;
      }
      starts.add(start);
    }
    return starts;
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
