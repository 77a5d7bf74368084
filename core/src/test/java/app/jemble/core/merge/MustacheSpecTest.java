package app.jemble.core.merge;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.merge.TemplateParser.Kind;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldType;
import app.jemble.core.record.FieldUse;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.Values;
import app.jemble.core.record.YardFields;
import java.io.IOException;
import java.io.InputStream;
import java.math.BigDecimal;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;

/**
 * The cases of the open Mustache specification that our language shares (interpolation, sections,
 * inverted, comments; the files ship with com.github.spullara.mustache.java, MIT). What is left out
 * is left out for a reason, which {@link #whatIsLeftOutIsLeftOutForAReason} counts.
 */
public class MustacheSpecTest {

  private static final List<String> FILES =
      List.of("interpolation", "sections", "inverted", "comments");

  private final Map<String, Integer> leftOut = new TreeMap<>();
  private int rendered;

  @DataProvider
  public Iterator<Object[]> shared() throws IOException {
    List<Object[]> cases = new ArrayList<>();
    for (String file : FILES) {
      try (InputStream in = open(file)) {
        for (JsonNode test : new ObjectMapper().readTree(in).get("tests")) {
          Optional<String> reason = reasonToLeaveOut(test);
          if (reason.isPresent()) {
            leftOut.merge(reason.get(), 1, Integer::sum);
          } else {
            cases.add(new Object[] {file + ": " + test.get("name").asString(), test});
          }
        }
      }
    }
    return cases.iterator();
  }

  private static InputStream open(String file) {
    InputStream in = MustacheSpecTest.class.getResourceAsStream("/spec/specs/" + file + ".json");
    assertThat(in).as("the specification's file " + file).isNotNull();
    return in;
  }

  @Test(dataProvider = "shared")
  public void rendersAsTheSpecificationSays(String name, JsonNode test) {
    Map<String, FieldValue> data = new HashMap<>();
    List<Field> fields = new ArrayList<>();
    flatten("", test.get("data"), data, fields);
    TemplateParser.Parsed parsed =
        TemplateParser.parse(
            test.get("template").asString(), Kind.HTML, YardFields.standard().plus(fields));
    assertThat(parsed.errors()).as(name).isEmpty();
    String text =
        Renderer.render(
                parsed.template().orElseThrow(), Values.of(data), Locale.ROOT, ZoneId.of("UTC"))
            .text();
    assertThat(text).as(name).isEqualTo(test.get("expected").asString());
    rendered++;
  }

  @Test(dependsOnMethods = "rendersAsTheSpecificationSays")
  public void whatIsLeftOutIsLeftOutForAReason() {
    assertThat(rendered).as("cases rendered").isEqualTo(30);
    assertThat(leftOut)
        .containsExactlyInAnyOrderEntriesOf(
            Map.of(
                "there is no unescaped form", 22,
                "an unknown field is an error, never an empty text", 6,
                "a section shows or hides; it holds no list and no other record", 24,
                "lines that hold a mark alone stay: the text is HTML, where they do not show", 24,
                "white space at the edges of a value is dropped", 1));
  }

  private static Optional<String> reasonToLeaveOut(JsonNode test) {
    String name = test.get("name").asString();
    String template = test.get("template").asString();
    if (template.contains("{{{") || template.matches("(?s).*\\{\\{\\s*&.*")) {
      return Optional.of("there is no unescaped form");
    }
    if (name.contains("Standalone")
        || name.contains("Indented")
        || name.contains("Multiline")
        || name.contains("Doubled")) {
      return Optional.of(
          "lines that hold a mark alone stay: the text is HTML, where they do not show");
    }
    if (name.contains("Padding") && template.contains("string")) {
      return Optional.of("white space at the edges of a value is dropped");
    }
    if (holdsListsOrContexts(name, test)) {
      return Optional.of("a section shows or hides; it holds no list and no other record");
    }
    return asksForUnknown(test)
        ? Optional.of("an unknown field is an error, never an empty text")
        : Optional.empty();
  }

  private static boolean holdsListsOrContexts(String name, JsonNode test) {
    return name.contains("Context")
        || name.contains("Iterator")
        || name.contains("List")
        || name.contains("Parent")
        || name.contains("Variable test")
        || name.contains("Dotted Names - Arbitrary")
        || test.get("template").asString().contains("{{.}}")
        || test.get("template").asString().contains("{{#.}}")
        || test.get("data").toString().contains("[");
  }

  private static boolean asksForUnknown(JsonNode test) {
    Map<String, FieldValue> data = new HashMap<>();
    List<Field> fields = new ArrayList<>();
    flatten("", test.get("data"), data, fields);
    return TemplateParser.parse(
            test.get("template").asString(), Kind.HTML, YardFields.standard().plus(fields))
        .errors()
        .stream()
        .anyMatch(e -> e.sentence().contains("no field"));
  }

  /** The specification's nested data as fields with dotted names. */
  private static void flatten(
      String prefix, JsonNode node, Map<String, FieldValue> data, List<Field> fields) {
    node.properties()
        .forEach(
            entry -> {
              String name = prefix + entry.getKey();
              JsonNode value = entry.getValue();
              if (value.isObject()) {
                flatten(name + ".", value, data, fields);
              } else if (name.matches("[a-z][a-z0-9_]*(\\.[a-z][a-z0-9_]*)*")) {
                add(name, value, data, fields);
              }
            });
  }

  private static void add(
      String name, JsonNode value, Map<String, FieldValue> data, List<Field> fields) {
    FieldType type = FieldType.TEXT;
    if (value.isBoolean()) {
      type = FieldType.FLAG;
      data.put(name, new FieldValue.Flag(value.asBoolean()));
    } else if (value.isNumber()) {
      type = FieldType.NUMBER;
      data.put(name, new FieldValue.Amount(new BigDecimal(value.asString())));
    } else if (!value.isNull()) {
      data.put(name, FieldValue.text(value.asString()));
    }
    if (YardFields.standard().find(name).isEmpty()) {
      fields.add(new Field(name, name, type, List.of(), Set.of(FieldUse.MERGE)));
    }
  }
}
