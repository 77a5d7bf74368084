package app.jemble.role.page;

import app.jemble.core.access.Right;
import app.jemble.core.access.Role;
import java.util.stream.Collectors;

/**
 * What the history tells of a role.
 *
 * @param mayDo its rights, in the words of the table of roles
 */
record RoleTold(
    String name,
    String mayDo,
    Integer peopleAtOnce,
    Integer nodAbove,
    Integer messagesADay,
    Integer mailsADay,
    Integer textsADay,
    Integer noticesADay,
    Integer peopleInAFile,
    String whosePeople) {

  static final RoleTold NOTHING =
      new RoleTold("", "", null, null, null, null, null, null, null, "");

  static RoleTold of(Role role) {
    return new RoleTold(
        role.name(),
        role.rights().stream()
            .filter(Right::isGiven)
            .sorted()
            .map(Right::words)
            .collect(Collectors.joining("; ")),
        role.limits().mostAtOnce(),
        role.limits().nodAbove(),
        role.limits().mostADay(),
        role.limits().mostMailsADay(),
        role.limits().mostTextsADay(),
        role.limits().mostNoticesADay(),
        role.limits().mostRows(),
        role.limits().ownPeople() ? "their own" : "everybody’s");
  }
}
