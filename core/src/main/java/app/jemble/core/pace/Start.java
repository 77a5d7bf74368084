package app.jemble.core.pace;

import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;

/** When the first message may leave. */
public sealed interface Start {

  /** One instant for all. */
  record At(Instant instant) implements Start {}

  /** What a clock on the wall shows where each person is. */
  record OwnTime(LocalDateTime wall) implements Start {}

  /** The instant for somebody in a zone; read as {@link WallClock} says. */
  default Instant in(ZoneId zone) {
    return this instanceof OwnTime own ? WallClock.at(own.wall(), zone) : ((At) this).instant();
  }
}
