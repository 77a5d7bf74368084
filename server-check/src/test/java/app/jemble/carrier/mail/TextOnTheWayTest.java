package app.jemble.carrier.mail;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What a text must be, or is made, to come through hosts on the way unchanged. */
public class TextOnTheWayTest {

  @DataProvider
  public Object[][] plain() {
    return new Object[][] {
      {"Dear Bea\n\nyours", true},
      {"", true},
      {"x".repeat(900), true},
      {"x".repeat(901), false},
      {"short\n" + "x".repeat(901) + "\nshort", false},
      {"a blank at the end \nof a line", false},
      {"a tab at the very end\t", false},
      {"From here on", false},
      {"he wrote\nFrom here on", false},
      {"not From here", true},
      {"caf\u00e9", false},
      {"a lone\rreturn", false},
      {"a nul\0", false},
    };
  }

  /** RFC 2045 section 6.2 and RFC 2049 section 3. */
  @Test(dataProvider = "plain")
  public void someCanGoAsTheyAre(String text, boolean can) {
    assertThat(PlainLines.are(text, text.getBytes(StandardCharsets.UTF_8).length)).isEqualTo(can);
  }

  @DataProvider
  public Object[][] stops() {
    return new Object[][] {
      {"a\r\nb\r\n", "a\r\nb\r\n"},
      {".\r\n", "..\r\n"},
      {"a\r\n.\r\nQUIT\r\n", "a\r\n..\r\nQUIT\r\n"},
      {"a\r\n..b\r\n", "a\r\n...b\r\n"},
      {"no end", "no end\r\n"},
      {"a.b\r\n", "a.b\r\n"},
    };
  }

  /** RFC 5321 section 4.5.2. */
  @Test(dataProvider = "stops")
  public void aFullStopThatBeginsALineIsDoubled(String text, String expected) {
    byte[] octets = text.getBytes(StandardCharsets.ISO_8859_1);
    assertThat(new String(Dots.stuffed(octets), StandardCharsets.ISO_8859_1)).isEqualTo(expected);
  }

  @Test
  public void otherOctetsPassThrough() {
    byte[] octets = {(byte) 0xc3, (byte) 0xa9, '\r', '\n', '.', (byte) 0xff, '\r', '\n'};
    assertThat(Dots.stuffed(octets))
        .containsExactly(0xc3, 0xa9, '\r', '\n', '.', '.', 0xff, '\r', '\n');
  }
}
