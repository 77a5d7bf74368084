package app.jemble.core.message;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.util.Arrays;
import java.util.Base64;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;

/**
 * The name of a message in public links: 16 random octets and 8 octets of their HMAC-SHA256 (RFC
 * 2104), as 32 letters safe in a URL (RFC 4648 section 5). Nothing in it can be guessed, counted up
 * or traced to a person, and a forged one is refused without asking the database.
 */
public final class PublicToken {

  private static final int RANDOM = 16;
  private static final int SEAL = 8;

  private PublicToken() {}

  /**
   * @param random 16 octets from a secure source
   * @param key the workspace's secret, at least 16 octets
   */
  public static String of(byte[] random, byte[] key) {
    if (random.length != RANDOM || key.length < 16) {
      throw new IllegalArgumentException("a token takes 16 random octets and a key of 16 or more");
    }
    byte[] all = Arrays.copyOf(random, RANDOM + SEAL);
    System.arraycopy(seal(random, key), 0, all, RANDOM, SEAL);
    return Base64.getUrlEncoder().withoutPadding().encodeToString(all);
  }

  /**
   * The token of a mail of the house that is no message: always the same for the same name.
   *
   * @param name that no other mail has
   */
  public static String named(String name, byte[] key) {
    byte[] whole = hmac(name.getBytes(StandardCharsets.UTF_8), key);
    return of(Arrays.copyOf(whole, RANDOM), key);
  }

  /** Whether the token was made with this key. */
  public static boolean isGenuine(String token, byte[] key) {
    byte[] all;
    try {
      all = Base64.getUrlDecoder().decode(token.getBytes(StandardCharsets.US_ASCII));
    } catch (IllegalArgumentException notBase64) {
      return false;
    }
    if (all.length != RANDOM + SEAL) {
      return false;
    }
    byte[] expected = seal(Arrays.copyOf(all, RANDOM), key);
    return MessageDigest.isEqual(expected, Arrays.copyOfRange(all, RANDOM, RANDOM + SEAL));
  }

  private static byte[] seal(byte[] random, byte[] key) {
    return Arrays.copyOf(hmac(random, key), SEAL);
  }

  private static byte[] hmac(byte[] octets, byte[] key) {
    try {
      Mac mac = Mac.getInstance("HmacSHA256");
      mac.init(new SecretKeySpec(key, "HmacSHA256"));
      return mac.doFinal(octets);
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException("every JDK has HmacSHA256", e);
    }
  }
}
