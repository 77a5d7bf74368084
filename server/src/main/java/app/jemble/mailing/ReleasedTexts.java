package app.jemble.mailing;

import app.jemble.core.message.MessageComposer;
import app.jemble.outbox.SharedTexts;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.stereotype.Service;

/** The texts of released mailings, kept parsed while their messages leave. */
@Service
class ReleasedTexts implements SharedTexts {

  private static final int MOST_KEPT = 50;

  private final LetterService letters;
  private final FrozenValues frozen;
  private final MailingService mailings;

  private record Key(long mailingId, int version) {}

  private final Map<Key, MessageComposer.Shared> kept =
      new LinkedHashMap<>() {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, MessageComposer.Shared> eldest) {
          return size() > MOST_KEPT;
        }
      };

  ReleasedTexts(LetterService letters, FrozenValues frozen, MailingService mailings) {
    this.letters = letters;
    this.frozen = frozen;
    this.mailings = mailings;
  }

  @Override
  public MessageComposer.Shared of(long mailingId) {
    Mailing mailing = mailings.find(mailingId);
    Key key = new Key(mailingId, mailing.version());
    synchronized (kept) {
      return kept.computeIfAbsent(key, k -> letters.of(mailing).shared());
    }
  }

  @Override
  public Frozen thaw(String text) {
    return frozen.thaw(text);
  }
}
