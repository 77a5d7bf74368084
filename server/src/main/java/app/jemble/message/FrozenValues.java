package app.jemble.message;

import app.jemble.core.record.FieldValue;
import app.jemble.core.record.Values;
import app.jemble.people.PersonRecord;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * What a message's texts asked of its person, as it was at release: {@code {"language": "en-GB",
 * "owner": {"name": "Tomas Vance", "email": "tomas@quay.example"}, "values": {"first_name":
 * {"text": "Bea"}}}}.
 */
@Component
public class FrozenValues {

  private final ObjectMapper json;

  FrozenValues(ObjectMapper json) {
    this.json = json;
  }

  /**
   * What was frozen.
   *
   * @param ownerName null when the person had no owner
   */
  record Thawed(Locale language, String ownerName, String ownerEmail, Values values) {}

  /** The JSON of the fields that a letter asks for; empty values are left out. */
  public String freeze(PersonRecord person, Set<String> fields, Values values) {
    ObjectNode all = json.createObjectNode();
    for (String field : fields) {
      FieldValue value = values.get(field);
      if (!value.isEmpty()) {
        write(all.putObject(field), value);
      }
    }
    ObjectNode frozen = json.createObjectNode().put("language", person.language());
    if (person.ownerEmail() != null) {
      frozen.putObject("owner").put("name", person.ownerName()).put("email", person.ownerEmail());
    }
    frozen.set("values", all);
    return json.writeValueAsString(frozen);
  }

  /** Reads what {@link #freeze} wrote. */
  Thawed thaw(String text) {
    JsonNode frozen = json.readTree(text);
    Map<String, FieldValue> values = new HashMap<>();
    frozen.get("values").properties().forEach(e -> values.put(e.getKey(), read(e.getValue())));
    JsonNode owner = frozen.get("owner");
    return new Thawed(
        Locale.forLanguageTag(frozen.get("language").asString()),
        owner == null ? null : owner.get("name").asString(),
        owner == null ? null : owner.get("email").asString(),
        Values.of(values));
  }

  private static void write(ObjectNode node, FieldValue value) {
    if (value instanceof FieldValue.Text t) {
      node.put("text", t.text());
    } else if (value instanceof FieldValue.Amount a) {
      node.put("number", a.number().toPlainString());
    } else if (value instanceof FieldValue.Money m) {
      node.put("money", m.amount().toPlainString()).put("currency", m.currency().getCurrencyCode());
    } else if (value instanceof FieldValue.Day d) {
      node.put("day", d.day().toString());
    } else if (value instanceof FieldValue.Moment m) {
      node.put("instant", m.instant().toString());
    } else if (value instanceof FieldValue.Flag f) {
      node.put("flag", f.yes());
    } else if (value instanceof FieldValue.Picture p) {
      node.put("picture", p.key());
    } else if (value instanceof FieldValue.Lines l) {
      ArrayNode lines = node.putArray("lines");
      l.lines().forEach(lines::add);
    } else if (value instanceof FieldValue.Tags t) {
      ArrayNode tags = node.putArray("tags");
      t.tags().forEach(tags::add);
    }
  }

  private static FieldValue read(JsonNode node) {
    String type = node.propertyNames().iterator().next();
    JsonNode value = node.get(type);
    return switch (type) {
      case "text" -> FieldValue.text(value.asString());
      case "number" -> new FieldValue.Amount(new BigDecimal(value.asString()));
      case "money" ->
          FieldValue.money(new BigDecimal(value.asString()), node.get("currency").asString());
      case "day" -> FieldValue.day(LocalDate.parse(value.asString()));
      case "instant" -> FieldValue.moment(Instant.parse(value.asString()));
      case "picture" -> FieldValue.picture(value.asString());
      case "flag" -> new FieldValue.Flag(value.asBoolean());
      case "tags" -> FieldValue.tags(words(value));
      case "lines" -> FieldValue.lines(words(value));
      default -> throw new IllegalStateException("no such frozen type: " + type);
    };
  }

  private static List<String> words(JsonNode list) {
    List<String> words = new ArrayList<>();
    list.forEach(word -> words.add(word.asString()));
    return words;
  }
}
