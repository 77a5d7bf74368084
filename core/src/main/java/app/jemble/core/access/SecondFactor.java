package app.jemble.core.access;

import com.eatthepath.otp.TimeBasedOneTimePasswordGenerator;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.security.InvalidKeyException;
import java.security.Key;
import java.security.MessageDigest;
import java.time.Duration;
import java.time.Instant;
import java.util.OptionalLong;
import javax.crypto.spec.SecretKeySpec;
import org.apache.commons.codec.binary.Base32;

/**
 * Codes of six digits that an app shows anew every 30 seconds (RFC 6238 with HMAC-SHA-1, which all
 * apps know). A code is good once: whoever looked over a shoulder comes too late.
 */
public final class SecondFactor {

  /** RFC 4226, section 4, R6: 160 bits are recommended. */
  public static final int SECRET_OCTETS = 20;

  private static final Duration STEP = Duration.ofSeconds(30);

  /** RFC 6238, section 5.2: one step for the way there and for clocks that differ. */
  private static final int DRIFT = 1;

  private static final int DIGITS = 6;
  private static final String ALGORITHM =
      TimeBasedOneTimePasswordGenerator.TOTP_ALGORITHM_HMAC_SHA1;

  private SecondFactor() {}

  /**
   * The step, counted in 30 seconds from 1970, to which a code belongs; empty when it belongs to
   * none that is near and later than the last one that was used.
   *
   * @param code as it was typed; spaces do not matter
   * @param lastUsed the step of the last code that was good
   */
  public static OptionalLong stepOf(byte[] secret, String code, Instant now, long lastUsed) {
    String digits = code == null ? "" : code.replaceAll("\\s", "");
    long here = now.getEpochSecond() / STEP.toSeconds();
    OptionalLong found = OptionalLong.empty();
    // All are computed, whichever it is: the time that takes tells nothing.
    for (long step = here - DRIFT; step <= here + DRIFT; step++) {
      if (isSame(codeOf(secret, step), digits) && step > lastUsed) {
        found = OptionalLong.of(step);
      }
    }
    return found;
  }

  private static boolean isSame(String one, String other) {
    return MessageDigest.isEqual(
        one.getBytes(StandardCharsets.UTF_8), other.getBytes(StandardCharsets.UTF_8));
  }

  static String codeOf(byte[] secret, long step) {
    Key key = new SecretKeySpec(secret, ALGORITHM);
    try {
      return new TimeBasedOneTimePasswordGenerator(STEP, DIGITS, ALGORITHM)
          .generateOneTimePasswordString(
              key, Instant.ofEpochSecond(Math.multiplyExact(step, STEP.toSeconds())));
    } catch (InvalidKeyException impossible) {
      throw new IllegalArgumentException("a secret has " + SECRET_OCTETS + " octets", impossible);
    }
  }

  /** A secret as it is typed into an app (RFC 4648 base32, without padding). */
  public static String typed(byte[] secret) {
    return new Base32().encodeToString(secret).replace("=", "");
  }

  /**
   * What an app reads from a picture: its secret, and whose it is.
   *
   * @param house under whose name it stands in the app
   */
  public static String uri(String house, String login, byte[] secret) {
    String issuer = escaped(house);
    return "otpauth://totp/"
        + issuer
        + ":"
        + escaped(login)
        + "?secret="
        + typed(secret)
        + "&issuer="
        + issuer;
  }

  private static String escaped(String words) {
    return URLEncoder.encode(words, StandardCharsets.UTF_8).replace("+", "%20");
  }
}
