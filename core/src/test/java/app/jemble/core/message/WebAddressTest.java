package app.jemble.core.message;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class WebAddressTest {

  @DataProvider
  public Object[][] followed() {
    return new Object[][] {
      {"https://quay.example", "https://quay.example"},
      {" HTTPS://Quay.example/Times?a=1&b=2#c ", "https://Quay.example/Times?a=1&b=2#c"},
      {
        "https://quay.example/a b|c{d}^`\\<>\"",
        "https://quay.example/a%20b%7Cc%7Bd%7D%5E%60%5C%3C%3E%22"
      },
      {"https://quay.example/%zz%4", "https://quay.example/%25zz%254"},
      {"https://quay.example/%C3%A9", "https://quay.example/%C3%A9"},
      {"https://quay.example/é/🚤", "https://quay.example/%C3%A9/%F0%9F%9A%A4"},
      {"https://bücher.example/x", "https://xn--bcher-kva.example/x"},
      {"https://quay.example:8443/x[1]#a#b", "https://quay.example:8443/x%5B1%5D#a%23b"},
      {"https://qu\nay.example/\r\nx", "https://quay.example/x"},
      {"http://[2001:db8::1]/x", "http://[2001:db8::1]/x"},
      {"mailto:bea@okonjo.example?subject=A b", "mailto:bea@okonjo.example?subject=A%20b"},
      {"tel:+44 7700 900123", "tel:+44%207700%20900123"},
    };
  }

  @Test(dataProvider = "followed")
  public void whatMayBeFollowedIsFollowedRight(String written, String normal) {
    assertThat(WebAddress.normal(written)).contains(normal);
    assertThat(URI.create(normal)).isNotNull();
    assertThat(WebAddress.normal(normal)).as("again").contains(normal);
  }

  @DataProvider
  public Object[][] refused() {
    return new Object[][] {
      {"javascript:alert(1)"},
      {"java\nscript:alert(1)"},
      {"data:text/html,x"},
      {"vbscript:x"},
      {"file:///x"},
      {"ftp://quay.example"},
      {"//quay.example"},
      {"quay.example"},
      {""},
      {"https:"},
      {"https://"},
      {"https:///x"},
      {"https://a b.example"},
      {"https://-.example:x/"},
      {"https:quay.example"},
      {"mailto:"},
      {"#"},
      {":"},
    };
  }

  @Test(dataProvider = "refused")
  public void whatMayNotBeFollowedIsNone(String written) {
    assertThat(WebAddress.normal(written)).isEmpty();
  }

  @Test
  public void whateverComesOutCanBeRead() {
    Random random = new Random(20261127);
    String letters = "ab/:?#[]@!$%&'()*+,;=|{}\\^`<>\" \n\té🚤.0-_~";
    int[] points = letters.codePoints().toArray();
    for (int i = 0; i < 100_000; i++) {
      StringBuilder written =
          new StringBuilder(random.nextBoolean() ? "https://" : "http://q.example/");
      for (int j = random.nextInt(20); j > 0; j--) {
        written.appendCodePoint(points[random.nextInt(points.length)]);
      }
      WebAddress.normal(written.toString())
          .ifPresent(
              normal -> {
                URI read = URI.create(normal);
                assertThat(read.getScheme()).isIn("http", "https");
                assertThat(normal).matches("[\\x21-\\x7e]+");
              });
    }
  }
}
