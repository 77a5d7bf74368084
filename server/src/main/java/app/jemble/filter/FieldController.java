package app.jemble.filter;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.core.exchange.ColumnMatch;
import app.jemble.core.filter.Operator;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldType;
import app.jemble.core.record.FieldUse;
import app.jemble.core.record.Related;
import app.jemble.workspace.WorkspaceService;
import java.util.Arrays;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The field catalogue as the screens need it. */
@RestController
@RequestMapping("/api/fields")
class FieldController {

  /**
   * The fields of people, and of the records around them.
   *
   * @param filter those to filter by, to show as a column, or to set
   * @param merge those to merge
   */
  record Fields(List<ListField> filter, List<MergeFieldName> merge, List<RelatedFields> related) {}

  /**
   * A field of a list, with what can be asked of it.
   *
   * @param retired choices that are given to nobody any more
   * @param column whether it can be shown as a column
   * @param editable whether it can be set
   * @param broughtIn whether a column of a file can be it
   */
  record ListField(
      String name,
      String label,
      FieldType type,
      List<String> choices,
      List<String> retired,
      boolean column,
      boolean editable,
      boolean broughtIn,
      List<Comparison> comparisons) {}

  /** A way to compare: its words, what follows them, and the words after that. */
  record Comparison(Operator operator, String words, String after, Operator.Takes takes) {}

  /** The records of one kind around people. */
  record RelatedFields(Related kind, String one, String many, List<ListField> fields) {}

  /** A field to merge. */
  record MergeFieldName(String name, String label, FieldType type) {}

  private final WorkspaceService workspace;

  FieldController(WorkspaceService workspace) {
    this.workspace = workspace;
  }

  @Needs(Right.SEE)
  @GetMapping
  Fields fields() {
    FieldCatalogue catalogue = workspace.fields();
    return new Fields(
        listFields(catalogue, null),
        catalogue.all(FieldUse.MERGE).stream()
            .map(f -> new MergeFieldName(f.name(), f.label(), f.type()))
            .toList(),
        Arrays.stream(Related.values())
            .map(r -> new RelatedFields(r, r.one(), r.many(), listFields(catalogue.around(r), r)))
            .toList());
  }

  private List<ListField> listFields(FieldCatalogue catalogue, Related around) {
    return catalogue.all(FieldUse.FILTER).stream()
        .map(field -> listField(field, workspace.retired(around, field.name())))
        .toList();
  }

  private static ListField listField(Field field, List<String> retired) {
    return new ListField(
        field.name(),
        field.label(),
        field.type(),
        field.choices(),
        retired,
        field.allows(FieldUse.COLUMN),
        field.allows(FieldUse.EDIT),
        ColumnMatch.mayBe(field),
        Operator.of(field.type()).stream()
            .map(o -> new Comparison(o, o.words(), o.after(), o.takes()))
            .toList());
  }
}
