package app.jemble.core.signup;

import app.jemble.core.message.PublicToken;
import java.nio.ByteBuffer;
import java.time.Duration;
import java.time.Instant;
import java.util.Base64;
import java.util.Optional;

/**
 * When a form was shown, sealed so that nobody can say it otherwise. Software answers at once, and
 * another site's copy of the form has none.
 */
public final class FormSeal {

  /** No person reads and fills a form in less. */
  public static final Duration LEAST = Duration.ofSeconds(2);

  /** A form may stand open overnight. */
  public static final Duration MOST = Duration.ofHours(48);

  private static final int OCTETS = 16;

  private FormSeal() {}

  /** A seal for a form that is shown now. */
  public static String of(Instant shown, byte[] key) {
    return PublicToken.of(
        ByteBuffer.allocate(OCTETS).putLong(shown.toEpochMilli()).putLong(0).array(), key);
  }

  /** When the form was shown; empty when nobody of ours says so. */
  public static Optional<Instant> shownAt(String seal, byte[] key) {
    if (seal == null || !PublicToken.isGenuine(seal, key)) {
      return Optional.empty();
    }
    ByteBuffer octets = ByteBuffer.wrap(Base64.getUrlDecoder().decode(seal));
    long shown = octets.getLong();
    return octets.getLong() == 0 ? Optional.of(Instant.ofEpochMilli(shown)) : Optional.empty();
  }

  /** Whether what was posted with it is taken, or the form is shown once more to look over. */
  public static boolean isTaken(String seal, Instant now, byte[] key) {
    return shownAt(seal, key)
        .map(shown -> Duration.between(shown, now))
        .filter(age -> age.compareTo(LEAST) >= 0 && age.compareTo(MOST) <= 0)
        .isPresent();
  }
}
