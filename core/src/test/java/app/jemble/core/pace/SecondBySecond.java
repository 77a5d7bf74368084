package app.jemble.core.pace;

import app.jemble.core.reach.Channel;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
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
  private final List<Channel> ways;

  /** What has left of the plan, by day. */
  private final Map<LocalDate, List<Channel>> left = new HashMap<>();

  private SecondBySecond(RandomPlans.Case of) {
    this.ask = of.ask();
    this.zones = of.zones();
    this.ways = of.ways();
  }

  /** When each message leaves; null for those who still wait at the end. */
  static Instant[] plan(RandomPlans.Case of, Instant to, int step) {
    return new SecondBySecond(of).plan(of.from(), to, step);
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
          if (leaves[i] == null && mayReceive(i, now, within) && takesOne(now, ways.get(i))) {
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
    if (ways.get(person).rings() && isNight(now.atZone(zone).toLocalTime())) {
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

  private boolean isNight(LocalTime time) {
    LocalTime from = ask.quiet().from();
    LocalTime to = ask.quiet().to();
    boolean afterBegin = !time.isBefore(from);
    boolean beforeEnd = time.isBefore(to);
    return from.isAfter(to) ? afterBegin || beforeEnd : afterBegin && beforeEnd;
  }

  private boolean takesOne(Instant now, Channel way) {
    LocalDate day = now.atZone(ask.house()).toLocalDate();
    List<Channel> before = left.computeIfAbsent(day, d -> new ArrayList<>());
    for (DailyCap cap : ask.caps()) {
      long counting =
          before.stream().filter(other -> cap.way() == null || cap.way() == other).count();
      boolean counts = cap.way() == null || cap.way() == way;
      if (counts && counting + cap.taken().getOrDefault(day, 0L) >= cap.most()) {
        return false;
      }
    }
    before.add(way);
    return true;
  }
}
