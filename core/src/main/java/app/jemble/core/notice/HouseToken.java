package app.jemble.core.notice;

import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.Signature;
import java.security.interfaces.ECPrivateKey;
import java.security.interfaces.ECPublicKey;
import java.time.Duration;
import java.time.Instant;
import java.util.Base64;

/**
 * How the house proves to a push service that it is the one whom the device let in: the token of
 * RFC 8292, a JWT signed with ES256.
 */
public final class HouseToken {

  /** Section 2 allows 24 hours; half of that leaves room for clocks that differ. */
  public static final Duration GOOD_FOR = Duration.ofHours(12);

  private static final Base64.Encoder BASE64 = Base64.getUrlEncoder().withoutPadding();

  private HouseToken() {}

  /**
   * The value of the Authorization header of a request.
   *
   * @param device the address that the push service gave the device
   * @param contact where the push service can reach the house, a {@code mailto:} or {@code https:}
   */
  public static String header(
      URI device, String contact, Instant now, ECPrivateKey key, ECPublicKey publicKey) {
    String head = part("{\"typ\":\"JWT\",\"alg\":\"ES256\"}");
    String claims =
        part(
            "{\"aud\":\""
                + origin(device)
                + "\",\"exp\":"
                + now.plus(GOOD_FOR).getEpochSecond()
                + ",\"sub\":\""
                + contact.replace("\\", "").replace("\"", "")
                + "\"}");
    String signed = head + "." + claims;
    return "vapid t="
        + signed
        + "."
        + BASE64.encodeToString(sign(signed, key))
        + ", k="
        + BASE64.encodeToString(P256.octets(publicKey));
  }

  /** Scheme, host and port, as RFC 6454 writes them: the token is for one push service. */
  public static String origin(URI device) {
    String port = device.getPort() < 0 ? "" : ":" + device.getPort();
    return device.getScheme() + "://" + device.getHost() + port;
  }

  private static String part(String json) {
    return BASE64.encodeToString(json.getBytes(StandardCharsets.UTF_8));
  }

  /** The two numbers of the signature one after another (RFC 7518, section 3.4). */
  private static byte[] sign(String words, ECPrivateKey key) {
    try {
      Signature signature = Signature.getInstance("SHA256withECDSAinP1363Format");
      signature.initSign(key);
      signature.update(words.getBytes(StandardCharsets.US_ASCII));
      return signature.sign();
    } catch (GeneralSecurityException wrong) {
      throw new IllegalArgumentException("The key of the house does not sign.", wrong);
    }
  }
}
