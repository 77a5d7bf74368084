package app.jemble.core.series;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** How many messages of a series leave on each day of the next weeks, by step. */
public final class Forecast {

  /** For four weeks (section 14). */
  public static final int DAYS = 28;

  private final LocalDate today;
  private final ZoneId house;
  private final Map<LocalDate, Map<Integer, Long>> days = new TreeMap<>();
  private long ways;

  /**
   * @param today the first day
   * @param house whose days they are
   */
  public Forecast(LocalDate today, ZoneId house) {
    this.today = today;
    this.house = house;
  }

  /**
   * A day on which something leaves.
   *
   * @param steps how many messages, by the place of their step
   */
  public record Day(LocalDate day, Map<Integer, Long> steps) {
    public long messages() {
      return steps.values().stream().mapToLong(Long::longValue).sum();
    }
  }

  /** Counts the way of one person. */
  public void add(List<WayAhead.Ahead> way) {
    ways++;
    for (WayAhead.Ahead ahead : way) {
      ahead
          .at()
          .map(at -> LocalDate.ofInstant(at, house))
          .filter(day -> day.isBefore(today.plusDays(DAYS)))
          .map(day -> day.isBefore(today) ? today : day)
          .ifPresent(
              day ->
                  days.computeIfAbsent(day, d -> new TreeMap<>())
                      .merge(ahead.step().place(), 1L, Long::sum));
    }
  }

  /**
   * The days, in order; those on which nothing leaves left out.
   *
   * @param people of whom those counted are a sample; as many as were counted where all were
   */
  public List<Day> of(long people) {
    double times = ways == 0 ? 0 : (double) people / ways;
    List<Day> all = new ArrayList<>();
    days.forEach(
        (day, steps) -> {
          Map<Integer, Long> scaled = new TreeMap<>();
          steps.forEach((place, count) -> scaled.put(place, Math.round(count * times)));
          all.add(new Day(day, scaled));
        });
    return all;
  }
}
