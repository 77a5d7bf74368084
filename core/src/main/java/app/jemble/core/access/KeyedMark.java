package app.jemble.core.access;

import app.jemble.core.seal.HouseSeal;
import java.nio.charset.StandardCharsets;

/**
 * A mark by which a value is known again, and which tells nothing of it to whoever has not the key:
 * HMAC-SHA256 (RFC 2104, FIPS 180-4) of the purpose, an octet 0, and the value in UTF-8.
 */
public final class KeyedMark {

  private KeyedMark() {}

  /**
   * @param key at least 16 octets
   * @param purpose what the value is: marks of two purposes cannot be compared
   * @return 32 octets
   */
  public static byte[] of(byte[] key, String purpose, String value) {
    return HouseSeal.hmac(
        key,
        purpose.getBytes(StandardCharsets.UTF_8),
        new byte[] {0},
        value.getBytes(StandardCharsets.UTF_8));
  }
}
