package app.jemble.carrier.mail;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.carrier.OctetBuffer;
import jakarta.mail.internet.MimeUtility;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** RFC 2045 section 6.7, its rules by number; read back by the mail library's own decoder. */
public class QuotedPrintableTest {

  private static String encoded(String text) {
    OctetBuffer out = new OctetBuffer(text.length());
    QuotedPrintable.encode(text.getBytes(StandardCharsets.UTF_8), out);
    return new String(out.toOctets(), StandardCharsets.US_ASCII);
  }

  private static String decoded(String text) throws Exception {
    byte[] octets = text.getBytes(StandardCharsets.US_ASCII);
    return new String(
        MimeUtility.decode(new ByteArrayInputStream(octets), "quoted-printable").readAllBytes(),
        StandardCharsets.UTF_8);
  }

  @DataProvider
  public Object[][] rules() {
    return new Object[][] {
      {"rule 1: = itself", "a=b", "a=3Db"},
      {"rule 1: other octets", "Beatriz é", "Beatriz =C3=A9"},
      {"rule 2: what stands for itself", "!<>~ .", "!<>~ ."},
      {"rule 3: a blank at the end of a line", "a \nb\t", "a=20\r\nb=09"},
      {"rule 4: line ends are CRLF", "a\nb\r\nc\rd", "a\r\nb\r\nc\r\nd"},
      {"a full stop that begins a line", ".\n.b", "=2E\r\n=2Eb"},
      {"nothing", "", ""},
    };
  }

  @Test(dataProvider = "rules")
  public void followsTheRules(String rule, String text, String expected) {
    assertThat(encoded(text)).as(rule).isEqualTo(expected);
  }

  @Test
  public void aLongLineIsBrokenSoftlyAtMostAt76() throws Exception {
    String line = "x".repeat(75);
    assertThat(encoded(line)).isEqualTo(line);
    assertThat(encoded(line + "y").lines()).hasSize(2).allMatch(l -> l.length() <= 76);
    assertThat(decoded(encoded(line + " "))).isEqualTo(line + " ");
  }

  @Test
  public void anythingComesBackAsItWas() throws Exception {
    Random random = new Random(11);
    String letters = "ab .=\t\né€😀\"<";
    int[] points = letters.codePoints().toArray();
    for (int round = 0; round < 3000; round++) {
      StringBuilder text = new StringBuilder();
      for (int i = random.nextInt(300); i > 0; i--) {
        text.appendCodePoint(points[random.nextInt(points.length)]);
      }
      String encoded = encoded(text.toString());
      assertThat(decoded(encoded).replace("\r\n", "\n")).isEqualTo(text.toString());
      assertThat(encoded.lines())
          .allMatch(l -> l.length() <= 76 && !l.startsWith(".") && !l.matches(".*[ \t]"));
    }
  }
}
