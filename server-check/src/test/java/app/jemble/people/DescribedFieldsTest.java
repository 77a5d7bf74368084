package app.jemble.people;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.record.Field;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldUse;
import app.jemble.storage.PersonColumn;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** A field of the catalogue that nobody says the place of would be taken for an attribute. */
public class DescribedFieldsTest {

  /** They stand in tables of their own, beside the person's, or are made of others. */
  private static final Set<String> ELSEWHERE =
      Set.of(
          "address.lines",
          "list",
          "topic_left",
          "no_mail",
          "no_texts",
          "no_notices",
          "reached_by",
          "current_member",
          "last_heard");

  /** They are no column: who writes, what about, which of their days, and the house. */
  private static final List<String> OF_OTHERS =
      List.of(
          "sender.",
          "quote.",
          "task.",
          "event.",
          "workspace.",
          "leave_link",
          "app_link",
          "years",
          "card");

  @DataProvider
  public Object[][] fields() {
    return Arrays.stream(FieldUse.values())
        .flatMap(use -> FieldCatalogue.standard().all(use).stream())
        .distinct()
        .map(f -> new Object[] {f})
        .toArray(Object[][]::new);
  }

  @Test(dataProvider = "fields")
  public void everyFieldStandsSomewhere(Field field) {
    boolean ofOthers = OF_OTHERS.stream().anyMatch(field.name()::startsWith);
    assertThat(PersonColumn.of(field.name()) != null)
        .isEqualTo(!ofOthers && !ELSEWHERE.contains(field.name()));
  }

  @Test(dataProvider = "fields")
  public void whatIsMergedIsInTheWholeRecord(Field field) {
    PersonColumn column = PersonColumn.of(field.name());
    if (column != null && field.allows(FieldUse.MERGE)) {
      assertThat(Arrays.stream(PersonRecord.class.getRecordComponents()))
          .extracting(PersonRecordMap::column)
          .contains(column.as().toString());
    }
  }

  @Test
  public void everyColumnIsOfAField() {
    assertThat(PersonColumn.ALL)
        .allSatisfy(c -> assertThat(FieldCatalogue.standard().find(c.field())).isPresent());
    assertThat(PersonColumn.ALL).extracting(PersonColumn::field).doesNotHaveDuplicates();
  }
}
