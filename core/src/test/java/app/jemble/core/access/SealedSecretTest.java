package app.jemble.core.access;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.util.Arrays;
import java.util.HexFormat;
import org.testng.annotations.Test;

public class SealedSecretTest {

  private static final String PURPOSE = "second factor of 7";

  private static final String BY_ANOTHER =
      "016465666768696a6b6c6d6e6f293bad031a9b33ea9f04a8a0204c88bf8046b8c317d8f7ef";

  private final byte[] key = new byte[SealedSecret.KEY];
  private final byte[] other = new byte[SealedSecret.KEY];
  private final byte[] secret = "åß a secret".getBytes(StandardCharsets.UTF_8);
  private final SecureRandom random = new SecureRandom();

  public SealedSecretTest() {
    random.nextBytes(key);
    random.nextBytes(other);
  }

  @Test
  public void whoHasTheKeyAndThePurposeOpensIt() {
    byte[] sealed = SealedSecret.seal(secret, key, PURPOSE, random);
    assertThat(SealedSecret.open(sealed, key, PURPOSE)).hasValue(secret);
    assertThat(SealedSecret.open(sealed, other, PURPOSE)).isEmpty();
    assertThat(SealedSecret.open(sealed, key, "second factor of 8")).isEmpty();
    assertThat(SealedSecret.seal(secret, key, PURPOSE, random)).isNotEqualTo(sealed);
    assertThat(SealedSecret.open(SealedSecret.seal(new byte[0], key, "", random), key, ""))
        .hasValue(new byte[0]);
  }

  @Test
  public void whatIsTouchedOpensNoMore() {
    byte[] sealed = SealedSecret.seal(secret, key, PURPOSE, random);
    for (int i = 0; i < sealed.length; i++) {
      byte[] touched = sealed.clone();
      touched[i] ^= 1;
      assertThat(SealedSecret.open(touched, key, PURPOSE)).as("octet %d", i).isEmpty();
      assertThat(SealedSecret.open(Arrays.copyOf(sealed, i), key, PURPOSE)).isEmpty();
    }
  }

  /** By AESGCM of pyca/cryptography 48.0.0: key 00 to 1f, nonce 64 to 6f. */
  @Test
  public void whatAnotherLibrarySealedIsOpened() {
    byte[] known = new byte[SealedSecret.KEY];
    for (int i = 0; i < known.length; i++) {
      known[i] = (byte) i;
    }
    assertThat(SealedSecret.open(HexFormat.of().parseHex(BY_ANOTHER), known, "purpose"))
        .hasValue("a secret".getBytes(StandardCharsets.US_ASCII));
  }

  @Test
  public void aShortKeyIsNone() {
    assertThatThrownBy(() -> SealedSecret.seal(secret, new byte[5], PURPOSE, random))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
