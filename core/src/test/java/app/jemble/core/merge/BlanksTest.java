package app.jemble.core.merge;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.testng.annotations.Test;

public class BlanksTest {

  @Test
  public void aBlankIsFilledWhereverItStandsAndOthersStay() {
    assertThat(Blanks.fill("[a] and [b] and [a]", Map.of("[a]", "$1 \\ one")))
        .isEqualTo("$1 \\ one and [b] and $1 \\ one");
  }

  @Test
  public void aMergeFieldIsNoBlank() {
    String text = "{{first_name or \"[friend]\"}}";
    assertThat(Blanks.in("{{x}} [one\ntwo] [] []]")).isEmpty();
    assertThat(Blanks.fill(text, Map.of("first_name", "x"))).isEqualTo(text);
  }

  @Test
  public void inHtmlAValueIsTextAndBetweenTagsAnAddressIsALink() {
    Map<String, String> values =
        Map.of("[a]", "<i>\"&", "[w]", "https://w.example/?a=1&b=2", "[s]", "javascript:alert(1)");
    assertThat(Blanks.fillHtml("<p title=\"[a]\">[a]</p>", values))
        .isEqualTo("<p title=\"&lt;i&gt;&quot;&amp;\">&lt;i&gt;&quot;&amp;</p>");
    assertThat(Blanks.fillHtml("<a href=\"[w]\">[w]</a> [s]", values))
        .startsWith("<a href=\"https://w.example/?a=1&amp;b=2\">")
        .endsWith("javascript:alert(1)");
    assertThat(Blanks.fillHtml("<p>[w]</p>", values))
        .isEqualTo(
            "<p><a href=\"https://w.example/?a=1&amp;b=2\">https://w.example/?a=1&amp;b=2</a></p>");
  }
}
