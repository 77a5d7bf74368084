package app.jemble.core.record;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.filter.Operator;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * What every catalogue of fields must hold, so that sentences, columns and imports can be trusted.
 */
public class StandardFieldsTest {

  @DataProvider
  public Object[][] catalogues() {
    List<Object[]> all = new ArrayList<>();
    all.add(new Object[] {"people", YardFields.standard()});
    for (Related kind : Related.values()) {
      all.add(new Object[] {kind.many(), YardFields.standard().around(kind)});
    }
    return all.toArray(Object[][]::new);
  }

  /** Two fields of one label could not be told apart in a filter's sentence. */
  @Test(dataProvider = "catalogues")
  public void noTwoFieldsToFilterByShareALabel(String of, FieldCatalogue fields) {
    assertThat(fields.all(FieldUse.FILTER).stream().map(f -> f.label().toLowerCase(Locale.ROOT)))
        .isNotEmpty()
        .doesNotHaveDuplicates();
  }

  @Test(dataProvider = "catalogues")
  public void everyFieldToFilterByCanBeComparedAndAskedForNothing(
      String of, FieldCatalogue fields) {
    for (Field field : fields.all(FieldUse.FILTER)) {
      List<Operator> operators = Operator.of(field.type());
      assertThat(operators).as(field.name()).contains(Operator.EMPTY, Operator.FILLED);
      assertThat(operators).as(field.name()).hasSizeGreaterThan(2);
    }
  }

  @Test(dataProvider = "catalogues")
  public void choicesStandWithFieldsOfChoiceAlone(String of, FieldCatalogue fields) {
    for (Field field : fields.all(FieldUse.FILTER)) {
      assertThat(field.choices().isEmpty())
          .as(field.name())
          .isEqualTo(field.type() != FieldType.CHOICE);
      assertThat(field.choices().stream().map(Words::fold)).doesNotHaveDuplicates();
    }
  }

  @Test
  public void whatIsSetCanAlsoBeSeenAndFound() {
    for (Field field : YardFields.standard().all(FieldUse.EDIT)) {
      assertThat(field.uses()).as(field.name()).contains(FieldUse.FILTER, FieldUse.COLUMN);
    }
  }
}
