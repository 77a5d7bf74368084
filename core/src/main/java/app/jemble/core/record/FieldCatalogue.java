package app.jemble.core.record;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Every field by name: those every workspace has, and the attributes this one added. */
public final class FieldCatalogue {

  private static final Map<Related, FieldCatalogue> RELATED = new EnumMap<>(Related.class);

  static {
    for (Related kind : Related.values()) {
      RELATED.put(kind, new FieldCatalogue(StandardFields.of(kind)));
    }
  }

  private final Map<String, Field> fields = new LinkedHashMap<>();

  /** Of the records around people, where they are not those of every workspace. */
  private final Map<Related, FieldCatalogue> around;

  private FieldCatalogue(List<Field> fields) {
    this(fields, Map.of());
  }

  private FieldCatalogue(List<Field> fields, Map<Related, FieldCatalogue> around) {
    this.around = around;
    for (Field field : fields) {
      if (this.fields.put(field.name(), field) != null) {
        throw new IllegalArgumentException("Two fields are named " + field.name() + ".");
      }
    }
  }

  /** The fields of people that every workspace has. */
  public static FieldCatalogue standard() {
    return new FieldCatalogue(StandardFields.PERSON);
  }

  /** The fields of the records around people that every workspace has. */
  public static FieldCatalogue of(Related kind) {
    return RELATED.get(kind);
  }

  /** The fields of the records around people in the workspace whose catalogue of people this is. */
  public FieldCatalogue around(Related kind) {
    return around.getOrDefault(kind, of(kind));
  }

  /** This catalogue of people with other choices for a field of the records around them. */
  public FieldCatalogue choosingAround(Related kind, String name, List<String> choices) {
    Map<Related, FieldCatalogue> all = new HashMap<>(around);
    all.put(kind, around(kind).choosing(name, choices));
    return new FieldCatalogue(List.copyOf(fields.values()), Map.copyOf(all));
  }

  /** This catalogue with the workspace's own attributes after its fields. */
  public FieldCatalogue plus(List<Field> attributes) {
    List<Field> all = new ArrayList<>(fields.values());
    all.addAll(attributes);
    return new FieldCatalogue(all, around);
  }

  /** This catalogue with other choices for one of its fields, such as the house's own plans. */
  public FieldCatalogue choosing(String name, List<String> choices) {
    List<Field> all =
        fields.values().stream()
            .map(
                f ->
                    f.name().equals(name)
                        ? new Field(f.name(), f.label(), f.type(), choices, f.uses())
                        : f)
            .toList();
    return new FieldCatalogue(all, around);
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
}
