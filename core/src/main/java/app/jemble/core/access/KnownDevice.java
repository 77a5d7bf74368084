package app.jemble.core.access;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.time.Instant;
import java.util.Arrays;
import java.util.Base64;
import java.util.HexFormat;
import java.util.Optional;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;

/**
 * What a browser keeps in which a colleague has signed in: it may try again however many others
 * guess at that login (OWASP, "Slow Down Online Guessing Attacks with Device Cookies"). It opens
 * nothing by itself.
 */
public final class KnownDevice {

  /** Octets that tell one browser from another. */
  public static final int NONCE = 16;

  private static final int SEAL = 16;
  private static final int NAMED = NONCE + Long.BYTES;

  /** So that no other seal of the house is one of these. */
  private static final byte[] PURPOSE = "device ".getBytes(StandardCharsets.US_ASCII);

  private KnownDevice() {}

  /**
   * @param nonce {@link #NONCE} octets from a secure source
   * @param until to the second
   * @param key the workspace's secret, at least 16 octets
   */
  public static String of(String login, byte[] nonce, Instant until, byte[] key) {
    if (nonce.length != NONCE) {
      throw new IllegalArgumentException("a device has " + NONCE + " octets");
    }
    byte[] named = ByteBuffer.allocate(NAMED).put(nonce).putLong(until.getEpochSecond()).array();
    byte[] all = Arrays.copyOf(named, NAMED + SEAL);
    System.arraycopy(seal(named, login, key), 0, all, NAMED, SEAL);
    return Base64.getUrlEncoder().withoutPadding().encodeToString(all);
  }

  /** Which device it is; empty when it is not one of this login's, or too old. */
  public static Optional<String> read(String token, String login, Instant now, byte[] key) {
    byte[] all;
    try {
      all = Base64.getUrlDecoder().decode(token.getBytes(StandardCharsets.UTF_8));
    } catch (IllegalArgumentException notBase64) {
      return Optional.empty();
    }
    if (all.length != NAMED + SEAL) {
      return Optional.empty();
    }
    byte[] named = Arrays.copyOf(all, NAMED);
    byte[] expected = seal(named, login, key);
    if (!MessageDigest.isEqual(expected, Arrays.copyOfRange(all, NAMED, all.length))) {
      return Optional.empty();
    }
    long until = ByteBuffer.wrap(named, NONCE, Long.BYTES).getLong();
    return now.getEpochSecond() < until
        ? Optional.of(HexFormat.of().formatHex(named, 0, NONCE))
        : Optional.empty();
  }

  private static byte[] seal(byte[] named, String login, byte[] key) {
    try {
      Mac mac = Mac.getInstance("HmacSHA256");
      mac.init(new SecretKeySpec(key, "HmacSHA256"));
      mac.update(PURPOSE);
      mac.update(named);
      mac.update(login.getBytes(StandardCharsets.UTF_8));
      return Arrays.copyOf(mac.doFinal(), SEAL);
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException("every JDK has HmacSHA256", e);
    }
  }
}
