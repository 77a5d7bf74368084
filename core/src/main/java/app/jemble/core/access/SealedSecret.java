package app.jemble.core.access;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.SecureRandom;
import java.util.Arrays;
import java.util.Optional;
import javax.crypto.Cipher;
import javax.crypto.spec.GCMParameterSpec;
import javax.crypto.spec.SecretKeySpec;

/**
 * Secrets as they stand in the database: AES-256-GCM (NIST SP 800-38D). What is sealed for one
 * purpose cannot be put in the place of another. Shape: one octet for the kind of seal, 12 of
 * nonce, then what is sealed with 16 octets of tag.
 */
public final class SealedSecret {

  /** Octets of the key. */
  public static final int KEY = 32;

  private static final byte KIND = 1;
  private static final int NONCE = 12;
  private static final int TAG = 16;

  private SealedSecret() {}

  /**
   * @param key {@link #KEY} octets
   * @param purpose what it is, and whose
   */
  public static byte[] seal(byte[] secret, byte[] key, String purpose, SecureRandom random) {
    byte[] nonce = new byte[NONCE];
    random.nextBytes(nonce);
    try {
      byte[] sealed = cipher(Cipher.ENCRYPT_MODE, nonce, key, purpose).doFinal(secret);
      byte[] all = new byte[1 + NONCE + sealed.length];
      all[0] = KIND;
      System.arraycopy(nonce, 0, all, 1, NONCE);
      System.arraycopy(sealed, 0, all, 1 + NONCE, sealed.length);
      return all;
    } catch (GeneralSecurityException e) {
      throw new IllegalArgumentException("the key has " + KEY + " octets", e);
    }
  }

  /** The secret; empty when another key, or another purpose, or nobody sealed it. */
  public static Optional<byte[]> open(byte[] sealed, byte[] key, String purpose) {
    if (sealed.length < 1 + NONCE + TAG || sealed[0] != KIND) {
      return Optional.empty();
    }
    byte[] nonce = Arrays.copyOfRange(sealed, 1, 1 + NONCE);
    try {
      return Optional.of(
          cipher(Cipher.DECRYPT_MODE, nonce, key, purpose)
              .doFinal(sealed, 1 + NONCE, sealed.length - 1 - NONCE));
    } catch (GeneralSecurityException notOurs) {
      return Optional.empty();
    }
  }

  private static Cipher cipher(int mode, byte[] nonce, byte[] key, String purpose)
      throws GeneralSecurityException {
    Cipher cipher = Cipher.getInstance("AES/GCM/NoPadding");
    cipher.init(mode, new SecretKeySpec(key, "AES"), new GCMParameterSpec(TAG * 8, nonce));
    cipher.updateAAD(purpose.getBytes(StandardCharsets.UTF_8));
    return cipher;
  }
}
