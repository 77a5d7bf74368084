package app.jemble.core.merge;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.merge.TemplateParser.Kind;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.Values;
import app.jemble.core.record.YardFields;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.testng.annotations.Test;

/** Property: no value, in no place, changes more than the words at its place. */
public class HostileValuesTest {

  private static final int ROUNDS = 4000;
  private static final List<String> PIECES =
      List.of(
          "<script>alert(1)</script>",
          "</p>",
          "\"",
          "'",
          "`",
          "&",
          "&lt;",
          "<!--",
          "-->",
          "]]>",
          "javascript:alert(1)",
          "data:text/html,x",
          "https://ok.example/",
          "{{last_name}}",
          "}}",
          "\r\nBcc: all@evil.example",
          "\n\n",
          "\u0000",
          "\u2028",
          "\u202e",
          " onload=x ",
          "%0d%0a",
          "Zoë",
          "王小舟",
          "نور",
          "👩‍🚀",
          "=?utf-8?q?x?=",
          "\\",
          "/",
          "?a=1&b=2",
          "#",
          " ");
  private static final String BODY =
      "<p>Dear {{first_name}},</p><p title=\"{{first_name}}\"><a href=\"{{first_name}}\">a</a>"
          + "<a href=\"https://quay.example/{{first_name}}?q={{first_name}}\">b</a>"
          + "<img src='{{first_name}}' alt='{{first_name}}'></p>"
          + "{{#first_name}}<ul><li>{{first_name}}</li></ul>{{/first_name}}";

  @Test
  public void theStructureTheLinksAndTheWordsStayWhole() {
    Document plain = render("Bea");
    Random random = new Random(7);
    for (int i = 0; i < ROUNDS; i++) {
      String value = value(random);
      Document hostile = render(value);
      assertThat(shape(hostile)).as("value %s", value).isEqualTo(shape(plain));
      for (Element link : hostile.select("[href], [src]")) {
        String address = link.hasAttr("href") ? link.attr("href") : link.attr("src");
        assertThat(address).as("value %s", value).matches("(?is)#|(https?://|mailto:|tel:).*");
      }
      assertThat(hostile.select("a").get(1).attr("href"))
          .as("value %s", value)
          .startsWith("https://quay.example/")
          .matches("[\\x21-\\x7e]+");
    }
  }

  @Test
  public void aHeaderStaysOneLineWithoutControls() {
    Template subject =
        TemplateParser.parse(
                "For {{first_name}} and {{last_name or \"you\"}}",
                Kind.HEADER,
                YardFields.standard())
            .template()
            .orElseThrow();
    Random random = new Random(8);
    for (int i = 0; i < ROUNDS; i++) {
      String value = value(random);
      String text =
          Renderer.render(
                  subject,
                  Values.of(Map.of("first_name", FieldValue.text(value))),
                  Locale.UK,
                  ZoneId.of("UTC"))
              .text();
      assertThat(text).as("value %s", value).doesNotContainPattern("[\\p{Cntrl}\\u2028\\u202e]");
    }
  }

  private static Document render(String value) {
    Template template =
        TemplateParser.parse(BODY, Kind.HTML, YardFields.standard()).template().orElseThrow();
    String html =
        Renderer.render(
                template,
                Values.of(Map.of("first_name", FieldValue.text("x" + value))),
                Locale.UK,
                ZoneId.of("UTC"))
            .text();
    return Jsoup.parseBodyFragment(html);
  }

  /** The elements and the names of their attributes, in order. */
  private static String shape(Document document) {
    StringBuilder shape = new StringBuilder();
    for (Element element : document.getAllElements()) {
      shape.append(element.normalName());
      element.attributes().forEach(a -> shape.append('@').append(a.getKey()));
      shape.append(' ');
    }
    return shape.toString();
  }

  private static String value(Random random) {
    StringBuilder value = new StringBuilder();
    for (int n = 1 + random.nextInt(4); n > 0; n--) {
      value.append(PIECES.get(random.nextInt(PIECES.size())));
    }
    return value.append('.').toString();
  }
}
