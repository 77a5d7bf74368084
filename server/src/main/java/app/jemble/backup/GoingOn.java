package app.jemble.backup;

import app.jemble.backup.RestoredMapper.Row;
import app.jemble.problem.Problem;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Lets a house go on that was made of a backup. What was due by then may have left the other: it is
 * in doubt, for a person to settle.
 */
@Service
class GoingOn {

  /** Series, rules and days first write what they would have written meanwhile. */
  private static final Duration CATCHING_UP = Duration.ofMinutes(1);

  private final RestoredMapper mapper;
  private final MayHaveLeft messages;
  private final Clock clock;

  GoingOn(RestoredMapper mapper, MayHaveLeft messages, Clock clock) {
    this.mapper = mapper;
    this.messages = messages;
    this.clock = clock;
  }

  /**
   * How it stands while it is held.
   *
   * @param goesOnAt from when on somebody may say that it goes on; null: since long
   */
  record Standing(Instant madeAt, Instant restoredAt, Instant goesOnAt) {}

  /** Empty where nothing is held. */
  Optional<Standing> standing() {
    Row row = mapper.find();
    return row == null || row.liftedAt() != null
        ? Optional.empty()
        : Optional.of(new Standing(row.madeAt(), row.restoredAt(), goesOnAt(row)));
  }

  private Instant goesOnAt(Row row) {
    Instant now = clock.instant();
    Instant at = (row.seenAt() == null ? now : row.seenAt()).plus(CATCHING_UP);
    return at.isAfter(now) ? at : null;
  }

  /** Lets it go on here; answers how many messages are in doubt. */
  @Transactional
  int goOn(long account) {
    Row row = mapper.find();
    if (row == null || row.liftedAt() != null) {
      throw Problem.conflict("The house goes on already.");
    }
    if (goesOnAt(row) != null) {
      throw Problem.conflict(
          "Series and rules first write what they would have written meanwhile. A minute more.");
    }
    Instant now = clock.instant();
    if (mapper.lift(now, account) == 0) {
      throw Problem.conflict("The house goes on already.");
    }
    return messages.doubtDueUntil(now);
  }
}
