package app.jemble.core.access;

import java.util.Optional;

/** What a role may be called and how its limits may stand. */
public final class RoleRule {

  private static final int LONGEST_NAME = 40;

  private RoleRule() {}

  /**
   * What is wrong.
   *
   * @param field name, or one of the limits
   */
  public record Fault(String field, String sentence) {}

  public static Optional<Fault> faultOf(Role role) {
    String name = role.name() == null ? "" : role.name();
    if (name.isBlank() || name.length() > LONGEST_NAME) {
      return Optional.of(new Fault("name", "A role has a name of up to 40 characters."));
    }
    Role.Limits limits = role.limits();
    return atLeast(1, "mostAtOnce", limits.mostAtOnce())
        .or(() -> atLeast(1, "nodAbove", limits.nodAbove()))
        .or(() -> atLeast(0, "mostADay", limits.mostADay()))
        .or(() -> atLeast(0, "mostMailsADay", limits.mostMailsADay()))
        .or(() -> atLeast(0, "mostTextsADay", limits.mostTextsADay()))
        .or(() -> atLeast(0, "mostNoticesADay", limits.mostNoticesADay()))
        .or(() -> atLeast(1, "mostRows", limits.mostRows()))
        .or(() -> nodThatNeverBinds(limits))
        .or(() -> houseSeenInPart(role));
  }

  private static Optional<Fault> atLeast(int least, String field, Integer limit) {
    return limit != null && limit < least
        ? Optional.of(
            new Fault(field, "A limit is " + least + " or more; leave it empty for none."))
        : Optional.empty();
  }

  /** What a role does to everybody's people asks that it sees them. */
  private static Optional<Fault> houseSeenInPart(Role role) {
    return role.limits().ownPeople() && (role.has(Right.SETTINGS) || role.has(Right.COLLEAGUES))
        ? Optional.of(
            new Fault(
                "ownPeople",
                "Whoever sets up the house or looks after colleagues sees everybody’s people."
                    + " Take those rights from the role first."))
        : Optional.empty();
  }

  private static Optional<Fault> nodThatNeverBinds(Role.Limits limits) {
    return limits.mostAtOnce() != null
            && limits.nodAbove() != null
            && limits.nodAbove() >= limits.mostAtOnce()
        ? Optional.of(
            new Fault(
                "nodAbove",
                "They may not write to that many at once; a nod would never be asked for."))
        : Optional.empty();
  }
}
