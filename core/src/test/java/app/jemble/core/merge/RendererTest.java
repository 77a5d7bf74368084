package app.jemble.core.merge;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.merge.TemplateParser.Kind;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.Values;
import app.jemble.core.record.YardFields;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class RendererTest {

  private static final FieldCatalogue FIELDS = YardFields.standard();
  private static final ZoneId LONDON = ZoneId.of("Europe/London");

  private static final Map<String, FieldValue> BEA =
      Map.of(
          "first_name", FieldValue.text("Bea"),
          "plan", FieldValue.text("Sail"),
          "tags", FieldValue.tags(List.of("racing", "slipway")),
          "dues_owed", FieldValue.money(new BigDecimal("1042.5"), "GBP"),
          "renews_on", FieldValue.day(LocalDate.of(2026, 4, 4)),
          "last_visit", FieldValue.moment(Instant.parse("2025-06-30T23:30:00Z")));

  @DataProvider
  public Object[][] examples() {
    return new Object[][] {
      {"Dear {{first_name}},", "Dear Bea,"},
      {"Dear {{ last_name or \"friend\" }},", "Dear friend,"},
      {"Dear {{last_name or first_name or \"friend\"}},", "Dear Bea,"},
      {"{{plan as capitals}}", "SAIL"},
      {"{{renews_on}}", "4 April 2026"},
      {"{{renews_on as \"EEEE d MMMM\"}}", "Saturday 4 April"},
      {"{{renews_on as \"HH:mm\"}}", "4 April 2026"},
      {"{{last_visit as \"d MMM, HH:mm\"}}", "1 Jul, 00:30"},
      {"{{dues_owed as money}}", "£1,042.50"},
      {"a{{#dues_owed}}b{{/dues_owed}}{{^dues_owed}}c{{/dues_owed}}d", "abd"},
      {"a{{#stage}}b{{/stage}}{{^stage}}c{{/stage}}d", "acd"},
      {"a{{! a note }}b", "ab"},
    };
  }

  @Test(dataProvider = "examples")
  public void renders(String template, String expected) {
    assertThat(render(template, Kind.PLAIN_TEXT, BEA).text()).isEqualTo(expected);
  }

  @Test
  public void zeroAndNoCountAsNone() {
    Map<String, FieldValue> none = Map.of("dues_owed", FieldValue.money(BigDecimal.ZERO, "GBP"));
    assertThat(render("{{#dues_owed}}owes{{/dues_owed}}", Kind.PLAIN_TEXT, none).text()).isEmpty();
    assertThat(new FieldValue.Flag(false).isTruthy()).isFalse();
    assertThat(new FieldValue.Amount(BigDecimal.ZERO).isTruthy()).isFalse();
    assertThat(new FieldValue.Flag(true).isTruthy()).isTrue();
  }

  @Test
  public void missingValuesWithoutFallbackAreNamedInTheirOrder() {
    Renderer.Rendered rendered =
        render(
            "{{last_name}} {{stage or \"x\"}} {{first_name}} {{source}} {{joined_on}} {{last_name}}",
            Kind.PLAIN_TEXT,
            BEA);
    assertThat(rendered.missing()).containsExactly("last_name", "source", "joined_on");
  }

  @Test
  public void datesAndMoneyFollowTheLanguage() {
    Template template = parse("{{renews_on}} {{dues_owed}}", Kind.PLAIN_TEXT);
    String text = Renderer.render(template, Values.of(BEA), Locale.GERMANY, LONDON).text();
    assertThat(text).isEqualTo("4. April 2026 1.042,50\u00a0£");
  }

  @Test
  public void aValueIsNeverReadAsATemplate() {
    Map<String, FieldValue> sly = Map.of("first_name", FieldValue.text("{{last_name}} {{#plan}}"));
    assertThat(render("Dear {{first_name}}", Kind.PLAIN_TEXT, sly).text())
        .isEqualTo("Dear {{last_name}} {{#plan}}");
  }

  @DataProvider
  public Object[][] addresses() {
    return new Object[][] {
      {"https://quay.example/a?b=1&c=2", "https://quay.example/a?b=1&c=2"},
      {"javascript:alert(1)", "#"},
      {" JaVaScRiPt:alert(1)", "#"},
      {"data:text/html,<script>", "#"},
      {"https://quay.example/\" onclick=\"x", "#"},
    };
  }

  @Test(dataProvider = "addresses")
  public void aValueCanOnlyBeASafeAddress(String value, String expected) {
    String html =
        render("<a href=\"{{source}}\">x</a>", Kind.HTML, Map.of("source", FieldValue.text(value)))
            .text();
    assertThat(Jsoup.parse(html).select("a").attr("href")).isEqualTo(expected);
    assertThat(Jsoup.parse(html).select("a").get(0).attributesSize()).isEqualTo(1);
  }

  @Test
  public void insideAnAddressAValueIsPercentEncoded() {
    String html =
        render(
                "<a href=\"https://quay.example/?n={{first_name}}\">x</a>",
                Kind.HTML,
                Map.of("first_name", FieldValue.text("Zoë & \"Co\"")))
            .text();
    assertThat(Jsoup.parse(html).select("a").attr("href"))
        .isEqualTo("https://quay.example/?n=Zo%C3%AB%20%26%20%22Co%22");
  }

  private static final String[] NASTY = {
    "<",
    ">",
    "\"",
    "'",
    "&",
    "&lt;",
    "</p>",
    "<script>",
    "]]>",
    "<!--",
    "{{",
    "}}",
    "\r\n",
    "\0",
    "\u202e",
    "ж",
    "漢",
    "😀",
    " ",
    "javascript:",
    "https://x.example",
    "=",
    "`",
    "\\"
  };

  /**
   * Random values of every nasty kind, in every place: the tags around them stay what they were.
   */
  @Test
  public void anyValueInAnyPlaceLeavesTheHtmlAsItWas() {
    String html =
        "<p title=\"{{first_name}}\">{{first_name}} <a href=\"{{first_name}}\">{{first_name}}</a>"
            + "<a href=\"https://quay.example/{{first_name}}\">b</a></p><p>end</p>";
    Template template = parse(html, Kind.HTML);
    Random random = new Random(20260324);
    for (int round = 0; round < 2000; round++) {
      StringBuilder value = new StringBuilder();
      for (int i = random.nextInt(8); i >= 0; i--) {
        value.append(NASTY[random.nextInt(NASTY.length)]);
      }
      Values values = Values.of(new HashMap<>(Map.of("first_name", FieldValue.text("" + value))));
      String text = Renderer.render(template, values, Locale.UK, LONDON).text();
      Document document = Jsoup.parseBodyFragment(text);
      assertThat(document.body().children()).as("%s", value).hasSize(2);
      assertThat(document.select("p > a")).as("%s", value).hasSize(2);
      assertThat(document.select("*")).as("%s", value).hasSize(4 + 4);
      assertThat(document.select("p").get(0).attributesSize()).isEqualTo(1);
      assertThat(document.select("p").get(1).text()).isEqualTo("end");
    }
  }

  private static Renderer.Rendered render(String text, Kind kind, Map<String, FieldValue> values) {
    return Renderer.render(parse(text, kind), Values.of(values), Locale.UK, LONDON);
  }

  private static Template parse(String text, Kind kind) {
    return TemplateParser.parse(text, kind, FIELDS).template().orElseThrow();
  }
}
