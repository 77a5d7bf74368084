package app.jemble.standins.push;

import com.google.crypto.tink.apps.webpush.WebPushHybridDecrypt;
import com.google.gson.JsonObject;
import com.google.gson.JsonParser;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.SecureRandom;
import java.security.interfaces.ECPrivateKey;
import java.security.interfaces.ECPublicKey;
import java.security.spec.ECGenParameterSpec;
import java.util.Base64;

/** The app on one device, as far as notices go: it has keys of its own and reads what comes. */
public final class PretendApp {

  private static final int SECRET = 16;

  private final String device;
  private final KeyPair keys;
  private final byte[] secret = new byte[SECRET];

  /** What the app shows, and by which it tells that it was opened. */
  public record Shown(String title, String text, String link, String leave, String message) {}

  /**
   * @param device its name at the push service
   * @param seed the same seed gives the same keys
   */
  public PretendApp(String device, byte[] seed) {
    this.device = device;
    try {
      SecureRandom random = SecureRandom.getInstance("SHA1PRNG");
      random.setSeed(seed);
      random.nextBytes(secret);
      KeyPairGenerator generator = KeyPairGenerator.getInstance("EC");
      generator.initialize(new ECGenParameterSpec("secp256r1"), random);
      keys = generator.generateKeyPair();
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException("every Java has these", e);
    }
  }

  public String device() {
    return device;
  }

  /** Its public key, base64url. */
  public String key() {
    return base64(publicOctets());
  }

  /** Its authentication secret, base64url. */
  public String secret() {
    return base64(secret);
  }

  /** Reads what was sealed for it, by a library that the house does not seal with. */
  public Shown read(byte[] body) throws GeneralSecurityException {
    byte[] words =
        new WebPushHybridDecrypt.Builder()
            .withAuthSecret(secret)
            .withRecipientPublicKey(publicOctets())
            .withRecipientPrivateKey((ECPrivateKey) keys.getPrivate())
            .build()
            .decrypt(body, null);
    JsonObject said =
        JsonParser.parseString(new String(words, StandardCharsets.UTF_8)).getAsJsonObject();
    return new Shown(
        said.get("title").getAsString(),
        said.get("text").getAsString(),
        said.get("link").getAsString(),
        said.get("leave").getAsString(),
        said.get("message").getAsString());
  }

  private byte[] publicOctets() {
    ECPublicKey key = (ECPublicKey) keys.getPublic();
    byte[] octets = new byte[65];
    octets[0] = 4;
    put(key.getW().getAffineX().toByteArray(), octets, 1);
    put(key.getW().getAffineY().toByteArray(), octets, 33);
    return octets;
  }

  /** A number in 32 octets, the highest first. */
  private static void put(byte[] number, byte[] into, int at) {
    int length = Math.min(32, number.length);
    System.arraycopy(number, number.length - length, into, at + 32 - length, length);
  }

  private static String base64(byte[] octets) {
    return Base64.getUrlEncoder().withoutPadding().encodeToString(octets);
  }
}
