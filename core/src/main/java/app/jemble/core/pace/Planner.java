package app.jemble.core.pace;

import app.jemble.core.reach.Channel;
import java.time.LocalDate;
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
 * <p>People with one clock and one way wait in one line, so that a wave looks at the heads of the
 * lines alone: time grows with people times clocks, memory with people.
 */
public final class Planner {

  /** People of one zone who are reached by one way, in the order of the audience. */
  private static final class Line {
    final int[] people;
    final long start;
    final Channel way;
    final ReceivingTimes times;
    int head;

    /** When its people may receive next; kept from the last look. */
    long next;

    Line(int[] people, long start, Channel way, ReceivingTimes times) {
      this.people = people;
      this.start = start;
      this.way = way;
      this.times = times;
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
    List<Clocks.Place> places = clocks.places();
    lines = new Line[people.length];
    for (int p = 0; p < lines.length; p++) {
      Clocks.Place place = places.get(p);
      ReceivingTimes times = new ReceivingTimes(ask, place, at -> note(caps.day(at), Plan.QUIET));
      lines[p] = new Line(people[p], ask.startIn(place.zone()), place.way(), times);
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
    long next = OpenTimes.NEVER;
    long inHours = OpenTimes.NEVER;
    boolean begun = false;
    for (Line line : lines) {
      if (!line.isEmpty()) {
        line.next = next(line, from);
        next = Math.min(next, line.next);
        inHours = Math.min(inHours, line.times.inHours(Math.max(from, line.start)));
        begun |= line.start <= from;
      }
    }
    if (begun && next < OpenTimes.NEVER && inHours > from) {
      note(caps.day(from), Plan.HOURS);
    }
    return next;
  }

  /** The earliest instant from one on at which the people of a line may receive. */
  private long next(Line line, long from) {
    long at = Math.max(from, line.start);
    long open = line.times.at(at);
    while (open < OpenTimes.NEVER && caps.remaining(open, line.way) <= 0) {
      LocalDate full = caps.day(open);
      caps.full(open, line.way).forEach(cap -> note(full, cap));
      at = caps.nextDay(open);
      open = at - from > OpenTimes.MOST_SECONDS ? OpenTimes.NEVER : line.times.at(at);
      if (open < OpenTimes.NEVER && line.times.waitedForHours(at)) {
        note(caps.day(at), Plan.HOURS);
      }
    }
    return open;
  }

  private void note(LocalDate day, String what) {
    bound.computeIfAbsent(day, d -> new TreeSet<>()).add(what);
  }

  /** Lets a wave leave; the lines know whether they may receive. */
  private int take(long wave) {
    int taken = 0;
    while (taken < ask.pace().people()) {
      Line first = firstOf(wave);
      if (first == null) {
        break;
      }
      at[first.people[first.head++]] = wave;
      caps.take(wave, first.way);
      taken++;
    }
    waiting -= taken;
    return taken;
  }

  /** The line whose head comes first in the audience, of those who may receive. */
  private Line firstOf(long wave) {
    Line first = null;
    for (Line line : lines) {
      if (line.head < line.people.length
          && line.next == wave
          && (first == null || line.people[line.head] < first.people[first.head])
          && caps.remaining(wave, line.way) > 0) {
        first = line;
      }
    }
    return first;
  }
}
