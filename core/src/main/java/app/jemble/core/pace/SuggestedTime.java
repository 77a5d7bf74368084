package app.jemble.core.pace;

import java.time.Instant;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.Optional;

/**
 * The time of day at which somebody is likely to read, from when they opened, clicked or replied
 * before: a distribution on the 24-hour circle, where 23:30 and 00:30 lie around midnight. Where
 * someone has answered seldom, their group's habit counts as some answers of their own (shrinkage,
 * a common practice of statistics).
 */
public final class SuggestedTime {

  private static final int QUARTERS = 96;
  private static final int MINUTES = 15;

  /** The group's habit counts as so many responses of one's own. */
  private static final double GROUP_WEIGHT = 5;

  /** A response speaks for the hour around it: a bell of this many quarters of an hour. */
  private static final double SPREAD = 3;

  /** Two hours, in quarters of one. */
  private static final int NEAR = 8;

  /** With fewer responses in all than this, nothing is said. */
  private static final int FEWEST = 3;

  private final double[] own = new double[QUARTERS];
  private int responses;

  /**
   * What is suggested.
   *
   * @param time the begin of a quarter of an hour, on the reader's own clock
   * @param responses of their own that it rests on
   * @param ofGroup responses of the group that it rests on
   * @param near how many of their own fell within two hours of it; nobody else's are in it
   */
  public record Suggestion(LocalTime time, int responses, int ofGroup, int near) {}

  /** Counts a response, on the clock of where its reader is. */
  public void add(Instant at, ZoneId zone) {
    LocalDateTime local = LocalDateTime.ofInstant(at, zone);
    own[(local.getHour() * 60 + local.getMinute()) / MINUTES]++;
    responses++;
  }

  public int responses() {
    return responses;
  }

  /** From one's own responses, shrunk to those of a group; empty when both are too few. */
  public Optional<Suggestion> within(SuggestedTime group) {
    if (responses + group.responses < FEWEST) {
      return Optional.empty();
    }
    double[] mixed = new double[QUARTERS];
    for (int q = 0; q < QUARTERS; q++) {
      double ofGroup = group.responses == 0 ? 0 : group.own[q] / group.responses;
      mixed[q] = own[q] + GROUP_WEIGHT * ofGroup;
    }
    int best = peak(mixed);
    return Optional.of(
        new Suggestion(
            LocalTime.of(best * MINUTES / 60, best * MINUTES % 60),
            responses,
            group.responses,
            near(best)));
  }

  /** From these responses alone; empty when they are too few. */
  public Optional<Suggestion> alone() {
    return within(new SuggestedTime());
  }

  private static int peak(double[] counts) {
    int best = 0;
    double most = -1;
    for (int q = 0; q < QUARTERS; q++) {
      double sum = 0;
      for (int other = 0; other < QUARTERS; other++) {
        double apart = apart(q, other) / SPREAD;
        sum += counts[other] * Math.exp(-apart * apart / 2);
      }
      if (sum > most + 1e-9) {
        most = sum;
        best = q;
      }
    }
    return best;
  }

  /** Quarters of an hour between two times, the short way round. */
  private static int apart(int one, int other) {
    int apart = Math.abs(one - other);
    return Math.min(apart, QUARTERS - apart);
  }

  private int near(int best) {
    double near = 0;
    for (int q = 0; q < QUARTERS; q++) {
      near += apart(q, best) <= NEAR ? own[q] : 0;
    }
    return (int) near;
  }
}
