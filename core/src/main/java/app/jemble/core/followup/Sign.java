package app.jemble.core.followup;

import app.jemble.core.response.ResponseKind;
import java.util.Set;

/** A response of a person at which something can be done at once. */
public enum Sign {
  REPLIED("replies", ResponseKind.REPLIED),
  OPENED("opens it", ResponseKind.OPENED),
  CLICKED("follows a link", ResponseKind.CLICKED),
  AUTO_REPLIED("is away", ResponseKind.AUTO_REPLIED),
  RETURNED("cannot be reached", ResponseKind.RETURNED_HARD, ResponseKind.RETURNED_SOFT),
  LEFT("leaves the list", ResponseKind.LEFT, ResponseKind.COMPLAINED);

  private final String words;
  private final Set<ResponseKind> kinds;

  Sign(String words, ResponseKind... kinds) {
    this.words = words;
    this.kinds = Set.of(kinds);
  }

  /** As people read it, after "as soon as somebody". */
  public String words() {
    return words;
  }

  /** What is noted of it; what software did counts as no sign of a person. */
  public Set<ResponseKind> kinds() {
    return kinds;
  }
}
