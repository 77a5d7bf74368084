package app.jemble.core.record;

import java.util.List;

/** The fields of a house that has plans and offices. */
public final class YardFields {

  private YardFields() {}

  public static FieldCatalogue standard() {
    return FieldCatalogue.standard()
        .choosing("plan", List.of("Oar", "Sail", "Workshop", "Family", "School"))
        .choosingAround(Related.OFFICE, "name", List.of("Chair", "Treasurer", "Harbour steward"))
        .choosingAround(Related.OFFICE, "group", List.of("Officers"));
  }
}
