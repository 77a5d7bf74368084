package app.jemble.core.pace;

import app.jemble.core.record.DayStyle;
import app.jemble.core.record.TypedDay;
import app.jemble.core.record.TypedDay.Lean;
import app.jemble.core.record.TypedTime;
import app.jemble.core.record.Words;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/**
 * Reads a plan out of a sentence, clause by clause in any order: "tomorrow 9, 200 every 15 min".
 * What is not said is as it is for a plan of nothing: now, all at once, in the usual hours.
 */
public final class PlanSentenceReader {

  private static final int LONGEST = 400;
  private static final int MOST_PEOPLE = 1_000_000;
  private static final LocalTime MORNING = LocalTime.of(9, 0);

  private static final Pattern PACE =
      Pattern.compile(
          "(?:in )?(?:waves? of )?(\\d[\\d ,]{0,9})(?: people| messages)? ?"
              + "(?:every|each|per|an?|/) ?(?:(\\d{1,9}) ?)?"
              + "(s|secs?|seconds?|m|mins?|minutes?|h|hrs?|hours?|d|days?)");
  private static final Pattern BY =
      Pattern.compile("(?:all |be )?(?:done |finished |out )?by (.+)");
  private static final Pattern OWN =
      Pattern.compile(
          "(.*?) ?(?:(?:on|in|at)? ?(?:their|each person['’]?s|each reader['’]?s|everyone['’]?s)"
              + "(?: own)? (?:clocks?|time)|(?:on|in) own clocks?)");
  private static final Pattern ZONED = Pattern.compile("(.+?)(?:['’]s)? (?:time|clock)");
  private static final Pattern ANY = Pattern.compile("(?:at )?any (?:time|hour)s?");
  private static final Pattern USUAL = Pattern.compile("(?:in |the |our )*(?:usual|house) hours");
  private static final Pattern HOURS =
      Pattern.compile(
          "(?:on )?(.*?)(?:,|:)? ?(?:from |between )?([\\d:.hapmno]+) ?(?:-|–|to|and|until) ?([\\d:.hapmno]+)");
  private static final String TIME = "([\\d:.h]+ ?(?:am|pm)?|noon|midday|midnight)";
  private static final Pattern DAY_TIME = Pattern.compile("(.+?)(?: at)? " + TIME);
  private static final Pattern TIME_DAY = Pattern.compile(TIME + " (?:on )?(.+)");

  private final LocalDateTime now;
  private final DayStyle style;
  private final ZoneId house;
  private final List<WeeklyHours.Window> windows = new ArrayList<>();
  private boolean started;

  private PlanSentenceReader(LocalDateTime now, DayStyle style, ZoneId house) {
    this.now = now;
    this.style = style;
    this.house = house;
  }

  /**
   * The plan that was written.
   *
   * @param now what the workspace's clock shows
   * @param style how days are written here
   * @param house the workspace's zone
   * @throws PlanException with a sentence that names the clause that is not understood
   */
  public static PlanWish read(String text, LocalDateTime now, DayStyle style, ZoneId house) {
    if (text.length() > LONGEST) {
      throw new PlanException("A plan is at most " + LONGEST + " letters.");
    }
    PlanSentenceReader reader = new PlanSentenceReader(now, style, house);
    PlanWish plan = PlanWish.AT_ONCE;
    for (String clause : text.split("[,;](?!\\d)|\\R")) {
      String words = Words.tidy(clause).toLowerCase(Locale.ROOT);
      if (!words.isEmpty()) {
        plan = reader.take(plan, words);
      }
    }
    return plan;
  }

  private PlanWish take(PlanWish plan, String words) {
    return pace(plan, words)
        .or(() -> deadline(plan, words))
        .or(() -> hours(plan, words))
        .or(() -> start(plan, words))
        .orElseThrow(
            () ->
                new PlanException(
                    "“"
                        + words
                        + "” is not understood. Write as in “tomorrow 9, 200 every 15 min”."));
  }

  private Optional<PlanWish> pace(PlanWish plan, String words) {
    if (words.matches("(?:all )?at once|all together")) {
      return Optional.of(plan.inWaves(null, PlanWish.USUAL_GAP));
    }
    Matcher found = PACE.matcher(words);
    if (!found.matches()) {
      return Optional.empty();
    }
    long people = Long.parseLong(found.group(1).replaceAll("[ ,]", ""));
    long count = found.group(2) == null ? 1 : Long.parseLong(found.group(2));
    long gap = count * unit(found.group(3));
    if (people < 1 || people > MOST_PEOPLE) {
      throw new PlanException("A wave has between 1 and " + MOST_PEOPLE + " people.");
    }
    if (gap > PlanWish.LONGEST_GAP) {
      throw new PlanException("Waves are at most 31 days apart.");
    }
    return Optional.of(plan.inWaves((int) people, gap));
  }

  private static long unit(String unit) {
    return switch (unit.charAt(0)) {
      case 's' -> 1;
      case 'm' -> 60;
      case 'h' -> 3600;
      default -> 86_400;
    };
  }

  private Optional<PlanWish> deadline(PlanWish plan, String words) {
    Matcher found = BY.matcher(words);
    if (!found.matches()) {
      return Optional.empty();
    }
    LocalDate day =
        day(found.group(1))
            .orElseThrow(
                () ->
                    new PlanException(
                        "“" + found.group(1) + "” is no day; write as in “by 6 Dec”."));
    return Optional.of(plan.by(day));
  }

