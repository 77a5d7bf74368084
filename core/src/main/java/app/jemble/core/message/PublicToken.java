package app.jemble.core.message;

import app.jemble.core.seal.HouseSeal;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;

/**
 * The name of a message in public links: 16 random octets and 8 octets of their HMAC-SHA256 (RFC
 * 2104), as 32 letters safe in a URL (RFC 4648 section 5). Nothing in it can be guessed, counted up
 * or traced to a person, and a forged one is refused without asking the database.
 */
public final class PublicToken {

  private static final int RANDOM = 16;
  private static final HouseSeal SEAL = new HouseSeal("", 8);

  private PublicToken() {}

  /**
   * @param random 16 octets from a secure source
   * @param key the workspace's secret, at least 16 octets
   */
  public static String of(byte[] random, byte[] key) {
    if (random.length != RANDOM) {
      throw new IllegalArgumentException("a token takes 16 random octets");
    }
    return SEAL.on(random, key, "");
  }

  /**
   * The token of a mail of the house that is no message: always the same for the same name.
   *
   * @param name that no other mail has
   */
  public static String named(String name, byte[] key) {
    byte[] whole = HouseSeal.hmac(key, name.getBytes(StandardCharsets.UTF_8));
    return of(Arrays.copyOf(whole, RANDOM), key);
  }

  /** Whether the token was made with this key. */
  public static boolean isGenuine(String token, byte[] key) {
    return SEAL.read(token, RANDOM, key, "").isPresent();
  }
}
