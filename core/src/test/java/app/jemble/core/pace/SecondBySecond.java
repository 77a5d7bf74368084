package app.jemble.core.pace;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * The plan once more, as slow and plain as the rule is written: each second (or each step) of time
 * is asked who of those waiting may receive. Leans on java.time alone.
 */
final class SecondBySecond {

  private final PlanAsk ask;
  private final List<ZoneId> zones;
  private final Map<LocalDate, Long> left = new HashMap<>();

  private SecondBySecond(PlanAsk ask, List<ZoneId> zones) {
    this.ask = ask;
    this.zones = zones;
  }

  /** When each message leaves; null for those who still wait at the end. */
  static Instant[] plan(PlanAsk ask, List<ZoneId> zones, Instant from, Instant to, int step) {
    return new SecondBySecond(ask, zones).plan(from, to, step);
  }

  private Instant[] plan(Instant from, Instant to, int step) {
    Instant[] leaves = new Instant[zones.size()];
    Instant nextWave = Instant.MIN;
    for (Instant now = from; now.isBefore(to); now = now.plusSeconds(step)) {
      if (now.isBefore(nextWave)) {
        continue;
      }
      if (Arrays.stream(leaves).noneMatch(l -> l == null)) {
        break;
      }
      Map<ZoneId, Boolean> within = new HashMap<>();
      List<Integer> wave = new ArrayList<>();
      do {
        wave.clear();
        for (int i = 0; i < leaves.length && wave.size() < ask.pace().people(); i++) {
          if (leaves[i] == null && mayReceive(i, now, within) && takesOne(now)) {
            wave.add(i);
          }
        }
        for (int i : wave) {
          leaves[i] = now;
        }
        nextWave = wave.isEmpty() ? nextWave : now.plusSeconds(ask.pace().gapSeconds());
      } while (!wave.isEmpty() && ask.pace().gapSeconds() == 0);
    }
    return leaves;
  }

  private boolean mayReceive(int person, Instant now, Map<ZoneId, Boolean> within) {
    ZoneId zone = zones.get(person);
    if (now.isBefore(ask.start().in(zone)) || now.isBefore(ask.notBefore())) {
      return false;
    }
    return within.computeIfAbsent(ask.ownClock() ? zone : ask.house(), z -> isOpen(now.atZone(z)));
  }

  private boolean isOpen(ZonedDateTime local) {
    int second = local.toLocalTime().toSecondOfDay();
    return !ask.daysOff().contains(local.toLocalDate())
        && ask.hours().windows().stream()
            .anyMatch(
                w ->
                    w.day() == local.getDayOfWeek()
                        && second >= w.from() * 60
                        && second < w.to() * 60);
  }

  private boolean takesOne(Instant now) {
    LocalDate day = now.atZone(ask.house()).toLocalDate();
    long before =
        left.computeIfAbsent(
            day,
            d ->
                ask.caps().stream()
                    .mapToLong(c -> c.most() - c.taken().getOrDefault(d, 0L))
                    .min()
                    .orElse(Long.MAX_VALUE));
    if (before <= 0) {
      return false;
    }
    left.put(day, before - 1);
    return true;
  }
}
