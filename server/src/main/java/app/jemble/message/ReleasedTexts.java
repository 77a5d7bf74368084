package app.jemble.message;

import app.jemble.cause.OpenCauses;
import app.jemble.outbox.SharedTexts;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Service;

/**
 * The texts of released mailings, kept parsed while their messages leave. They do not change once a
 * message can leave; sender and house may, and are read anew after a moment.
 */
@Service
class ReleasedTexts implements SharedTexts {

  private static final int MOST_KEPT = 50;
  private static final Duration FRESH = Duration.ofSeconds(2);

  private final LetterService letters;
  private final FrozenValues frozen;
  private final OpenCauses mailings;

  private final Cache<Long, Letter> kept;

  ReleasedTexts(LetterService letters, FrozenValues frozen, OpenCauses mailings, Clock clock) {
    this.letters = letters;
    this.frozen = frozen;
    this.mailings = mailings;
    this.kept =
        Caffeine.newBuilder()
            .maximumSize(MOST_KEPT)
            .expireAfterWrite(FRESH)
            .ticker(() -> TimeUnit.MILLISECONDS.toNanos(clock.millis()))
            .build();
  }

  @Override
  public Ready ready(long mailingId, long personId, String text) {
    Letter letter = kept.get(mailingId, id -> letters.of(mailings.anybodys(id)));
    FrozenValues.Thawed thawed = frozen.thaw(text);
    return new Ready(
        letter.shared(personId, letter.voices(thawed.ownerName(), thawed.ownerEmail())),
        thawed.language(),
        letter.values(thawed.values()));
  }
}
