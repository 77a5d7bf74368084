package app.jemble.core.followup;

import java.time.Duration;
import java.time.Instant;
import java.util.Locale;

/**
 * How long after a person's own message something is done.
 *
 * @param count 1 to {@link #MOST}
 */
public record After(int count, Unit unit) {

  public static final int MOST = 1000;

  /** What is counted. */
  public enum Unit {
    HOURS("hour"),
    /** the same time of day, on the house's clock */
    DAYS("day"),
    WORKING_DAYS("working day");

    private final String one;

    Unit(String one) {
      this.one = one;
    }
  }

  public After {
    if (count < 1 || count > MOST) {
      throw new IllegalArgumentException("A wait is of 1 to 1,000 hours or days.");
    }
  }

  /** When the wait of somebody whose message departed then is over. */
  public Instant from(Instant departed, WorkingDays days) {
    return switch (unit) {
      case HOURS -> departed.plus(Duration.ofHours(count));
      case DAYS -> departed.atZone(days.house()).plusDays(count).toInstant();
      case WORKING_DAYS -> days.after(departed, count);
    };
  }

  /**
   * A bound to ask a database by: the wait of nobody whose message departed later is over. Clocks
   * are put forward by less than a day.
   */
  public Instant departedBy(Instant now) {
    return unit == Unit.HOURS
        ? now.minus(Duration.ofHours(count))
        : now.minus(Duration.ofDays(count)).plus(Duration.ofDays(1));
  }

  /** Such as "4 working days". */
  public String words() {
    return count == 1 ? "1 " + unit.one : String.format(Locale.ENGLISH, "%,d %ss", count, unit.one);
  }
}
