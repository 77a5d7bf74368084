package app.jemble.core.message;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import org.testng.annotations.Test;

public class SeenLetterTest {

  private static String seen(String body) {
    return SeenLetter.of(
        "<html><head><style>p { color: red }</style></head><body>" + body + "</body></html>",
        id -> id.equals("logo") ? Optional.of("data:image/png;base64,AAAA") : Optional.empty());
  }

  @Test
  public void itLooksAsItDid() {
    String seen = seen("<p style=\"margin:0\">Dear <b>Bea</b>,</p><img src=\"cid:logo\" alt=\"\">");
    assertThat(seen)
        .contains("p { color: red }")
        .contains("<p style=\"margin:0\">Dear <b>Bea</b>,</p>")
        .contains("src=\"data:image/png;base64,AAAA\"");
  }

  @Test
  public void marksAndLinksAreDead() {
    String seen =
        seen(
            "<a href=\"https://jemble.example/l/abc\">Come</a>"
                + "<img src=\"https://jemble.example/o/abc.gif\" width=\"1\" height=\"1\" alt=\"\">"
                + "<img src=\"https://other.example/boat.png\" alt=\"A boat\">"
                + "<table background=\"https://other.example/t.png\"><tr><td>x</td></tr></table>");
    assertThat(seen)
        .contains("<a title=\"https://jemble.example/l/abc\">Come</a>")
        .contains("<img alt=\"A boat\">")
        .doesNotContain("href=")
        .doesNotContain("src=")
        .doesNotContain("background=");
  }

  @Test
  public void noStyleFetchesAnything() {
    assertThat(seen("<p style=\"background:url(https://x.example/o)\">P</p>"))
        .contains("Content-Security-Policy")
        .contains("default-src 'none'; img-src data:; style-src 'unsafe-inline'");
  }

  @Test
  public void nothingRuns() {
    String seen =
        seen(
            "<script>alert(1)</script><p onclick=\"x()\">P</p><iframe src=\"//x\"></iframe>"
                + "<form action=\"//x\"><input name=\"a\"></form><base href=\"//x\">"
                + "<meta http-equiv=\"refresh\" content=\"0;url=//x\">");
    assertThat(seen)
        .contains("<p>P</p>")
        .doesNotContainPattern("script|onclick|iframe|form|base|refresh|//x");
  }
}
