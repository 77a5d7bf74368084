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
   * @param mostADay messages a day, all mailings of one colleague together, on all ways
   * @param mostMailsADay of these, e-mails
   * @param mostTextsADay of these, text messages
   * @param mostNoticesADay of these, notices in the app
   * @param mostRows people in one file that leaves the house
   * @param ownPeople whether they see only the people they own, and what is about these; everybody
   *     else is to them as if not on record
   */
  public record Limits(
      Integer mostAtOnce,
      Integer nodAbove,
      Integer mostADay,
      Integer mostMailsADay,
      Integer mostTextsADay,
      Integer mostNoticesADay,
      Integer mostRows,
      boolean ownPeople) {

    public static final Limits NONE = new Limits(null, null, null, null, null, null, null, false);
  }

  public Role {
    rights = Right.whole(rights);
  }

  public boolean has(Right right) {
    return !right.isGiven() || rights.contains(right);
  }
}
