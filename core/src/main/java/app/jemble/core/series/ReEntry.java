package app.jemble.core.series;

import java.time.Instant;
import java.time.ZoneId;
import java.util.Optional;

/**
 * Whether somebody who was in a series comes in again: once a person, unless it is allowed.
 *
 * @param afterDays days on the workspace's clock after the last entry ended; null for never
 */
public record ReEntry(Integer afterDays) {

  public ReEntry {
    if (afterDays != null && (afterDays < 0 || afterDays > 3650)) {
      throw new SeriesException("Somebody comes in again after 0 to 3,650 days.");
    }
  }

  /** Whoever's last entry ended by then may come in now; empty when nobody may. */
  public Optional<Instant> endedBy(Instant now, ZoneId house) {
    return Optional.ofNullable(afterDays)
        .map(days -> now.atZone(house).minusDays(days).toInstant());
  }
}
