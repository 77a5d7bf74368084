package app.jemble.core.message;

import java.util.Locale;

/** Where a cause of messages stands: whether they may leave. */
public enum CauseState {
  DRAFT,
  /** a draft put away; it can be taken back */
  DISCARDED,
  RELEASED,
  WITHDRAWN;

  /** Its messages have been let go. */
  public boolean wasReleased() {
    return this == RELEASED || this == WITHDRAWN;
  }

  /** As it is stored. */
  public String stored() {
    return name().toLowerCase(Locale.ROOT);
  }
}
