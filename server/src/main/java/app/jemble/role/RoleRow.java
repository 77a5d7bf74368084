package app.jemble.role;

import app.jemble.core.access.Right;
import app.jemble.core.access.Role;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A role as it is kept.
 *
 * @param rights names parted by blanks; what no right is called is none
 */
public record RoleRow(
    long id,
    String name,
    String rights,
    Integer mostAtOnce,
    Integer nodAbove,
    Integer mostADay,
    Integer mostMailsADay,
    Integer mostTextsADay,
    Integer mostNoticesADay,
    Integer mostRows,
    boolean ownPeople) {

  static RoleRow of(Role role) {
    Role.Limits limits = role.limits();
    return new RoleRow(
        role.id(),
        role.name(),
        role.rights().stream().map(Right::name).collect(Collectors.joining(" ")),
        limits.mostAtOnce(),
        limits.nodAbove(),
        limits.mostADay(),
        limits.mostMailsADay(),
        limits.mostTextsADay(),
        limits.mostNoticesADay(),
        limits.mostRows(),
        limits.ownPeople());
  }

  public Role role() {
    Set<String> names = Set.of(rights.split(" "));
    return new Role(
        id,
        name,
        Arrays.stream(Right.values())
            .filter(r -> names.contains(r.name()))
            .collect(Collectors.toCollection(() -> EnumSet.noneOf(Right.class))),
        new Role.Limits(
            mostAtOnce,
            nodAbove,
            mostADay,
            mostMailsADay,
            mostTextsADay,
            mostNoticesADay,
            mostRows,
            ownPeople));
  }
}
