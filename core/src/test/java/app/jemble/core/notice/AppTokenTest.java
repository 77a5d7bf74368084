package app.jemble.core.notice;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.message.PublicToken;
import app.jemble.core.record.PersonId;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.Random;
import org.testng.annotations.Test;

/** A token says whose it is, and nobody else makes one. */
public class AppTokenTest {

  private static final byte[] KEY =
      "0123456789abcdef0123456789abcdef".getBytes(StandardCharsets.US_ASCII);

  @Test
  public void whatWasMadeIsRead() {
    Random random = new Random(8292);
    for (int i = 0; i < 1000; i++) {
      AppToken.Holder holder =
          new AppToken.Holder(new PersonId(random.nextLong(1, Long.MAX_VALUE)), random.nextInt(9));
      String token = AppToken.of(holder, KEY);
      assertThat(token).matches("[\\w-]{38}");
      assertThat(AppToken.read(token, KEY)).contains(holder);
    }
  }

  @Test
  public void whatWasChangedAnywhereIsNot() {
    byte[] token =
        Base64.getUrlDecoder().decode(AppToken.of(new AppToken.Holder(new PersonId(7), 0), KEY));
    for (int i = 0; i < token.length; i++) {
      byte[] changed = token.clone();
      changed[i] ^= 1;
      assertThat(AppToken.read(Base64.getUrlEncoder().encodeToString(changed), KEY)).isEmpty();
    }
  }

  @Test
  public void whatIsNoneIsNot() {
    byte[] other = KEY.clone();
    other[0] ^= 1;
    String token = AppToken.of(new AppToken.Holder(new PersonId(7), 0), KEY);
    assertThat(AppToken.read(token, other)).isEmpty();
    assertThat(AppToken.read("", KEY)).isEmpty();
    assertThat(AppToken.read("sample", KEY)).isEmpty();
    assertThat(AppToken.read("ж", KEY)).isEmpty();
    assertThat(AppToken.read(PublicToken.of(new byte[16], KEY), KEY)).isEmpty();
  }
}
