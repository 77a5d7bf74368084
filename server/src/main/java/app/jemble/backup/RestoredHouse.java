package app.jemble.backup;

import app.jemble.backup.RestoredMapper.Row;
import java.time.Clock;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;

/**
 * Keeps a house that was made of a backup from sending what the other has sent since: nothing
 * leaves until somebody says that it goes on here ({@link GoingOn}).
 */
@Service
public class RestoredHouse {

  private static final long KNOWN_NANOS = 1_000_000_000L;

  private final RestoredMapper mapper;
  private final Clock clock;
  private volatile boolean held = true;
  private volatile long askedAt = System.nanoTime() - KNOWN_NANOS;

  RestoredHouse(RestoredMapper mapper, Clock clock) {
    this.mapper = mapper;
    this.clock = clock;
  }

  @EventListener(ApplicationReadyEvent.class)
  void begin() {
    mapper.see(clock.instant());
  }

  /** Whether nothing may leave. */
  public boolean isHeld() {
    if (System.nanoTime() - askedAt >= KNOWN_NANOS) {
      Row row = mapper.find();
      held = row != null && row.liftedAt() == null;
      askedAt = System.nanoTime();
    }
    return held;
  }
}
