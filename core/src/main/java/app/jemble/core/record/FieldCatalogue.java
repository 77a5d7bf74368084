package app.jemble.core.record;

import static app.jemble.core.record.FieldUse.FILTER;
import static app.jemble.core.record.FieldUse.MERGE;
import static app.jemble.core.record.FieldUse.SORT;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Every field by name: those every workspace has, and the attributes this one added. */
public final class FieldCatalogue {

  private static final Set<FieldUse> FILTER_AND_MERGE = Set.of(FILTER, MERGE);

  private final Map<String, Field> fields = new LinkedHashMap<>();

  private FieldCatalogue(List<Field> fields) {
    for (Field field : fields) {
      if (this.fields.put(field.name(), field) != null) {
        throw new IllegalArgumentException("Two fields are named " + field.name() + ".");
      }
    }
  }

  /** The fields that every workspace has. */
  public static FieldCatalogue standard() {
    return new FieldCatalogue(
        List.of(
            choice("kind", "Kind", List.of("contact", "lead", "member"), Set.of(FILTER)),
            field("honorific", "Title", FieldType.TEXT, FILTER_AND_MERGE),
            field("name", "Name", FieldType.TEXT, FILTER_AND_MERGE),
            field("first_name", "First name", FieldType.TEXT, Set.of(FILTER, MERGE, SORT)),
            field("last_name", "Last name", FieldType.TEXT, Set.of(FILTER, MERGE, SORT)),
            field("email", "E-mail", FieldType.TEXT, FILTER_AND_MERGE),
            field("phone", "Phone", FieldType.TEXT, FILTER_AND_MERGE),
            field("number", "Number", FieldType.TEXT, FILTER_AND_MERGE),
            choice(
                "plan",
                "Plan",
                List.of("Oar", "Sail", "Workshop", "Family", "School"),
                FILTER_AND_MERGE),
            choice(
                "status",
                "Membership status",
                List.of("active", "waiting", "lapsed"),
                FILTER_AND_MERGE),
            field("joined_on", "Joined", FieldType.DAY, FILTER_AND_MERGE),
            field("renews_on", "Renews", FieldType.DAY, FILTER_AND_MERGE),
            field("dues_owed", "Dues owed", FieldType.MONEY, FILTER_AND_MERGE),
            field("last_visit", "Last visit", FieldType.INSTANT, FILTER_AND_MERGE),
            field("created", "On record since", FieldType.INSTANT, Set.of(FILTER)),
            field("birthday", "Birthday", FieldType.DAY, FILTER_AND_MERGE),
            field("tags", "Tag", FieldType.TAGS, Set.of(FILTER)),
            choice(
                "stage",
                "Stage",
                List.of("new", "talking", "quoted", "won", "lost"),
                FILTER_AND_MERGE),
            field("source", "Source", FieldType.TEXT, FILTER_AND_MERGE),
            field("organisation.name", "Organisation", FieldType.TEXT, FILTER_AND_MERGE),
            field("address.street", "Street", FieldType.TEXT, FILTER_AND_MERGE),
            field("address.postcode", "Postcode", FieldType.TEXT, FILTER_AND_MERGE),
            field("address.place", "Place", FieldType.TEXT, FILTER_AND_MERGE),
            field("address.country", "Country", FieldType.TEXT, FILTER_AND_MERGE),
            field("owner.name", "Owner", FieldType.TEXT, FILTER_AND_MERGE),
            field("sender.name", "Sender's name", FieldType.TEXT, Set.of(MERGE)),
            field("sender.title", "Sender's title", FieldType.TEXT, Set.of(MERGE)),
            field("sender.email", "Sender's e-mail", FieldType.TEXT, Set.of(MERGE)),
            field("workspace.name", "House name", FieldType.TEXT, Set.of(MERGE)),
            field("workspace.address", "House address", FieldType.TEXT, Set.of(MERGE))));
  }

  /** This catalogue with the workspace's own attributes after its fields. */
  public FieldCatalogue plus(List<Field> attributes) {
    List<Field> all = new ArrayList<>(fields.values());
    all.addAll(attributes);
    return new FieldCatalogue(all);
  }

  public Optional<Field> find(String name) {
    return Optional.ofNullable(fields.get(name));
  }

  /** The fields of one use, in catalogue order. */
  public List<Field> all(FieldUse use) {
    return fields.values().stream().filter(f -> f.allows(use)).toList();
  }

  /** The field name of that use that was likely meant by a name that is not in the catalogue. */
  public Optional<String> suggest(String name, FieldUse use) {
    return Words.nearest(name, all(use).stream().map(Field::name).toList());
  }

  private static Field field(String name, String label, FieldType type, Set<FieldUse> uses) {
    return new Field(name, label, type, List.of(), uses);
  }

  private static Field choice(String name, String label, List<String> choices, Set<FieldUse> uses) {
    return new Field(name, label, FieldType.CHOICE, choices, uses);
  }
}
