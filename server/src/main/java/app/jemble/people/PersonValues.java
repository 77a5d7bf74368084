package app.jemble.people;

import app.jemble.core.record.Field;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.Values;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;

/** A person's record, asked by field name. */
@Component
public class PersonValues {

  private final ObjectMapper json;

  PersonValues(ObjectMapper json) {
    this.json = json;
  }

  /** The values of a person; attributes are read with the type the catalogue gives them. */
  public Values of(PersonRecord person, FieldCatalogue fields) {
    JsonNode attributes = json.readTree(person.attributes());
    return name -> {
      FieldValue own = standard(person, name);
      return own != null ? own : attribute(attributes, fields, name);
    };
  }

  private static FieldValue standard(PersonRecord p, String name) {
    return switch (name) {
      case "kind" -> FieldValue.text(p.kind());
      case "name" -> FieldValue.text(p.name());
      case "honorific" -> FieldValue.text(p.honorific());
      case "first_name" -> FieldValue.text(p.firstName());
      case "last_name" -> FieldValue.text(p.lastName());
      case "email" -> FieldValue.text(p.email());
      case "phone" -> FieldValue.text(p.phone());
      case "number" -> FieldValue.text(p.number());
      case "plan" -> FieldValue.text(p.plan());
      case "status" -> FieldValue.text(p.status());
      case "joined_on" -> FieldValue.day(p.joinedOn());
      case "renews_on" -> FieldValue.day(p.renewsOn());
      case "dues_owed" -> FieldValue.money(p.duesOwed(), p.currency());
      case "last_visit" -> FieldValue.moment(p.lastVisitAt());
      case "created" -> FieldValue.moment(p.createdAt());
      case "birthday" -> FieldValue.day(p.birthday());
      case "tags" -> FieldValue.tags(p.tags());
      case "stage" -> FieldValue.text(p.stage());
      case "source" -> FieldValue.text(p.source());
      case "organisation.name" -> FieldValue.text(p.organisationName());
      case "address.street" -> FieldValue.text(p.addressStreet());
      case "address.postcode" -> FieldValue.text(p.addressPostcode());
      case "address.place" -> FieldValue.text(p.addressPlace());
      case "address.country" -> FieldValue.text(p.addressCountry());
      case "owner.name" -> FieldValue.text(p.ownerName());
      case "picture" -> FieldValue.picture(p.pictureKey());
      default -> null;
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
