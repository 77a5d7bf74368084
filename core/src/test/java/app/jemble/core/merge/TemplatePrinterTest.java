package app.jemble.core.merge;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.merge.TemplateParser.Kind;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.YardFields;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Property: what is printed reads back as the same template. */
public class TemplatePrinterTest {

  private static final int TEMPLATES = 5000;
  private static final FieldCatalogue FIELDS = YardFields.standard();
  private static final Map<String, String> PARTIALS = Map.of("signature", "{{sender.name}}");
  private static final Position NOWHERE = new Position(1, 1);
  private static final List<String> NAMES =
      List.of("first_name", "plan", "dues_owed", "organisation.name", "renews_on");
  private static final List<String> WORDS =
      List.of(
          "Dear ", "&amp; ", "<b>b</b>", "\n", "{ one } ", "船", "“q”", "<i title=\"x\">", "</i>");
  private static final List<String> TEXTS =
      List.of("friend", "", "a & b", "<b>", "O'Neil", "“so”", "\"so\"", "ü 船", "} {", "or as");

  @DataProvider
  public Object[][] kinds() {
    return new Object[][] {{Kind.HTML}, {Kind.HEADER}, {Kind.PLAIN_TEXT}, {Kind.ADDRESS}};
  }

  @Test(dataProvider = "kinds")
  public void parsePrintParseIsTheIdentity(Kind kind) {
    Random random = new Random(kind.ordinal());
    for (int i = 0; i < TEMPLATES; i++) {
      String text = template(random, kind, 0);
      Template first = parse(text, kind);
      String printed = TemplatePrinter.print(first, kind);
      Template second = parse(printed, kind);
      assertThat(anywhere(second.parts()))
          .as("%s printed as %s", text, printed)
          .isEqualTo(anywhere(first.parts()));
      assertThat(TemplatePrinter.print(second, kind)).isEqualTo(printed);
    }
  }

  /** Property: a template that was read is rendered for whatever is known of a person. */
  @Test(dataProvider = "kinds")
  public void whatWasReadIsRenderedForAnyValues(Kind kind) {
    Random random = new Random(17 + kind.ordinal());
    List<FieldValue> values =
        List.of(
            FieldValue.EMPTY,
            FieldValue.text("a < b"),
            new FieldValue.Amount(new BigDecimal("-1E+3")),
            FieldValue.money(BigDecimal.ZERO, "JPY"),
            FieldValue.day(LocalDate.MIN),
            FieldValue.day(LocalDate.of(2024, 2, 29)),
            FieldValue.moment(Instant.EPOCH),
            new FieldValue.Flag(false),
            FieldValue.tags(List.of("a", "b")),
            FieldValue.picture("abc"));
    List<Locale> languages =
        List.of(Locale.UK, Locale.JAPAN, Locale.forLanguageTag("ar"), Locale.ROOT);
    for (int i = 0; i < TEMPLATES; i++) {
      Template template = parse(template(random, kind, 0), kind);
      Renderer.Rendered rendered =
          Renderer.render(
              template,
              field -> values.get(random.nextInt(values.size())),
              languages.get(random.nextInt(languages.size())),
              ZoneId.of("Pacific/Apia"));
      assertThat(rendered.text()).doesNotContain("{{#", "{{/", "{{!");
    }
  }

  private static Template parse(String text, Kind kind) {
    TemplateParser.Parsed parsed = TemplateParser.parse(text, kind, FIELDS, PARTIALS);
    assertThat(parsed.errors()).as(text).isEmpty();
    return parsed.template().orElseThrow();
  }

  /** Positions tell where something was written, not what it says. */
  private static List<Part> anywhere(List<Part> parts) {
    return parts.stream().map(TemplatePrinterTest::anywhere).toList();
  }

  private static Part anywhere(Part part) {
    if (part instanceof Part.MergeField f) {
      return new Part.MergeField(f.sources(), f.format(), f.place(), NOWHERE);
    }
    if (part instanceof Part.Section s) {
      return new Part.Section(s.field(), s.inverted(), anywhere(s.parts()), NOWHERE);
    }
    return part instanceof Part.Partial p ? new Part.Partial(p.name(), anywhere(p.parts())) : part;
  }

  private static String template(Random random, Kind kind, int depth) {
    StringBuilder text = new StringBuilder();
    for (int part = random.nextInt(5); part >= 0; part--) {
      String name = any(NAMES, random);
      switch (random.nextInt(depth < 3 ? 6 : 4)) {
        case 0 -> text.append(any(WORDS, random));
        case 1 -> text.append(field(random, kind, name));
        case 2 -> text.append("{{! note ").append(inside(any(TEXTS, random), kind)).append("}}");
        case 3 -> text.append(kind == Kind.HTML ? "{{&gt; signature }}" : "{{>signature}}");
        default -> {
          String sign = random.nextBoolean() ? "#" : "^";
          text.append("{{").append(sign).append(name).append("}}");
          text.append(template(random, kind, depth + 1));
          text.append("{{/ ").append(name).append(" }}");
        }
      }
    }
    return text.toString();
  }

  private static String field(Random random, Kind kind, String name) {
    StringBuilder inside = new StringBuilder(" ").append(name);
    for (int more = random.nextInt(3); more > 0; more--) {
      inside.append(" or  ");
      inside.append(random.nextBoolean() ? any(NAMES, random) : quoted(any(TEXTS, random)));
    }
    switch (random.nextInt(4)) {
      case 0 -> inside.append(" as money");
      case 1 -> inside.append(" as capitals ");
      case 2 -> inside.append(" as “d MMMM 'of' yyyy”");
      default -> {}
    }
    return "{{" + inside(inside.toString(), kind) + "}}";
  }

  private static String quoted(String text) {
    return text.contains("\"") ? "“" + text + "”" : "\"" + text + "\"";
  }

  private static String inside(String text, Kind kind) {
    return kind == Kind.HTML
        ? text.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;")
        : text;
  }

  private static String any(List<String> list, Random random) {
    return list.get(random.nextInt(list.size()));
  }
}
