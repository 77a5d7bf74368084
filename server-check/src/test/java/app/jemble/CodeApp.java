package app.jemble;

import com.eatthepath.otp.TimeBasedOneTimePasswordGenerator;
import java.security.InvalidKeyException;
import java.time.Instant;
import javax.crypto.spec.SecretKeySpec;
import org.apache.commons.codec.binary.Base32;

/**
 * An app for one-time codes.
 *
 * @param typed the secret as it was typed into it
 */
public record CodeApp(String typed) {

  /** What it shows at an instant. */
  public String shown(Instant at) {
    byte[] secret = new Base32().decode(typed.replace(" ", ""));
    try {
      return new TimeBasedOneTimePasswordGenerator()
          .generateOneTimePasswordString(new SecretKeySpec(secret, "HmacSHA1"), at);
    } catch (InvalidKeyException e) {
      throw new IllegalStateException(e);
    }
  }
}
