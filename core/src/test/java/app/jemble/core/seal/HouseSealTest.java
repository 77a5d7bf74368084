package app.jemble.core.seal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.HexFormat;
import org.testng.annotations.Test;

public class HouseSealTest {

  private static final byte[] KEY = "a secret of the house".getBytes(StandardCharsets.US_ASCII);
  private static final byte[] NAMED = {1, 2, 3, 4};

  private final HouseSeal seal = new HouseSeal("trial ", 16);

  /** RFC 4231, test case 1. */
  @Test
  public void itIsTheStandardsHmac() {
    byte[] key = HexFormat.of().parseHex("0b".repeat(20));
    assertThat(HouseSeal.hmac(key, "Hi There".getBytes(StandardCharsets.US_ASCII)))
        .isEqualTo(
            HexFormat.of()
                .parseHex("b0344c61d8db38535ca8afceaf0bf12b881dc200c9833da726e9376c2e32cff7"));
    assertThat(
            HouseSeal.hmac(
                key,
                "Hi ".getBytes(StandardCharsets.US_ASCII),
                new byte[0],
                "There".getBytes(StandardCharsets.US_ASCII)))
        .as("one behind the other")
        .isEqualTo(HouseSeal.hmac(key, "Hi There".getBytes(StandardCharsets.US_ASCII)));
  }

  @Test
  public void whatItWasPutOnIsReadAgain() {
    String token = seal.on(NAMED, KEY, "orla");
    assertThat(token).matches("[A-Za-z0-9_-]{27}");
    assertThat(seal.read(token, 4, KEY, "orla")).hasValue(NAMED);
  }

  @Test
  public void nobodyElsesIsOne() {
    String token = seal.on(NAMED, KEY, "orla");
    assertThat(seal.read(token, 4, KEY, "tomas")).isEmpty();
    assertThat(new HouseSeal("other ", 16).read(token, 4, KEY, "orla")).isEmpty();
    assertThat(
            seal.read(token, 4, "another house's secret".getBytes(StandardCharsets.US_ASCII), ""))
        .isEmpty();
    assertThat(seal.read(token, 3, KEY, "orla")).isEmpty();
    for (int i = 0; i < token.length() - 1; i++) {
      char other = token.charAt(i) == 'A' ? 'B' : 'A';
      String touched = token.substring(0, i) + other + token.substring(i + 1);
      assertThat(seal.read(touched, 4, KEY, "orla")).as(touched).isEmpty();
    }
    for (String none : new String[] {"", "=", "ä", token + "A", token.substring(1)}) {
      assertThat(seal.read(none, 4, KEY, "orla")).isEmpty();
    }
  }

  @Test
  public void aShortSecretIsNone() {
    assertThatThrownBy(() -> seal.on(NAMED, new byte[15], ""))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
