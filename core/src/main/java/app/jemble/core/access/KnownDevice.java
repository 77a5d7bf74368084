package app.jemble.core.access;

import app.jemble.core.seal.HouseSeal;
import java.nio.ByteBuffer;
import java.time.Instant;
import java.util.HexFormat;
import java.util.Optional;

/**
 * What a browser keeps in which a colleague has signed in: it may try again however many others
 * guess at that login (OWASP, "Slow Down Online Guessing Attacks with Device Cookies"). It opens
 * nothing by itself.
 */
public final class KnownDevice {

  /** Octets that tell one browser from another. */
  public static final int NONCE = 16;

  private static final HouseSeal SEAL = new HouseSeal("device ", 16);
  private static final int NAMED = NONCE + Long.BYTES;

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
    return SEAL.on(
        ByteBuffer.allocate(NAMED).put(nonce).putLong(until.getEpochSecond()).array(), key, login);
  }

  /** Which device it is; empty when it is not one of this login's, or too old. */
  public static Optional<String> read(String token, String login, Instant now, byte[] key) {
    return SEAL.read(token, NAMED, key, login)
        .filter(named -> now.getEpochSecond() < ByteBuffer.wrap(named).getLong(NONCE))
        .map(named -> HexFormat.of().formatHex(named, 0, NONCE));
  }
}
