package app.jemble.core.message;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class HtmlTest {

  @DataProvider
  public Object[][] dirty() {
    return new Object[][] {
      {"<p onclick=\"x()\">Hello</p>", "<p>Hello</p>"},
      {"<script>alert(1)</script><p>Hi</p>", "<p>Hi</p>"},
      {"<p style=\"color:red\" class=\"a\">Hi<!-- c --></p>", "<p>Hi</p>"},
      {"<a href=\"javascript:alert(1)\">x</a>", "<a>x</a>"},
      {"<a href=\"data:text/html,x\">x</a>", "<a>x</a>"},
      {"<a href=\"{{source}}\">x</a>", "<a href=\"{{source}}\">x</a>"},
      {"<a href=\"https://quay.example\">x</a>", "<a href=\"https://quay.example\">x</a>"},
      {
        "<img src=\"https://quay.example/a.png\" onerror=\"x\">",
        "<img src=\"https://quay.example/a.png\">"
      },
      {"<iframe src=\"https://quay.example\"></iframe><b>b</b>", "<b>b</b>"},
      {"<p>{{first_name or \"friend\"}}</p>", "<p>{{first_name or \"friend\"}}</p>"},
    };
  }

  @Test(dataProvider = "dirty")
  public void cleans(String html, String expected) {
    assertThat(SafeHtml.clean(html)).isEqualTo(expected);
  }

  @DataProvider
  public Object[][] texts() {
    return new Object[][] {
      {"<p>One</p><p>Two</p>", "One\n\nTwo\n"},
      {"<p>One<br>Two</p>", "One\nTwo\n"},
      {"<ul><li>a</li><li>b <b>c</b></li></ul><p>end</p>", "- a\n- b c\n\nend\n"},
      {"<ol><li>a</li><li>b</li></ol>", "1. a\n2. b\n"},
      {"<p><a href=\"https://q.example\">https://q.example</a></p>", "https://q.example\n"},
      {"<blockquote><p>said</p></blockquote>", "> said\n"},
      {"<table><tr><td>a</td><td>b</td></tr><tr><td>c</td></tr></table>", "a  b\nc\n"},
      {"<p>5 &lt; 6 &amp; 7</p>", "5 < 6 & 7\n"},
      {"<p>a</p><hr><p>b</p>", "a\n\n--------\n\nb\n"},
      {"", "\n"},
    };
  }

  @Test(dataProvider = "texts")
  public void readsLikeTheHtml(String html, String expected) {
    assertThat(PlainText.fromHtml(html)).isEqualTo(expected);
  }

  @Test
  public void aTokenIsGenuineOnlyWithItsKey() {
    byte[] key = "0123456789abcdef".getBytes(StandardCharsets.US_ASCII);
    byte[] other = "0123456789abcdeg".getBytes(StandardCharsets.US_ASCII);
    String token = PublicToken.of(new byte[16], key);
    assertThat(token).hasSize(32).matches("[A-Za-z0-9_-]+");
    assertThat(PublicToken.isGenuine(token, key)).isTrue();
    assertThat(PublicToken.isGenuine(token, other)).isFalse();
    assertThat(PublicToken.isGenuine("B" + token.substring(1), key)).isFalse();
    assertThat(PublicToken.isGenuine("", key)).isFalse();
    assertThat(PublicToken.isGenuine("ü%%", key)).isFalse();
  }
}
