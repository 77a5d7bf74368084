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
      {
        "<p style=\"color: #8A2B5C; position: fixed; text-align: Center\">a</p>",
        "<p style=\"color: #8a2b5c; text-align: center\">a</p>"
      },
      {"<span style=\"font-size: 400px; color: url(x)\">a</span>", "<span>a</span>"},
      {"<td style=\"width:50%;background:url(x)\">a</td>", "a"},
      {
        "<a class=\"button big\" href=\"https://q.example\">a</a>",
        "<a href=\"https://q.example\">a</a>"
      },
      {
        "<a class=\"button\" href=\"https://q.example\">a</a>",
        "<a class=\"button\" href=\"https://q.example\">a</a>"
      },
      {"<img src=\"/pictures/abc_D-9\" alt=\"a\">", "<img src=\"/pictures/abc_D-9\" alt=\"a\">"},
      {"<img src=\"/pictures/../api/session\">", "<img>"},
      {"<img src=\"/api/people\">", "<img>"},
      {"<p>{{> signature}}</p><p>b</p>", "{{&gt; signature}}<p>b</p>"},
      {"<p>a {{> signature}}</p>", "<p>a {{&gt; signature}}</p>"},
      {"<svg><script>x()</script></svg><math><mi>y</mi></math>", "y"},
      {"<form action=\"https://x.example\"><input name=\"card\">ok</form>", "ok"},
    };
  }

  @Test
  public void whatIsCleanStaysAsItIs() {
    for (Object[] pair : dirty()) {
      String clean = SafeHtml.clean((String) pair[0]);
      assertThat(SafeHtml.clean(clean)).isEqualTo(clean);
    }
  }

  @DataProvider
  public Object[][] colours() {
    return new Object[][] {
      {"#1f474b", true},
      {"#1F474B", true},
      {"#fff", false},
      {"red", false},
      {"#1f474b;", false},
      {"", false},
      {null, false},
    };
  }

  @Test(dataProvider = "colours")
  public void aLetterheadTakesColoursAlone(String colour, boolean right) {
    assertThat(Letterhead.isColour(colour)).isEqualTo(right);
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
      {"<ol>\n<li>a &nbsp;</li>\n<li>b<br>&nbsp;<br>c</li></ol>", "1. a\n2. b\n  c\n"},
      {"<p><a href=\"https://q.example\">https://q.example</a></p>", "https://q.example\n"},
      {"<blockquote><p>said</p></blockquote>", "> said\n"},
      {"<table><tr><td>a</td><td>b</td></tr><tr><td>c</td></tr></table>", "a  b\nc\n"},
      {"<p>5 &lt; 6 &amp; 7</p>", "5 < 6 & 7\n"},
      {"<p>a</p><hr><p>b</p>", "a\n\n--------\n\nb\n"},
      {
        "<table><tbody><tr><th><p>Day</p></th><th><p>Time</p></th></tr><tr><td><p>Sat</p></td>"
            + "<td><p>9</p><p>to 5</p></td></tr></tbody></table><p>end</p>",
        "Day  Time\nSat  9 to 5\n\nend\n"
      },
      {"<ul><li><p>a</p><ul><li><p>b</p></li></ul></li></ul>", "- a\n  - b\n"},
      {"<p><img src=\"/pictures/k\" alt=\"A boat\"> and <img src=\"x\"></p>", "[A boat] and\n"},
      {
        "<h2>Head</h2><p>a</p><blockquote><p>b</p><p>c</p></blockquote>",
        "Head\n\na\n\n> b\n>\n> c\n"
      },
      {
        "<p><a class=\"button\" href=\"https://q.example\">Book</a></p>",
        "Book (https://q.example)\n"
      },
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
