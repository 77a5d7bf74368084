package app.jemble.core.notice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jemble.core.notice.SealedNotice.DeviceKeys;
import java.nio.charset.StandardCharsets;
import java.security.KeyPair;
import java.security.SecureRandom;
import java.security.interfaces.ECPublicKey;
import java.util.Base64;
import java.util.Random;
import org.testng.annotations.Test;

/** Notices sealed for one device, against the worked message of RFC 8291, appendix A. */
public class SealedNoticeTest {

  private static final String SENDER_PUBLIC =
      "BP4z9KsN6nGRTbVYI_c7VJSPQTBtkgcy27mlmlMoZIIgDll6e3vCYLocInmYWAmS6TlzAC8wEqKK6PBru3jl7A8";
  private static final String SENDER_PRIVATE = "yfWPiYE-n46HLnH0KqZOF1fJJU3MYrct3AELtAQ-oRw";
  private static final String DEVICE_PUBLIC =
      "BCVxsr7N_eNgVRqvHtD0zTZsEc6-VV-JvLexhqUzORcxaOzi6-AYWXvTBHm4bjyPjs7Vd8pZGH6SRpkNtoIAiw4";
  private static final String DEVICE_PRIVATE = "q1dXpw3UpT5VOmu_cf_v6ih07Aems3njxI-JWgLcM94";
  private static final String SALT = "DGv6ra1nlYgDCS1FRnbzlw";
  private static final String SECRET = "BTBZMqHH6r4Tts7J_aSIgg";
  private static final String WORDS = "When I grow up, I want to be a watermelon";
  private static final String BODY =
      "DGv6ra1nlYgDCS1FRnbzlwAAEABBBP4z9KsN6nGRTbVYI_c7VJSPQTBtkgcy27mlmlMoZIIgDll6e3vCYLocInmY"
          + "WAmS6TlzAC8wEqKK6PBru3jl7A_yl95bQpu6cVPTpK4Mqgkf1CXztLVBSt2Ks3oZwbuwXPXLWyouBWLVWGNW"
          + "QexSgSxsj_Qulcy4a-fN";

  private final SecureRandom random = new SecureRandom();

  private static byte[] bytes(String base64) {
    return Base64.getUrlDecoder().decode(base64);
  }

  private static DeviceKeys device() {
    return new DeviceKeys(bytes(DEVICE_PUBLIC), bytes(SECRET));
  }

  @Test
  public void theWorkedMessageOfTheStandardComesOutOctetByOctet() {
    KeyPair own =
        new KeyPair(P256.publicKey(bytes(SENDER_PUBLIC)), P256.privateKey(bytes(SENDER_PRIVATE)));
    byte[] body =
        SealedNotice.seal(WORDS.getBytes(StandardCharsets.UTF_8), device(), own, bytes(SALT));
    assertThat(Base64.getUrlEncoder().withoutPadding().encodeToString(body)).isEqualTo(BODY);
  }

  @Test
  public void theDeviceReadsIt() {
    byte[] read = SealedNotice.open(bytes(BODY), device(), P256.privateKey(bytes(DEVICE_PRIVATE)));
    assertThat(new String(read, StandardCharsets.UTF_8)).isEqualTo(WORDS);
  }

  @Test
  public void whatIsSealedForOneIsReadByThemAlone() {
    Random lengths = new Random(20261128);
    for (int i = 0; i < 200; i++) {
      byte[] words = new byte[lengths.nextInt(SealedNotice.MOST_OCTETS + 1)];
      lengths.nextBytes(words);
      byte[] secret = new byte[16];
      lengths.nextBytes(secret);
      KeyPair keys = P256.pair(random);
      DeviceKeys device = new DeviceKeys(P256.octets((ECPublicKey) keys.getPublic()), secret);
      byte[] body = SealedNotice.seal(words, device, random);
      assertThat(body.length).isLessThanOrEqualTo(4096);
      assertThat(SealedNotice.open(body, device, keys.getPrivate())).isEqualTo(words);
      assertThatThrownBy(
              () -> SealedNotice.open(body, device, P256.privateKey(bytes(DEVICE_PRIVATE))))
          .isInstanceOf(IllegalArgumentException.class);
    }
  }

  @Test
  public void whatWasChangedOnTheWayIsNotRead() {
    byte[] body = bytes(BODY);
    body[body.length - 1] ^= 1;
    assertThatThrownBy(
            () -> SealedNotice.open(body, device(), P256.privateKey(bytes(DEVICE_PRIVATE))))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  public void keysThatAreNoneAreRefused() {
    byte[] beside = bytes(DEVICE_PUBLIC);
    beside[64] ^= 1;
    assertThatThrownBy(() -> new DeviceKeys(beside, bytes(SECRET)))
        .hasMessageContaining("no point of the curve");
    assertThatThrownBy(() -> new DeviceKeys(new byte[65], bytes(SECRET)))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new DeviceKeys(bytes(DEVICE_PUBLIC), new byte[3]))
        .hasMessageContaining("16 octets");
    assertThatThrownBy(() -> P256.privateKey(new byte[32]))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
