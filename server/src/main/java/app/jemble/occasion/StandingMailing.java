package app.jemble.occasion;

import app.jemble.core.occasion.Occasion;
import java.time.LocalTime;
import java.util.Arrays;
import java.util.List;

/**
 * What is said on a day that comes round, on record.
 *
 * @param rounds the round years as JSON
 * @param whom the parts of its audience as JSON
 * @param card as JSON; null for none
 */
public record StandingMailing(
    long id,
    long causeId,
    String name,
    String field,
    Occasion.Kind kind,
    int offsetDays,
    String rounds,
    String whom,
    LocalTime saidAt,
    OccasionBody.Leaves leaves,
    String card,
    State state,
    int version) {

  /** Where it stands. */
  public enum State {
    DRAFT,
    ACTIVE,
    PAUSED
  }

  List<Integer> roundYears() {
    return Arrays.stream(rounds.replaceAll("[\\[\\]\\s]", "").split(","))
        .filter(years -> !years.isEmpty())
        .map(Integer::valueOf)
        .toList();
  }

  Occasion occasion() {
    return new Occasion(kind, offsetDays, roundYears());
  }
}
