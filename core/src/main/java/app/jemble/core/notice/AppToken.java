package app.jemble.core.notice;

import app.jemble.core.record.PersonId;
import java.nio.ByteBuffer;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.util.Arrays;
import java.util.Base64;
import java.util.Optional;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;

/**
 * What only one person was given, so that their app can register: whose it is and which of those
 * they were given, sealed with the house's secret. In letters that an address takes as they are.
 */
public final class AppToken {

  private static final int SEAL = 16;
  private static final int NAMED = Long.BYTES + Integer.BYTES;

  /** So that no other seal of the house is one of these. */
  private static final byte[] PURPOSE = {'a', 'p', 'p', ' '};

  private AppToken() {}

  /**
   * Whose it is.
   *
   * @param number how many they were given before
   */
  public record Holder(PersonId person, int number) {}

  /**
   * @param key the workspace's secret, at least 16 octets
   */
  public static String of(Holder holder, byte[] key) {
    byte[] named =
        ByteBuffer.allocate(NAMED).putLong(holder.person().value()).putInt(holder.number()).array();
    byte[] all = Arrays.copyOf(named, NAMED + SEAL);
    System.arraycopy(seal(named, key), 0, all, NAMED, SEAL);
    return Base64.getUrlEncoder().withoutPadding().encodeToString(all);
  }

  /** Whose a token is; empty when it was not made with this key. */
  public static Optional<Holder> read(String token, byte[] key) {
    byte[] all;
    try {
      all = Base64.getUrlDecoder().decode(token);
    } catch (IllegalArgumentException notBase64) {
      return Optional.empty();
    }
    if (all.length != NAMED + SEAL) {
      return Optional.empty();
    }
    byte[] named = Arrays.copyOf(all, NAMED);
    if (!MessageDigest.isEqual(seal(named, key), Arrays.copyOfRange(all, NAMED, all.length))) {
      return Optional.empty();
    }
    ByteBuffer read = ByteBuffer.wrap(named);
    return Optional.of(new Holder(new PersonId(read.getLong()), read.getInt()));
  }

  private static byte[] seal(byte[] named, byte[] key) {
    try {
      Mac mac = Mac.getInstance("HmacSHA256");
      mac.init(new SecretKeySpec(key, "HmacSHA256"));
      mac.update(PURPOSE);
      return Arrays.copyOf(mac.doFinal(named), SEAL);
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException("every JDK has HmacSHA256", e);
    }
  }
}
