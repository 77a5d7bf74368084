package app.jemble.filter;

import app.jemble.core.filter.Operator;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldType;
import app.jemble.core.record.FieldUse;
import app.jemble.workspace.WorkspaceService;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The field catalogue as the screens need it. */
@RestController
@RequestMapping("/api/fields")
class FieldController {

  /** The fields to filter by and those to merge. */
  record Fields(List<FilterField> filter, List<MergeFieldName> merge) {}

  /** A field to filter by, with what can be asked of it. */
  record FilterField(
      String name,
      String label,
      FieldType type,
      List<String> choices,
      List<Comparison> comparisons) {}

  /** A way to compare: its words and what follows them. */
  record Comparison(Operator operator, String words, Operator.Takes takes) {}

  /** A field to merge. */
  record MergeFieldName(String name, String label, FieldType type) {}

  private final WorkspaceService workspace;

  FieldController(WorkspaceService workspace) {
    this.workspace = workspace;
  }

  @GetMapping
  Fields fields() {
    FieldCatalogue catalogue = workspace.fields();
    return new Fields(
        catalogue.all(FieldUse.FILTER).stream().map(FieldController::filterField).toList(),
        catalogue.all(FieldUse.MERGE).stream()
            .map(f -> new MergeFieldName(f.name(), f.label(), f.type()))
            .toList());
  }

  private static FilterField filterField(Field field) {
    return new FilterField(
        field.name(),
        field.label(),
        field.type(),
        field.choices(),
        Operator.of(field.type()).stream()
            .map(o -> new Comparison(o, o.words(), o.takes()))
            .toList());
  }
}
