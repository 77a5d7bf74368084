package app.jemble.clock;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;

/**
 * A clock that runs faster than the machine's from an instant on: a plan of days is seen in
 * minutes.
 */
final class SqueezedClock extends Clock {

  private final Clock machine;
  private final Instant from;
  private final double speed;

  /**
   * @param from where both show the same; before it this one shows the machine's time
   * @param speed how many seconds pass in one, 1 or more
   */
  SqueezedClock(Clock machine, Instant from, double speed) {
    if (speed < 1) {
      throw new IllegalArgumentException("A clock can run faster, not slower: " + speed + ".");
    }
    this.machine = machine;
    this.from = from;
    this.speed = speed;
  }

  @Override
  public Instant instant() {
    Instant now = machine.instant();
    long nanos = Duration.between(from, now).toNanos();
    return nanos < 0 ? now : from.plusNanos((long) (nanos * speed));
  }

  @Override
  public ZoneId getZone() {
    return machine.getZone();
  }

  @Override
  public Clock withZone(ZoneId zone) {
    return new SqueezedClock(machine.withZone(zone), from, speed);
  }
}
