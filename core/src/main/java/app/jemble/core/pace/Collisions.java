package app.jemble.core.pace;

import app.jemble.core.record.PersonId;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;

/**
 * Who would get messages of two mailings within a few days of each other.
 *
 * @param people whose each message of the plan is, in its order
 * @param elsewhere by person, when messages of other mailings to them are due
 */
public record Collisions(List<PersonId> people, Map<PersonId, List<Instant>> elsewhere) {

  /** Nobody has anything waiting elsewhere. */
  public static final Collisions NONE = new Collisions(List.of(), Map.of());

  public Collisions {
    people = List.copyOf(people);
    elsewhere = Map.copyOf(elsewhere);
  }

  /**
   * The people whose message of the plan is at most so many days from another, each once, in order
   * of id. One that never leaves collides with none.
   *
   * @param days of 24 hours, 0 or more; at 0 nobody is
   */
  public List<PersonId> within(int days, Plan plan) {
    if (elsewhere.isEmpty() || days == 0) {
      return List.of();
    }
    Duration apart = Duration.ofDays(days);
    TreeSet<PersonId> colliding = new TreeSet<>();
    for (int i = 0; i < Math.min(people.size(), plan.size()); i++) {
      List<Instant> others = elsewhere.get(people.get(i));
      if (others != null && plan.of(i).filter(at -> near(at, others, apart)).isPresent()) {
        colliding.add(people.get(i));
      }
    }
    return List.copyOf(colliding);
  }

  private static boolean near(Instant at, List<Instant> others, Duration apart) {
    return others.stream().anyMatch(o -> Duration.between(at, o).abs().compareTo(apart) <= 0);
  }
}
