package app.jemble.colleague;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.util.Base64;

/**
 * What stands behind the # of a link that is good once: it is sent to no server and stands in no
 * log of one; kept is only its hash.
 */
final class LinkToken {

  /** 192 bits: nobody guesses one. */
  private static final int OCTETS = 24;

  private static final SecureRandom RANDOM = new SecureRandom();

  private LinkToken() {}

  static String made() {
    byte[] octets = new byte[OCTETS];
    RANDOM.nextBytes(octets);
    return Base64.getUrlEncoder().withoutPadding().encodeToString(octets);
  }

  /** SHA-256, which is enough for what nobody can guess. */
  static byte[] hash(String token) {
    try {
      return MessageDigest.getInstance("SHA-256")
          .digest((token == null ? "" : token).getBytes(StandardCharsets.UTF_8));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }
}
