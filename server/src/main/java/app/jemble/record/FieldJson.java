package app.jemble.record;

import app.jemble.core.record.FieldValue;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.stereotype.Component;
import tools.jackson.databind.ObjectMapper;

/** The value of a field as JSON, the way {@link Settable} reads and writes it. */
@Component
public class FieldJson {

  /** As the database writes them, so that the same instant is the same text. */
  private static final DateTimeFormatter MICROS =
      DateTimeFormatter.ofPattern("uuuu-MM-dd'T'HH:mm:ss.SSSSSS'Z'", Locale.ROOT)
          .withZone(ZoneOffset.UTC);

  private final ObjectMapper json;

  FieldJson(ObjectMapper json) {
    this.json = json;
  }

  public String write(FieldValue value) {
    return json.writeValueAsString(plain(value));
  }

  /** A JSON object of values by field. */
  public String writeAll(Map<String, FieldValue> values) {
    Map<String, Object> all = new LinkedHashMap<>();
    values.forEach((field, value) -> all.put(field, plain(value)));
    return json.writeValueAsString(all);
  }

  private static Object plain(FieldValue value) {
    if (value instanceof FieldValue.Text t) {
      return t.text();
    }
    if (value instanceof FieldValue.Amount a) {
      return a.number();
    }
    if (value instanceof FieldValue.Money m) {
      return m.amount().toPlainString() + " " + m.currency().getCurrencyCode();
    }
    if (value instanceof FieldValue.Day d) {
      return d.day().toString();
    }
    if (value instanceof FieldValue.Moment m) {
      return MICROS.format(m.instant());
    }
    if (value instanceof FieldValue.Flag f) {
      return f.yes();
    }
    if (value instanceof FieldValue.Tags t) {
      return t.tags();
    }
    return value instanceof FieldValue.Introducers i ? i.ids().get(0) : null;
  }

  /** A value of the history as people read it; empty for nothing. */
  public String words(String value) {
    if (value == null || value.equals("null")) {
      return "";
    }
    Object plain = json.readValue(value, Object.class);
    if (plain instanceof List<?> list) {
      return String.join(", ", list.stream().map(Object::toString).toList());
    }
    return plain instanceof Boolean yes ? (yes ? "yes" : "no") : String.valueOf(plain);
  }
}
