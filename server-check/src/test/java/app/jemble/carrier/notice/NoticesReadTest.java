package app.jemble.carrier.notice;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.message.OutgoingNotice;
import app.jemble.core.notice.SealedNotice;
import app.jemble.core.notice.SealedNotice.DeviceKeys;
import app.jemble.core.reach.Address;
import app.jemble.standins.push.PretendApp;
import java.nio.ByteBuffer;
import java.security.GeneralSecurityException;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.List;
import java.util.Random;
import org.testng.annotations.Test;
import tools.jackson.databind.json.JsonMapper;

/** What the house seals is read by another library (Tink's apps-webpush), which the app has. */
public class NoticesReadTest {

  private static final int NOTICES = 1000;

  private static String words(Random random, int most) {
    int length = random.nextInt(most + 1);
    StringBuilder words = new StringBuilder();
    for (int i = 0; i < length; i++) {
      int sign =
          random.nextInt(4) == 0 ? random.nextInt(0x20, 0x1F900) : random.nextInt(0x20, 0x7F);
      words.appendCodePoint(
          Character.isDefined(sign) && (sign < 0xD800 || sign > 0xDFFF) ? sign : 'x');
    }
    return words.toString();
  }

  @Test
  public void aThousandRandomNoticesAreReadAsTheyWereWritten() throws GeneralSecurityException {
    Random random = new Random(8291);
    NoticeCarrier carrier =
        new NoticeCarrier(
            new NoticeSettings(List.of(), "", 1, null),
            null,
            null,
            JsonMapper.builder().build(),
            null);
    for (int i = 0; i < NOTICES; i++) {
      PretendApp app =
          new PretendApp("d", ByteBuffer.allocate(8).putLong(random.nextLong()).array());
      OutgoingNotice notice =
          new OutgoingNotice(
              "token" + i,
              Address.Device.of(i),
              List.of(),
              words(random, 60),
              words(random, 180),
              "https://quay.example/" + i,
              "https://quay.example/leave",
              List.of());
      DeviceKeys keys =
          new DeviceKeys(
              Base64.getUrlDecoder().decode(app.key()),
              Base64.getUrlDecoder().decode(app.secret()));
      byte[] body = SealedNotice.seal(carrier.write(notice), keys, new SecureRandom());
      assertThat(body.length).as("RFC 8030, section 7.2").isLessThanOrEqualTo(4096);
      PretendApp.Shown shown = app.read(body);
      assertThat(shown)
          .isEqualTo(
              new PretendApp.Shown(
                  notice.title(), notice.words(), notice.link(), notice.leave(), notice.token()));
    }
  }
}
