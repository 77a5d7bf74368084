package app.jemble.core.series;

import java.util.Locale;

/** How a series stands, and which moves are allowed. */
public enum SeriesState {
  DRAFT,
  ACTIVE,
  /** nothing leaves */
  PAUSED,
  ENDED;

  public boolean mayPause() {
    return this == ACTIVE;
  }

  public boolean mayEnd() {
    return this == ACTIVE || this == PAUSED;
  }

  /** Whether people can come in. */
  public boolean takesPeople() {
    return this == ACTIVE || this == PAUSED;
  }

  public String stored() {
    return name().toLowerCase(Locale.ROOT);
  }
}
