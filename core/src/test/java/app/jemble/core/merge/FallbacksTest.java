package app.jemble.core.merge;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.merge.TemplateParser.Kind;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.YardFields;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** A fallback is set wherever a field stands without one, and nothing else is changed. */
public class FallbacksTest {

  private static final FieldCatalogue FIELDS = YardFields.standard();
  private static final List<String> PIECES =
      List.of(
          "Dear {{first_name}}, ",
          "<p title=\"{{ first_name }}\">",
          "<p title='{{first_name}}'>",
          "<a href=\"https://quay.example/?n={{first_name}}\">",
          "<a href=\"{{first_name}}\">",
          "<img src=\"{{first_name}}\" alt=\"{{plan}}\">",
          "{{first_name as capitals}}",
          "{{first_name or &quot;you&quot;}}",
          "{{first_name or plan}}",
          "{{plan or first_name}}",
          "{{#first_name}}",
          "{{/first_name}}",
          "{{! first_name }}",
          "{{first_name",
          "{{}}",
          "{{{first_name}}}",
          "</p>",
          "&lt;{{ plan }}&gt;",
          "“{{first_name}}”",
          "船 ");
  private static final List<String> WORDS =
      List.of("friend", "a & b", "<b>x</b>", "O'Neil", "\"so\"", "}} {{plan}}", "ü 船", " \n ");

  @DataProvider
  public Object[][] examples() {
    return new Object[][] {
      {"Dear {{first_name}},", "Dear {{first_name or &quot;friend&quot;}},"},
      {"<img src=\"{{first_name}}\">", "<img src=\"{{first_name or &quot;friend&quot;}}\">"},
      {"{{ first_name as capitals }}", "{{first_name or &quot;friend&quot; as capitals}}"},
      {"{{first_name or &quot;you&quot;}}", "{{first_name or &quot;you&quot;}}"},
      {"{{#first_name}}x{{/first_name}}", "{{#first_name}}x{{/first_name}}"},
      {"{{ plan }}", "{{ plan }}"},
    };
  }

  @Test(dataProvider = "examples")
  public void theFieldHasAFallback(String before, String after) {
    assertThat(Fallbacks.set(before, Kind.HTML, "first_name", "friend")).isEqualTo(after);
  }

  @Test
  public void aSubjectHoldsPlainQuotationMarks() {
    assertThat(Fallbacks.set("Is {{berth_name}} ready?", Kind.HEADER, "berth_name", "your boat"))
        .isEqualTo("Is {{berth_name or \"your boat\"}} ready?");
  }

  /** Property: of whatever is written, what could be read can be read, and says the same else. */
  @Test
  public void whateverIsWrittenStaysAndCanBeRead() {
    Random random = new Random(16);
    int read = 0;
    for (int i = 0; i < 20_000; i++) {
      StringBuilder text = new StringBuilder();
      for (int n = random.nextInt(6); n >= 0; n--) {
        text.append(PIECES.get(random.nextInt(PIECES.size())));
      }
      String before = text.toString();
      String words = WORDS.get(random.nextInt(WORDS.size()));
      String after = Fallbacks.set(before, Kind.HTML, "first_name", words);
      assertThat(aroundTags(after)).as(before).isEqualTo(aroundTags(before));
      Optional<Template> was = TemplateParser.parse(before, Kind.HTML, FIELDS).template();
      TemplateParser.Parsed now = TemplateParser.parse(after, Kind.HTML, FIELDS);
      assertThat(now.template().isPresent()).as(after).isEqualTo(was.isPresent());
      if (was.isPresent()) {
        read++;
        assertThat(told(now.template().orElseThrow().parts(), words))
            .as("%s and then %s", before, after)
            .isEqualTo(told(was.get().parts(), words));
      }
      assertThat(Fallbacks.set(after, Kind.HTML, "first_name", "other"))
          .as("a fallback that stands is kept")
          .isEqualTo(
              words.isBlank() ? Fallbacks.set(before, Kind.HTML, "first_name", "other") : after);
    }
    assertThat(read).isGreaterThan(5000);
  }

  /** What stands outside of merge fields. */
  private static String aroundTags(String text) {
    return text.replaceAll("\\{\\{.*?\\}\\}", "{{}}");
  }

  /** The parts in short, a lone field as if it had the fallback. */
  private static List<String> told(List<Part> parts, String words) {
    return parts.stream().map(part -> told(part, words)).toList();
  }

  private static String told(Part part, String words) {
    if (part instanceof Part.MergeField f) {
      String clean = words.replaceAll("[\"“”{}]", "").strip();
      List<Part.Source> sources =
          f.sources().equals(List.of(new Part.FieldSource("first_name"))) && !clean.isEmpty()
              ? List.of(f.sources().get(0), new Part.Fallback(clean))
              : f.sources();
      return sources + " " + f.format() + " " + f.place();
    }
    if (part instanceof Part.Section s) {
      return s.field() + s.inverted() + told(s.parts(), words);
    }
    return part.toString();
  }

  @Test
  public void whereAnAddressBeginsOnlyAnAddressCanStand() {
    assertThat(Fallbacks.decidesAnAddress("<img src=\"{{picture}}\">", "picture")).isTrue();
    assertThat(Fallbacks.decidesAnAddress("<a href='{{organisation.name}}'>", "organisation.name"))
        .isTrue();
    assertThat(Fallbacks.decidesAnAddress("<a href=\"https://x.test/{{plan}}\">", "plan"))
        .isFalse();
    assertThat(Fallbacks.decidesAnAddress("{{plan}}", "plan")).isFalse();
    assertThat(Fallbacks.decidesAnAddress("<img src=\"{{picture or &quot;x&quot;}}\">", "picture"))
        .isFalse();
    assertThat(Fallbacks.isAddress("https://quay.example/a.png")).isTrue();
    assertThat(Fallbacks.isAddress("a friend")).isFalse();
    assertThat(Fallbacks.isAddress("javascript:alert(1)")).isFalse();
  }
}
