package app.jemble;

import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.temporal.TemporalAdjusters;

/**
 * The machine's clock, moved on by hand: nothing in a test has to wait for an hour to come. With
 * {@code -Djemble.test.ahead=P30D} tests run as on another day, such as one of a season with
 * holidays; all but the one whose processes have clocks of their own (KillTest).
 */
public final class TestClock extends Clock {

  private volatile Duration ahead = Duration.parse(System.getProperty("jemble.test.ahead", "PT0S"));

  private volatile Instant standing;

  public void advance(Duration by) {
    ahead = ahead.plus(by);
  }

  /** Stands still from now on: nothing more becomes due by itself. */
  public void stand() {
    standing = instant();
  }

  /** Goes on to eleven o'clock of the next Monday there; answers when that is. */
  public Instant toMonday(ZoneId there) {
    Instant now = instant();
    LocalDate day = LocalDate.ofInstant(now, there).with(TemporalAdjusters.next(DayOfWeek.MONDAY));
    Instant monday = day.atTime(11, 0).atZone(there).toInstant();
    advance(Duration.between(now, monday));
    return monday;
  }

  @Override
  public Instant instant() {
    return standing == null ? Instant.now().plus(ahead) : standing;
  }

  @Override
  public ZoneId getZone() {
    return ZoneOffset.UTC;
  }

  @Override
  public Clock withZone(ZoneId zone) {
    throw new UnsupportedOperationException("the application asks for instants alone");
  }
}
