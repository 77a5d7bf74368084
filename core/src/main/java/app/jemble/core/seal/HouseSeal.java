package app.jemble.core.seal;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.util.Arrays;
import java.util.Base64;
import java.util.Optional;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;

/**
 * The house's seal on some octets: so many of their HMAC-SHA256 (RFC 2104), put behind them, all in
 * letters that an address takes as they are (RFC 4648 section 5). Nobody makes one without the
 * house's secret, and one of another purpose is none.
 *
 * @param purpose stands before what is sealed; empty for none
 * @param octets of the seal, 8 to 32
 */
public record HouseSeal(String purpose, int octets) {

  private static final String ALGORITHM = "HmacSHA256";
  private static final int LEAST_KEY = 16;

  /**
   * What is named, sealed.
   *
   * @param key the workspace's secret, at least 16 octets
   * @param about what it is sealed for without carrying it, such as a login; empty for nothing
   */
  public String on(byte[] named, byte[] key, String about) {
    byte[] all = Arrays.copyOf(named, named.length + octets);
    System.arraycopy(seal(named, key, about), 0, all, named.length, octets);
    return Base64.getUrlEncoder().withoutPadding().encodeToString(all);
  }

  /** What a token names, so many octets; empty when this house did not seal it for this. */
  public Optional<byte[]> read(String token, int length, byte[] key, String about) {
    byte[] all;
    try {
      all = Base64.getUrlDecoder().decode(token.getBytes(StandardCharsets.UTF_8));
    } catch (IllegalArgumentException notBase64) {
      return Optional.empty();
    }
    if (all.length != length + octets) {
      return Optional.empty();
    }
    byte[] named = Arrays.copyOf(all, length);
    byte[] given = Arrays.copyOfRange(all, length, all.length);
    return MessageDigest.isEqual(seal(named, key, about), given)
        ? Optional.of(named)
        : Optional.empty();
  }

  private byte[] seal(byte[] named, byte[] key, String about) {
    return Arrays.copyOf(
        hmac(
            key,
            purpose.getBytes(StandardCharsets.UTF_8),
            named,
            about.getBytes(StandardCharsets.UTF_8)),
        octets);
  }

  /** All 32 octets of the HMAC-SHA256 of these, one behind the other. */
  public static byte[] hmac(byte[] key, byte[]... parts) {
    if (key.length < LEAST_KEY) {
      throw new IllegalArgumentException("the house's secret has at least 16 octets");
    }
    try {
      Mac mac = Mac.getInstance(ALGORITHM);
      mac.init(new SecretKeySpec(key, ALGORITHM));
      for (byte[] part : parts) {
        mac.update(part);
      }
      return mac.doFinal();
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException("every JDK has HmacSHA256", e);
    }
  }
}
