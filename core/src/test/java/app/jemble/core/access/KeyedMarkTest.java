package app.jemble.core.access;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.util.Arrays;
import java.util.HexFormat;
import org.testng.annotations.Test;

public class KeyedMarkTest {

  private static final byte[] KEY =
      "a key of the house, 32 octets...".getBytes(StandardCharsets.US_ASCII);

  /** By the definition of RFC 2104: H(K xor opad, H(K xor ipad, text)), with blocks of 64. */
  @Test
  public void itIsWhatTheStandardSays() throws Exception {
    byte[] block = Arrays.copyOf(KEY, 64);
    MessageDigest inner = MessageDigest.getInstance("SHA-256");
    MessageDigest outer = MessageDigest.getInstance("SHA-256");
    for (byte octet : block) {
      inner.update((byte) (octet ^ 0x36));
      outer.update((byte) (octet ^ 0x5c));
    }
    inner.update("address\0bea@ærø.example".getBytes(StandardCharsets.UTF_8));
    assertThat(KeyedMark.of(KEY, "address", "bea@ærø.example"))
        .isEqualTo(outer.digest(inner.digest()));
  }

  /** Another purpose, value or key makes another mark. */
  @Test
  public void purposeAndValueCannotRunIntoEachOther() {
    assertThat(HexFormat.of().formatHex(KeyedMark.of(KEY, "ab", "c")))
        .isNotEqualTo(HexFormat.of().formatHex(KeyedMark.of(KEY, "a", "bc")));
    byte[] other = KEY.clone();
    other[0]++;
    assertThat(KeyedMark.of(other, "a", "b")).isNotEqualTo(KeyedMark.of(KEY, "a", "b"));
  }
}
