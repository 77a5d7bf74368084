package app.jemble.people;

import app.jemble.core.message.MessageFields;
import app.jemble.core.notice.AppToken;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.Values;
import app.jemble.storage.PersonColumn;
import app.jemble.workspace.AppLinks;
import java.lang.reflect.Method;
import java.lang.reflect.RecordComponent;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;

/** A person's record, asked by field name. */
@Component
public class PersonValues {

  private static final Map<String, Function<PersonRecord, FieldValue>> STANDARD = standard();

  private final ObjectMapper json;
  private final AppLinks links;

  PersonValues(ObjectMapper json, AppLinks links) {
    this.json = json;
    this.links = links;
  }

  /** The values of a person; attributes are read with the type the catalogue gives them. */
  public Values of(PersonRecord person, FieldCatalogue fields) {
    JsonNode attributes = json.readTree(person.attributes());
    return name -> {
      if (name.equals(MessageFields.APP_LINK)) {
        return FieldValue.text(links.of(new AppToken.Holder(person.id(), person.appLinkNumber())));
      }
      FieldValue own = standard(person, name);
      return own != null ? own : attribute(attributes, fields, name);
    };
  }

  private static FieldValue standard(PersonRecord p, String name) {
    Function<PersonRecord, FieldValue> value = STANDARD.get(name);
    return value == null ? null : value.apply(p);
  }

  private static Map<String, Function<PersonRecord, FieldValue>> standard() {
    Map<String, Function<PersonRecord, FieldValue>> standard = new HashMap<>();
    standard.put("dues_owed", p -> FieldValue.money(p.duesOwed(), p.currency()));
    standard.put("picture", p -> FieldValue.picture(p.pictureKey()));
    for (RecordComponent component : PersonRecord.class.getRecordComponents()) {
      PersonColumn column = PersonColumn.as(PersonRecordMap.column(component));
      if (column != null) {
        standard.computeIfAbsent(column.field(), field -> value(component));
      }
    }
    return standard;
  }

  /** The value of a component, by its type. */
  private static Function<PersonRecord, FieldValue> value(RecordComponent component) {
    Class<?> type = component.getType();
    if (type == String.class) {
      return read(component, text -> FieldValue.text((String) text));
    }
    if (type == LocalDate.class) {
      return read(component, day -> FieldValue.day((LocalDate) day));
    }
    if (type == Instant.class) {
      return read(component, at -> FieldValue.moment((Instant) at));
    }
    if (type == boolean.class) {
      return read(component, flag -> new FieldValue.Flag((boolean) flag));
    }
    if (type == List.class) {
      return read(component, tags -> FieldValue.tags(tagsOf(tags)));
    }
    throw new IllegalArgumentException("no field has the type of " + component);
  }

  @SuppressWarnings("unchecked")
  private static List<String> tagsOf(Object tags) {
    return (List<String>) tags;
  }

  private static Function<PersonRecord, FieldValue> read(
      RecordComponent component, Function<Object, FieldValue> value) {
    Method accessor = component.getAccessor();
    return person -> {
      try {
        return value.apply(accessor.invoke(person));
      } catch (ReflectiveOperationException broken) {
        throw new IllegalStateException(component + " cannot be read", broken);
      }
    };
  }

  private static FieldValue attribute(JsonNode attributes, FieldCatalogue fields, String name) {
    JsonNode value = attributes.get(name);
    if (value == null || value.isNull()) {
      return FieldValue.EMPTY;
    }
    Field field = fields.find(name).orElse(null);
    if (field == null) {
      return FieldValue.EMPTY;
    }
    return switch (field.type()) {
      case NUMBER -> new FieldValue.Amount(new BigDecimal(value.asString()));
      case DAY -> FieldValue.day(LocalDate.parse(value.asString()));
      case INSTANT -> FieldValue.moment(Instant.parse(value.asString()));
      case FLAG -> new FieldValue.Flag(value.asBoolean());
      default -> FieldValue.text(value.asString());
    };
  }
}
