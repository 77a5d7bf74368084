package app.jemble.core.access;

import java.util.Set;

/**
 * What a colleague is in the house, as its administrators laid it down.
 *
 * @param id 0 for one that is not kept yet
 */
public record Role(long id, String name, Set<Right> rights, Limits limits) {

  /**
   * How far rights go; null in each for no limit.
   *
   * @param mostAtOnce people in one mailing
   * @param nodAbove people in one mailing, above which a second colleague must nod
   * @param mostADay messages a day, all mailings of one colleague together
   * @param mostRows people in one file that leaves the house
   */
  public record Limits(Integer mostAtOnce, Integer nodAbove, Integer mostADay, Integer mostRows) {

    public static final Limits NONE = new Limits(null, null, null, null);
  }

  public Role {
    rights = Right.whole(rights);
  }

  public boolean has(Right right) {
    return !right.isGiven() || rights.contains(right);
  }
}
