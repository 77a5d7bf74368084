package app.jemble.carrier.mail;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.message.OutgoingMessage;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.apache.james.mime4j.dom.Message;
import org.apache.james.mime4j.dom.Multipart;
import org.apache.james.mime4j.dom.TextBody;
import org.apache.james.mime4j.message.DefaultMessageBuilder;
import org.testng.annotations.Test;

/** What is measured beside one another is the same message. */
public class GeneralMimeWritersTest {

  private static final OutgoingMessage MESSAGE =
      GeneralMimeWriters.message(
          "<p>Dear Zoë, see you there.</p>\n", "Dear Zoë,\nsee you there.\n");

  @Test
  public void allThreeReadBackTheSame() throws Exception {
    for (byte[] octets :
        List.of(
            GeneralMimeWriters.ours(MESSAGE),
            GeneralMimeWriters.mime4j(MESSAGE),
            GeneralMimeWriters.jakarta(MESSAGE))) {
      Message read = new DefaultMessageBuilder().parseMessage(new ByteArrayInputStream(octets));
      assertThat(read.getSubject()).isEqualTo(MESSAGE.subject());
      assertThat(read.getMessageId()).isEqualTo(MESSAGE.messageId());
      assertThat(read.getFrom().get(0).getName()).isEqualTo(MESSAGE.from().name());
      assertThat(read.getDate().toInstant()).isEqualTo(MESSAGE.date());
      assertThat(read.getHeader().getField("List-Unsubscribe").getBody())
          .isEqualTo("<https://ternquay.example/leave/token>");
      Multipart texts = (Multipart) read.getBody();
      assertThat(texts.getBodyParts()).hasSize(2);
      for (int i = 0; i < 2; i++) {
        TextBody body = (TextBody) texts.getBodyParts().get(i).getBody();
        String text = new String(body.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(text.replace("\r\n", "\n")).isEqualTo(i == 0 ? MESSAGE.text() : MESSAGE.html());
      }
    }
  }
}
