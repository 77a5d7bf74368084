package app.jemble.core.response;

import java.util.Collections;
import java.util.EnumSet;
import java.util.Set;

/**
 * What can be asked of a message after all that came back, each by itself: somebody can have
 * replied and left.
 *
 * @param opened a person has read it: opened it, followed a link, or replied
 */
public record Signs(
    boolean opened, boolean clicked, boolean replied, boolean returned, boolean left) {

  private static final Set<ResponseKind> READ =
      EnumSet.of(ResponseKind.OPENED, ResponseKind.CLICKED, ResponseKind.REPLIED);

  private static final Set<ResponseKind> RETURNED =
      EnumSet.of(ResponseKind.RETURNED_HARD, ResponseKind.RETURNED_SOFT);

  public static Signs of(Set<ResponseKind> kinds) {
    return new Signs(
        !Collections.disjoint(kinds, READ),
        kinds.contains(ResponseKind.CLICKED),
        kinds.contains(ResponseKind.REPLIED),
        !Collections.disjoint(kinds, RETURNED),
        kinds.contains(ResponseKind.LEFT));
  }
}
