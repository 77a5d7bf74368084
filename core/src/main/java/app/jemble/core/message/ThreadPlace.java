package app.jemble.core.message;

import java.util.ArrayList;
import java.util.List;

/**
 * Where a message stands in a conversation (RFC 5322 section 3.6.4).
 *
 * @param inReplyTo the Message-ID it answers or follows, or null when it opens a conversation
 * @param references the Message-IDs of the conversation so far, oldest first
 */
public record ThreadPlace(String inReplyTo, List<String> references) {

  /** RFC 5322 names no limit; beyond this the middle is dropped, first and last ones stay. */
  private static final int MOST_REFERENCES = 20;

  public static final ThreadPlace NEW = new ThreadPlace(null, List.of());

  public ThreadPlace {
    references = List.copyOf(references);
  }

  /** The place of a message that follows another: its references, then its own Message-ID. */
  public static ThreadPlace following(String messageId, List<String> itsReferences) {
    List<String> all = new ArrayList<>(itsReferences);
    all.remove(messageId);
    all.add(messageId);
    while (all.size() > MOST_REFERENCES) {
      all.remove(1);
    }
    return new ThreadPlace(messageId, all);
  }
}
