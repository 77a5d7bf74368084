package app.jemble.core.message;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.record.Field;
import app.jemble.core.record.FieldUse;
import app.jemble.core.record.YardFields;
import java.util.List;
import org.testng.annotations.Test;

public class AboutFieldsTest {

  @Test
  public void recordsAndDaysFillInTheirOwnAndNothingOfAPerson() {
    List<String> fields =
        YardFields.standard().all(FieldUse.MERGE).stream()
            .map(Field::name)
            .filter(AboutFields::isOne)
            .toList();
    assertThat(fields)
        .contains("quote.total", "quote.valid_until", "task.due_on", "event.link", "years", "card")
        .doesNotContain("first_name", "joined_on", "owner.name", "address.lines", "picture")
        .hasSize(14);
  }
}
