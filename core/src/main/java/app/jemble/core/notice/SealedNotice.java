package app.jemble.core.notice;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.KeyPair;
import java.security.PrivateKey;
import java.security.PublicKey;
import java.security.SecureRandom;
import java.security.interfaces.ECPublicKey;
import java.util.Arrays;
import javax.crypto.Cipher;
import javax.crypto.KeyAgreement;
import javax.crypto.Mac;
import javax.crypto.spec.GCMParameterSpec;
import javax.crypto.spec.SecretKeySpec;

/**
 * A notice that only one device can read: RFC 8291, in the coding aes128gcm of RFC 8188 with one
 * record.
 */
public final class SealedNotice {

  /** RFC 8291, section 4: push services take at least 4,096 octets. */
  public static final int MOST_OCTETS = 4096 - 86 - 17;

  private static final int SALT = 16;
  private static final int RECORD_SIZE = 4096;
  private static final int TAG_BITS = 128;
  private static final int KEY = 16;
  private static final int NONCE = 12;
  private static final int SECRET = 32;
  private static final int HEADER = SALT + 4 + 1;

  /** RFC 8188, section 2: the delimiter of the last record. */
  private static final byte LAST = 2;

  private SealedNotice() {}

  /**
   * The keys of a device, as it gave them when it registered.
   *
   * @param key its public key, 65 octets
   * @param secret its authentication secret, 16 octets
   */
  public record DeviceKeys(byte[] key, byte[] secret) {
    public DeviceKeys {
      P256.publicKey(key);
      if (secret.length != SALT) {
        throw new IllegalArgumentException("An authentication secret is 16 octets.");
      }
    }
  }

  /** Seals with a key pair and a salt of its own. */
  public static byte[] seal(byte[] words, DeviceKeys device, SecureRandom random) {
    byte[] salt = new byte[SALT];
    random.nextBytes(salt);
    return seal(words, device, P256.pair(random), salt);
  }

  /**
   * Seals what a device can read.
   *
   * @param own a key pair that is used once
   * @param salt 16 octets that are used once
   * @return the body of the request to the push service
   */
  public static byte[] seal(byte[] words, DeviceKeys device, KeyPair own, byte[] salt) {
    if (words.length > MOST_OCTETS) {
      throw new IllegalArgumentException("A notice has at most " + MOST_OCTETS + " octets.");
    }
    byte[] ownKey = P256.octets((ECPublicKey) own.getPublic());
    Keys keys = keys(own.getPrivate(), P256.publicKey(device.key()), device, ownKey, salt);
    byte[] record = Arrays.copyOf(words, words.length + 1);
    record[words.length] = LAST;
    byte[] sealed = cipher(Cipher.ENCRYPT_MODE, keys, record);
    return ByteBuffer.allocate(HEADER + ownKey.length + sealed.length)
        .put(salt)
        .putInt(RECORD_SIZE)
        .put((byte) ownKey.length)
        .put(ownKey)
        .put(sealed)
        .array();
  }

  /**
   * What the device does.
   *
   * @throws IllegalArgumentException when it was not sealed for this device, or was changed
   */
  public static byte[] open(byte[] body, DeviceKeys device, PrivateKey deviceKey) {
    ByteBuffer read = ByteBuffer.wrap(body);
    byte[] salt = new byte[SALT];
    read.get(salt);
    read.getInt();
    byte[] senderKey = new byte[read.get() & 0xFF];
    read.get(senderKey);
    byte[] sealed = new byte[read.remaining()];
    read.get(sealed);
    Keys keys = keys(deviceKey, P256.publicKey(senderKey), device, senderKey, salt);
    byte[] record = cipher(Cipher.DECRYPT_MODE, keys, sealed);
    int end = record.length - 1;
    while (end > 0 && record[end] == 0) {
      end--;
    }
    if (record[end] != LAST) {
      throw new IllegalArgumentException("The record does not end as the last one does.");
    }
    return Arrays.copyOf(record, end);
  }

  private record Keys(byte[] key, byte[] nonce) {}

  /** RFC 8291, section 3.4. */
  private static Keys keys(
      PrivateKey mine, PublicKey theirs, DeviceKeys device, byte[] senderKey, byte[] salt) {
    try {
      KeyAgreement agreement = KeyAgreement.getInstance("ECDH");
      agreement.init(mine);
      agreement.doPhase(theirs, true);
      byte[] info = joined(ascii("WebPush: info\0"), device.key(), senderKey);
      byte[] secret = expand(hmac(device.secret(), agreement.generateSecret()), info, SECRET);
      byte[] random = hmac(salt, secret);
      return new Keys(
          expand(random, ascii("Content-Encoding: aes128gcm\0"), KEY),
          expand(random, ascii("Content-Encoding: nonce\0"), NONCE));
    } catch (GeneralSecurityException wrong) {
      throw new IllegalArgumentException("The keys do not go together.", wrong);
    }
  }

  private static byte[] cipher(int mode, Keys keys, byte[] octets) {
    try {
      Cipher cipher = Cipher.getInstance("AES/GCM/NoPadding");
      cipher.init(
          mode, new SecretKeySpec(keys.key(), "AES"), new GCMParameterSpec(TAG_BITS, keys.nonce()));
      return cipher.doFinal(octets);
    } catch (GeneralSecurityException wrong) {
      throw new IllegalArgumentException("The notice is not for this device.", wrong);
    }
  }

  /** The first block of HKDF-Expand (RFC 5869): no key here is longer than one. */
  private static byte[] expand(byte[] key, byte[] info, int length)
      throws GeneralSecurityException {
    return Arrays.copyOf(hmac(key, joined(info, new byte[] {1})), length);
  }

  private static byte[] hmac(byte[] key, byte[] octets) throws GeneralSecurityException {
    Mac mac = Mac.getInstance("HmacSHA256");
    mac.init(new SecretKeySpec(key, "HmacSHA256"));
    return mac.doFinal(octets);
  }

  private static byte[] joined(byte[]... each) {
    ByteBuffer all = ByteBuffer.allocate(Arrays.stream(each).mapToInt(e -> e.length).sum());
    Arrays.stream(each).forEach(all::put);
    return all.array();
  }

  private static byte[] ascii(String text) {
    return text.getBytes(StandardCharsets.US_ASCII);
  }
}
