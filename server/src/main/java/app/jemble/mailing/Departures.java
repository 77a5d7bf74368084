package app.jemble.mailing;

import app.jemble.core.pace.NextOpen;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Map;
import java.util.Optional;

/**
 * When what is due may leave, within a mailing's hours.
 *
 * @param zones of people who are written to on their own clock; others go by the house's
 */
public record Departures(NextOpen open, ZoneId house, Map<Long, ZoneId> zones) {

  /** At or after the instant that it is due to a person; empty when no hour comes. */
  public Optional<Instant> of(long person, Instant due) {
    return open.at(due, zones.getOrDefault(person, house));
  }
}
