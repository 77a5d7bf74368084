package app.jemble.mailing;

import app.jemble.outbox.SharedTexts;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
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
  private final MailingService mailings;
  private final Clock clock;

  private record Kept(Letter letter, Instant read) {}

  private final Map<Long, Kept> kept =
      new LinkedHashMap<>() {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Long, Kept> eldest) {
          return size() > MOST_KEPT;
        }
      };

  ReleasedTexts(LetterService letters, FrozenValues frozen, MailingService mailings, Clock clock) {
    this.letters = letters;
    this.frozen = frozen;
    this.mailings = mailings;
    this.clock = clock;
  }

  @Override
  public Ready ready(long mailingId, long personId, String text) {
    Letter letter = letter(mailingId);
    FrozenValues.Thawed thawed = frozen.thaw(text);
    return new Ready(
        letter.shared(personId, letter.voices(thawed.ownerName(), thawed.ownerEmail())),
        thawed.language(),
        letter.values(thawed.values()));
  }

  private Letter letter(long mailingId) {
    Instant now = clock.instant();
    synchronized (kept) {
      Kept known = kept.get(mailingId);
      if (known != null && now.isBefore(known.read().plus(FRESH))) {
        return known.letter();
      }
    }
    Kept fresh = new Kept(letters.of(mailings.found(mailingId)), now);
    synchronized (kept) {
      kept.put(mailingId, fresh);
    }
    return fresh.letter();
  }
}
