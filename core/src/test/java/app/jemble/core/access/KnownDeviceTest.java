package app.jemble.core.access;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Base64;
import java.util.List;
import org.testng.annotations.Test;

/** Only a browser in which that colleague signed in of late is known. */
public class KnownDeviceTest {

  private static final byte[] KEY =
      "0123456789abcdef0123456789abcdef".getBytes(StandardCharsets.US_ASCII);
  private static final Instant UNTIL = Instant.parse("2026-12-01T12:00:00Z");
  private static final Instant BEFORE = UNTIL.minusSeconds(1);
  private static final byte[] NONCE = "sixteen octets..".getBytes(StandardCharsets.US_ASCII);

  private final String token = KnownDevice.of("orla", NONCE, UNTIL, KEY);

  @Test
  public void itIsKnownUntilItsDay() {
    assertThat(KnownDevice.read(token, "orla", BEFORE, KEY))
        .hasValue("7369787465656e206f63746574732e2e");
    assertThat(KnownDevice.read(token, "orla", UNTIL, KEY)).isEmpty();
  }

  @Test
  public void itIsOneLoginsAndOneHouses() {
    assertThat(KnownDevice.read(token, "orl", BEFORE, KEY)).isEmpty();
    assertThat(KnownDevice.read(token, "tomas", BEFORE, KEY)).isEmpty();
    byte[] other = KEY.clone();
    other[0]++;
    assertThat(KnownDevice.read(token, "orla", BEFORE, other)).isEmpty();
  }

  @Test
  public void noOctetOfItCanBeAnother() {
    byte[] all = Base64.getUrlDecoder().decode(token);
    for (int i = 0; i < all.length; i++) {
      byte[] changed = all.clone();
      changed[i] ^= 1;
      String forged = Base64.getUrlEncoder().withoutPadding().encodeToString(changed);
      assertThat(KnownDevice.read(forged, "orla", BEFORE, KEY)).as("octet " + i).isEmpty();
    }
  }

  @Test
  public void whatIsNoneIsNone() {
    for (String none : List.of("", "a", "ü", "=", token + "AA", token.substring(4), "\r\n")) {
      assertThat(KnownDevice.read(none, "orla", BEFORE, KEY)).as(none).isEmpty();
    }
    assertThatThrownBy(() -> KnownDevice.of("orla", new byte[3], UNTIL, KEY))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
