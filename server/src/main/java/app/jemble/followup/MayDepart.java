package app.jemble.followup;

import app.jemble.core.pace.NextOpen;
import app.jemble.core.record.PersonId;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * When what is due may leave, within a mailing's hours.
 *
 * @param zones of people who are written to on their own clock; others go by the house's
 */
public record MayDepart(NextOpen open, ZoneId house, Map<PersonId, ZoneId> zones) {

  /** At or after the instant that it is due to a person; empty when no hour comes. */
  public Optional<Instant> of(PersonId person, Instant due) {
    return open.at(due, zone(person));
  }

  /**
   * What is due to all of them at once: when it may leave, by clock; nothing when no hour comes.
   */
  public List<Instant> ofAll(List<PersonId> people, Instant due) {
    return people.stream()
        .map(this::zone)
        .distinct()
        .flatMap(zone -> open.at(due, zone).stream())
        .toList();
  }

  private ZoneId zone(PersonId person) {
    return zones.getOrDefault(person, house);
  }
}