  private Optional<PlanWish> hours(PlanWish plan, String words) {
    Matcher own = OWN.matcher(words);
    boolean isOwn = own.matches();
    String span = isOwn ? own.group(1) : words;
    boolean ownClock = isOwn || plan.ownClock();
    if (USUAL.matcher(span).matches()) {
      return Optional.of(plan.within(null, ownClock));
    }
    if (ANY.matcher(span).matches()) {
      return Optional.of(plan.within(WeeklyHours.ANY, ownClock));
    }
    Matcher found = HOURS.matcher(span);
    if (!found.matches()) {
      return Optional.empty();
    }
    Optional<List<DayOfWeek>> days = days(found.group(1).strip());
    Optional<LocalTime> from = TypedTime.read(found.group(2));
    Optional<LocalTime> to = TypedTime.read(found.group(3));
    if (days.isEmpty() || from.isEmpty() || to.isEmpty()) {
      return Optional.empty();
    }
    try {
      windows.addAll(WeeklyHours.on(days.get(), from.get(), to.get()).windows());
    } catch (IllegalArgumentException turned) {
      throw new PlanException(turned.getMessage());
    }
    return Optional.of(plan.within(new WeeklyHours(windows), ownClock));
  }

  /** "Mon–Fri", "weekdays", "Mon Wed", "every day"; nothing is every day. */
  private static Optional<List<DayOfWeek>> days(String words) {
    List<DayOfWeek> week = List.of(DayOfWeek.values());
    switch (words) {
      case "", "every day", "daily", "all week", "any day":
        return Optional.of(week);
      case "weekdays", "workdays", "working days":
        return Optional.of(week.subList(0, 5));
      case "weekends", "the weekend":
        return Optional.of(week.subList(5, 7));
      default:
        break;
    }
    List<DayOfWeek> days = new ArrayList<>();
    for (String part : words.replaceAll(" ?[-–] ?", "-").split("(?: and | & |/| )")) {
      List<Optional<DayOfWeek>> ends =
          List.of(part.split("-", 2)).stream().map(TypedDay::dayOfWeek).toList();
      if (ends.contains(Optional.<DayOfWeek>empty())) {
        return Optional.empty();
      }
      DayOfWeek first = ends.get(0).orElseThrow();
      DayOfWeek last = ends.get(ends.size() - 1).orElseThrow();
      int length = Math.floorMod(last.getValue() - first.getValue(), week.size());
      IntStream.rangeClosed(0, length).mapToObj(first::plus).forEach(days::add);
    }
    return Optional.of(days.stream().distinct().toList());
  }

  private Optional<PlanWish> start(PlanWish plan, String words) {
    if (started) {
      return Optional.empty();
    }
    String bare = words.replaceFirst("^(?:starts?|leaves?|from|at|on) ", "");
    if (bare.matches("now|at once|straight away|immediately")) {
      started = true;
      return Optional.of(plan.startingAt(null, false, null));
    }
    Matcher own = OWN.matcher(bare);
    if (own.matches()) {
      return at(own.group(1), now).map(wall -> begun(plan, wall, true, null));
    }
    Optional<LocalDateTime> here = at(bare, now);
    if (here.isPresent()) {
      return here.map(wall -> begun(plan, wall, false, null));
    }
    return elsewhere(plan, bare);
  }

  /** "Fri 9 Lisbon time": the place may be of several words. */
  private Optional<PlanWish> elsewhere(PlanWish plan, String words) {
    Matcher zoned = ZONED.matcher(words);
    String said = zoned.matches() ? zoned.group(1) : "";
    for (int cut = said.indexOf(' '); cut > 0; cut = said.indexOf(' ', cut + 1)) {
      Optional<ZoneId> place =
          NamedZone.of(said.substring(cut + 1).replaceFirst("^(?:in|on|at) ", ""));
      if (place.isPresent()) {
        ZoneId zone = place.get();
        LocalDateTime there = now.atZone(house).withZoneSameInstant(zone).toLocalDateTime();
        ZoneId named = zone.equals(house) ? null : zone;
        Optional<LocalDateTime> wall = at(said.substring(0, cut), there);
        if (wall.isPresent()) {
          return wall.map(w -> begun(plan, w, false, named));
        }
      }
    }
    return Optional.empty();
  }

  private PlanWish begun(PlanWish plan, LocalDateTime wall, boolean own, ZoneId zone) {
    started = true;
    return plan.startingAt(wall, own, zone);
  }

  /** "tomorrow 9", "Fri", "17:30": a day alone begins in the morning, a time alone is the next. */
  private Optional<LocalDateTime> at(String words, LocalDateTime there) {
    Optional<LocalTime> time = TypedTime.read(words);
    if (time.isPresent()) {
      return time.map(t -> PlanSentence.next(t, there));
    }
    Optional<LocalDate> day = day(words);
    if (day.isPresent()) {
      return day.map(d -> d.atTime(MORNING));
    }
    Matcher dayTime = DAY_TIME.matcher(words);
    if (dayTime.matches()) {
      return day(dayTime.group(1)).flatMap(d -> TypedTime.read(dayTime.group(2)).map(d::atTime));
    }
    Matcher timeDay = TIME_DAY.matcher(words);
    return timeDay.matches()
        ? TypedTime.read(timeDay.group(1)).flatMap(t -> day(timeDay.group(2)).map(d -> d.atTime(t)))
        : Optional.empty();
  }

  private Optional<LocalDate> day(String words) {
    return TypedDay.read(words, now.toLocalDate(), style, Lean.AHEAD);
  }
}
