package app.jemble.core.filter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jemble.core.record.Field;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.PersonId;
import app.jemble.core.record.Related;
import app.jemble.core.record.Values;
import app.jemble.core.record.YardFields;
import java.math.BigDecimal;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Records around a person, who introduced whom, and who "me" is. */
public class AroundPeopleTest {

  private static final AsOf NOW =
      new AsOf(
          Instant.parse("2026-11-25T12:00:00Z"),
          ZoneId.of("Europe/London"),
          DayOfWeek.MONDAY,
          "orla",
          new PersonId(5),
          false);

  private static Values quote(String stage, String total, String sentOn) {
    return Values.of(
        Map.of(
            "stage", FieldValue.text(stage),
            "total", FieldValue.money(new BigDecimal(total), "GBP"),
            "sent_on", FieldValue.day(LocalDate.parse(sentOn))));
  }

  /** Introduced by 9, who was introduced by 5, who was introduced by 2. */
  private static final Values BEA =
      Values.of(
          Map.of(
              "owner", FieldValue.text("orla"),
              "introduced_by",
                  FieldValue.introducers(Stream.of(9, 5, 2).map(PersonId::new).toList())),
          Map.of(
              Related.QUOTE,
              List.of(
                  quote("open", "1860", "2026-11-24"),
                  quote("open", "240", "2026-10-01"),
                  quote("lapsed", "3240", "2025-01-01"))));

  @DataProvider
  public Object[][] sentences() {
    return new Object[][] {
      {"people who have a quote", true},
      {"people who have at least 3 quotes", true},
      {"people who have at least 4 quotes", false},
      {"people who have no quote", false},
      {"people who have no task", true},
      {"people who have a quote (stage is any of open and sent is this week)", true},
      {"people who have a quote (stage is any of lapsed and sent is this week)", false},
      // Each condition is of one and the same quote.
      {"people who have a quote (stage is any of open and total is more than 2000)", false},
      {"people who have a quote (stage is any of open or total is more than 5000)", true},
      {"people who have at least 2 quotes (stage is any of open)", true},
      {"people who have no quote (stage is any of accepted)", true},
      {"people who have no quote (with none of (stage is any of open))", false},
      {"people who were introduced by person 9 directly", true},
      {"people who were introduced by me directly", false},
      {"people who were introduced by me within 2 steps", true},
      {"people who were introduced by person 2 within 2 steps", false},
      {"people who were introduced by person 2 within 3 steps", true},
      {"people who were introduced by person 7 within 9 steps", false},
      {"people whose introduced by is filled", true},
      {"people whose owner is me", true},
      {"people whose owner is any of [tomas] or [ORLA]", true},
      {"people whose owner is none of [orla]", false},
    };
  }

  @Test(dataProvider = "sentences")
  public void isAskedOfThePerson(String sentence, boolean expected) {
    Filter filter = FilterSentenceReader.read(sentence, YardFields.standard());
    assertThat(FilterMatch.holds(filter, BEA, NOW)).isEqualTo(expected);
  }

  @Test
  public void whoeverAsksWithoutARecordOfTheirOwnIntroducedNobody() {
    AsOf nobody = new AsOf(NOW.now(), NOW.zone());
    Filter mine =
        FilterSentenceReader.read(
            "people who were introduced by me within 9 steps", YardFields.standard());
    assertThat(FilterMatch.holds(mine, BEA, nobody)).isFalse();
    Filter owned = FilterSentenceReader.read("people whose owner is me", YardFields.standard());
    assertThat(FilterMatch.holds(owned, BEA, nobody)).isFalse();
  }

  @DataProvider
  public Object[][] wrong() {
    return new Object[][] {
      {"introduced_by", Operator.INTRODUCED, List.of("Bea", "1"), "“me” or a person on record"},
      {"introduced_by", Operator.INTRODUCED, List.of("me", "10"), "1 to 9"},
      {"introduced_by", Operator.INTRODUCED, List.of("me"), "2 values"},
      {"joined_on", Operator.IN_PERIOD, List.of("this fortnight"), "today, yesterday, tomorrow"},
      {"joined_on", Operator.IN_LAST, List.of("2", "decades"), "days, weeks, months"},
      {"joined_on", Operator.IN_LAST, List.of("-1", "days"), "0 to 36500"},
      {"joined_on", Operator.COMES_ROUND, List.of("400"), "0 to 366"},
      {"joined_on", Operator.IN_MONTH, List.of("sometime"), "1 to 12"},
      {"dues_owed", Operator.MORE, List.of("1e999999"), "such as 42.50"},
      {"number", Operator.ONE_OF, List.of(" "), "at least one"},
    };
  }

  @Test(dataProvider = "wrong")
  public void saysWhatWouldBeRight(
      String name, Operator operator, List<String> given, String hint) {
    Field field = YardFields.standard().find(name).orElseThrow();
    assertThatThrownBy(() -> Operand.read(field, operator, given))
        .isInstanceOf(FilterException.class)
        .hasMessageContaining(hint);
  }

  /** Every operand can be given back as the texts it was read from. */
  @Test
  public void anOperandIsWrittenAsItIsRead() {
    RandomFilters trees = new RandomFilters(YardFields.standard(), List.of("a", "“b”"), 3);
    for (int i = 0; i < 3000; i++) {
      sameAgain(trees.next());
    }
  }

  private static void sameAgain(Filter filter) {
    if (filter instanceof Filter.Group group) {
      group.parts().forEach(AroundPeopleTest::sameAgain);
    } else if (filter instanceof Filter.Has has) {
      sameAgain(has.where());
    } else if (filter instanceof Filter.HasNo none) {
      sameAgain(none.where());
    } else {
      Filter.Condition c = (Filter.Condition) filter;
      List<String> texts = c.operand().texts(c.operator().takes());
      assertThat(Operand.read(c.field(), c.operator(), texts)).isEqualTo(c.operand());
    }
  }
}
