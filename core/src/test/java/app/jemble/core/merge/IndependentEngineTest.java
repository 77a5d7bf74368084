package app.jemble.core.merge;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.merge.TemplateParser.Kind;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.Values;
import app.jemble.core.record.YardFields;
import com.samskivert.mustache.Mustache;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import org.testng.annotations.Test;

/** Random templates and data give the same text as jmustache, an independent engine. */
public class IndependentEngineTest {

  private static final int TEMPLATES = 5000;
  private static final List<String> NAMES =
      List.of("first_name", "last_name", "plan", "number", "stage");
  private static final List<String> WORDS =
      List.of("Dear ", "& more ", "<b>bold</b> ", "{ one } ", "} } ", "Zoë ", "船 ", "100% ");
  private static final List<String> VALUES =
      List.of("Bea", "O'Neil", "<script>", "a & b", "\"quoted\"", "{{plan}}", "Ærø", "0", "no");

  @Test
  public void theTextsAreTheSame() {
    Random random = new Random(42);
    Mustache.Compiler other =
        Mustache.compiler().defaultValue("").emptyStringIsFalse(true).escapeHTML(true);
    for (int i = 0; i < TEMPLATES; i++) {
      String template = template(random, 0);
      Map<String, String> data = data(random);
      assertThat(render(template, data))
          .as("template %s with %s", template, data)
          .isEqualTo(other.compile(template).execute(data));
    }
  }

  private static String render(String template, Map<String, String> data) {
    Map<String, FieldValue> values = new HashMap<>();
    data.forEach((name, text) -> values.put(name, FieldValue.text(text)));
    TemplateParser.Parsed parsed = TemplateParser.parse(template, Kind.HTML, YardFields.standard());
    assertThat(parsed.errors()).as(template).isEmpty();
    return Renderer.render(
            parsed.template().orElseThrow(), Values.of(values), Locale.UK, ZoneId.of("UTC"))
        .text();
  }

  private static String template(Random random, int depth) {
    StringBuilder text = new StringBuilder();
    for (int part = random.nextInt(5); part >= 0; part--) {
      String name = any(NAMES, random);
      switch (random.nextInt(depth < 3 ? 5 : 3)) {
        case 0 -> text.append(any(WORDS, random));
        case 1 -> text.append("{{").append(name).append("}}");
        case 2 -> text.append("{{! a note about ").append(name).append("}}");
        case 3 ->
            text.append("{{#" + name + "}}" + template(random, depth + 1) + "{{/" + name + "}}");
        default ->
            text.append("{{^" + name + "}}" + template(random, depth + 1) + "{{/" + name + "}}");
      }
    }
    return text.toString();
  }

  /** Some names have no value at all, some an empty one. */
  private static Map<String, String> data(Random random) {
    Map<String, String> data = new HashMap<>();
    for (String name : NAMES) {
      switch (random.nextInt(4)) {
        case 0 -> {}
        case 1 -> data.put(name, "");
        default -> data.put(name, any(VALUES, random));
      }
    }
    return data;
  }

  private static String any(List<String> list, Random random) {
    return list.get(random.nextInt(list.size()));
  }
}
