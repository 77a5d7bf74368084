package app.jemble.core.pace;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * The plan of a mailing, forward from its start. The first wave leaves at the earliest instant at
 * which anyone waiting may receive; a wave takes the first people of the audience's order who may
 * receive then, as many as the pace and the day's caps allow; the next leaves at the earliest
 * instant, a gap or more later, at which anyone still waiting may receive.
 *
 * <p>People with one clock wait in one line, so that a wave looks at the heads of the lines alone:
 * time grows with people times clocks, memory with people.
 */
public final class Planner {

  /** People of one zone, in the order of the audience. */
  private static final class Line {
    final int[] people;
    final long start;
    final OpenTimes open;
    int head;

    /** When its people may receive next; kept from the last look. */
    long next;

    Line(int[] people, long start, OpenTimes open) {
      this.people = people;
      this.start = start;
      this.open = open;
    }

    boolean isEmpty() {
      return head == people.length;
    }
  }

  private final PlanAsk ask;
  private final Line[] lines;
  private final long[] at;
  private final CapDays caps;
  private final Waves waves = new Waves();
  private final Map<LocalDate, Set<String>> bound = new TreeMap<>();
  private int waiting;

  private Planner(PlanAsk ask, Clocks clocks) {
    this.ask = ask;
    this.at = new long[clocks.size()];
    this.waiting = clocks.size();
    this.caps = new CapDays(ask.house(), ask.caps());
    Arrays.fill(at, OpenTimes.NEVER);
    int[][] people = clocks.people();
    List<ZoneId> zones = clocks.zones();
    lines = new Line[people.length];
    for (int z = 0; z < lines.length; z++) {
      ZoneId clock = ask.ownClock() ? zones.get(z) : ask.house();
      OpenTimes open = new OpenTimes(clock, ask.hours(), ask.daysOff());
      lines[z] = new Line(people[z], ask.startIn(zones.get(z)), open);
    }
  }

  /** When each message leaves. */
  public static Plan plan(PlanAsk ask, Clocks clocks) {
    return new Planner(ask, clocks).plan();
  }

  private Plan plan() {
    long from = earliestStart();
    while (waiting > 0) {
      long wave = nextWave(from);
      if (wave >= OpenTimes.NEVER) {
        break;
      }
      int people = take(wave);
      waves.add(wave, people);
      from = wave + ask.pace().gapSeconds();
    }
    return new Plan(at, waves, waiting, bound);
  }

  private long earliestStart() {
    long earliest = OpenTimes.NEVER;
    for (Line line : lines) {
      earliest = Math.min(earliest, line.start);
    }
    return earliest;
  }

  /** The earliest instant from one on at which anyone waiting may receive. */
  private long nextWave(long from) {
    long at = from;
    while (true) {
      long open = OpenTimes.NEVER;
      boolean begun = false;
      for (Line line : lines) {
        if (!line.isEmpty()) {
          line.next = line.open.at(Math.max(at, line.start));
          open = Math.min(open, line.next);
          begun |= line.start <= at;
        }
      }
      if (open >= OpenTimes.NEVER) {
        return OpenTimes.NEVER;
      }
      if (open > at && begun) {
        note(caps.day(at), Plan.HOURS);
      }
      if (caps.remaining(open) > 0) {
        return open;
      }
      LocalDate day = caps.day(open);
      caps.full(day).forEach(cap -> note(day, cap));
      at = caps.nextDay(open);
      if (at - from > OpenTimes.MOST_SECONDS) {
        return OpenTimes.NEVER;
      }
    }
  }

  private void note(LocalDate day, String what) {
    bound.computeIfAbsent(day, d -> new TreeSet<>()).add(what);
  }

  /** Lets a wave leave; the lines know whether they may receive. */
  private int take(long wave) {
    long most = Math.min(ask.pace().people(), caps.remaining(wave));
    int taken = 0;
    while (taken < most) {
      Line first = firstOf(wave);
      if (first == null) {
        break;
      }
      at[first.people[first.head++]] = wave;
      taken++;
    }
    waiting -= taken;
    caps.take(wave, taken);
    return taken;
  }

  /** The line whose head comes first in the audience, of those who may receive. */
  private Line firstOf(long wave) {
    Line first = null;
    for (Line line : lines) {
      if (line.head < line.people.length
          && line.next == wave
          && (first == null || line.people[line.head] < first.people[first.head])) {
        first = line;
      }
    }
    return first;
  }
}
