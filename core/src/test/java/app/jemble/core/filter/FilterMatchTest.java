package app.jemble.core.filter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jemble.core.record.Field;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.Values;
import app.jemble.core.record.YardFields;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class FilterMatchTest {

  private static final FieldCatalogue FIELDS = YardFields.standard();

  /** Friday 27 March 2026, 23:30 in London, where summer time begins two days later. */
  private static final AsOf NOW =
      new AsOf(Instant.parse("2026-03-27T23:30:00Z"), ZoneId.of("Europe/London"));

  private static final Values BEA =
      Values.of(
          Map.of(
              "first_name", FieldValue.text("Béa"),
              "kind", FieldValue.text("member"),
              "plan", FieldValue.text("Sail"),
              "dues_owed", FieldValue.money(new BigDecimal("42.00"), "GBP"),
              "joined_on", FieldValue.day(LocalDate.of(2021, 4, 4)),
              "last_visit", FieldValue.moment(Instant.parse("2025-02-19T10:00:00Z")),
              "tags", FieldValue.tags(List.of("Racing", "slipway"))));

  @DataProvider
  public Object[][] holding() {
    return new Object[][] {
      {"first_name", Operator.IS, "bea"},
      {"first_name", Operator.CONTAINS, "É"},
      {"first_name", Operator.STARTS_WITH, "be"},
      {"last_name", Operator.IS_NOT, "Okonjo"},
      {"last_name", Operator.EMPTY, ""},
      {"first_name", Operator.FILLED, ""},
      {"plan", Operator.ANY_OF, "Oar|Sail"},
      {"plan", Operator.NONE_OF, "Oar"},
      {"status", Operator.NONE_OF, "active"},
      {"dues_owed", Operator.EQUALS, "42"},
      {"dues_owed", Operator.BETWEEN, "42|50"},
      {"dues_owed", Operator.MORE, "41.99"},
      {"joined_on", Operator.IN_MONTH, "4"},
      {"joined_on", Operator.BETWEEN, "2021-04-04|2021-04-04"},
      {"last_visit", Operator.BEFORE, "2025-02-20"},
      {"last_visit", Operator.ON, "2025-02-19"},
      {"last_visit", Operator.AGO, "400"},
      {"tags", Operator.HAS_ANY, "RACING|other"},
      {"tags", Operator.HAS_ALL, "racing|Slipway"},
      {"tags", Operator.HAS_NONE, "school"},
    };
  }

  @DataProvider
  public Object[][] failing() {
    return new Object[][] {
      {"first_name", Operator.IS_NOT, "BEA"},
      {"last_name", Operator.CONTAINS, "o"},
      {"last_name", Operator.FILLED, ""},
      {"status", Operator.ANY_OF, "active"},
      {"plan", Operator.NONE_OF, "Sail"},
      {"dues_owed", Operator.LESS, "42"},
      {"dues_owed", Operator.DIFFERS, "42.0"},
      {"last_visit", Operator.BEFORE, "2025-02-19"},
      {"last_visit", Operator.AFTER, "2025-02-19"},
      {"last_visit", Operator.IN_LAST, "365"},
      {"renews_on", Operator.BEFORE, "2030-01-01"},
      {"tags", Operator.HAS_ALL, "racing|school"},
    };
  }

  @Test(dataProvider = "holding")
  public void holds(String field, Operator operator, String operand) {
    assertThat(FilterMatch.holds(condition(field, operator, operand), BEA, NOW)).isTrue();
  }

  @Test(dataProvider = "failing")
  public void fails(String field, Operator operator, String operand) {
    assertThat(FilterMatch.holds(condition(field, operator, operand), BEA, NOW)).isFalse();
  }

  @Test
  public void todayIsTheWorkspacesDayNotUtcs() {
    Values visitor =
        Values.of(Map.of("last_visit", FieldValue.moment(Instant.parse("2026-03-28T03:00:00Z"))));
    Filter today = condition("last_visit", Operator.IN_LAST, "1");
    AsOf london = new AsOf(Instant.parse("2026-03-28T12:00:00Z"), ZoneId.of("Europe/London"));
    AsOf newYork = new AsOf(Instant.parse("2026-03-28T12:00:00Z"), ZoneId.of("America/New_York"));
    assertThat(FilterMatch.holds(today, visitor, london)).isTrue();
    assertThat(FilterMatch.holds(today, visitor, newYork)).as("23:00 the day before").isFalse();
  }

  @Test
  public void groupsHoldTogetherAsTheySay() {
    Filter sail = condition("plan", Operator.ANY_OF, "Sail");
    Filter oar = condition("plan", Operator.ANY_OF, "Oar");
    assertThat(holds(Filter.Match.ALL, sail, oar)).isFalse();
    assertThat(holds(Filter.Match.ANY, sail, oar)).isTrue();
    assertThat(holds(Filter.Match.NONE, sail, oar)).isFalse();
    assertThat(holds(Filter.Match.NONE, oar)).isTrue();
    assertThat(holds(Filter.Match.ALL)).isTrue();
    assertThat(holds(Filter.Match.ANY)).isFalse();
  }

  @Test
  public void saysItselfAsOneSentence() {
    Filter filter =
        new Filter.Group(
            Filter.Match.ALL,
            List.of(
                condition("kind", Operator.ANY_OF, "member"),
                condition("last_visit", Operator.BEFORE, "2025-05-01"),
                new Filter.Group(
                    Filter.Match.ANY,
                    List.of(
                        condition("plan", Operator.ANY_OF, "Oar|Sail"),
                        condition("joined_on", Operator.IN_MONTH, "4")))));
    assertThat(FilterSentence.of(filter))
        .isEqualTo(
            "members whose last visit is before 1 May 2025 and for whom"
                + " (plan is any of Oar or Sail or joined is in April of any year)");
    assertThat(FilterSentence.of(Filter.EVERYONE)).isEqualTo("everyone");
    assertThat(FilterSentence.of(condition("last_visit", Operator.AGO, "30")))
        .isEqualTo("people whose last visit is more than 30 days ago");
  }

  @DataProvider
  public Object[][] wrong() {
    return new Object[][] {
      {"last_visit", Operator.BEFORE, "1 May 2025", "2025-05-01"},
      {"last_visit", Operator.BEFORE, "", "needs a value"},
      {"dues_owed", Operator.LESS, "much", "42.50"},
      {"joined_on", Operator.IN_MONTH, "13", "1 to 12"},
      {"joined_on", Operator.BETWEEN, "2021-01-01", "2 values"},
      {"last_visit", Operator.AGO, "-4", "0 to 36500"},
      {"plan", Operator.CONTAINS, "Oar", "cannot be compared"},
      {"tags", Operator.HAS_ANY, "", "at least one"},
    };
  }

  @Test(dataProvider = "wrong")
  public void saysWhatWouldBeRight(String field, Operator operator, String operand, String hint) {
    assertThatThrownBy(() -> condition(field, operator, operand))
        .isInstanceOf(FilterException.class)
        .hasMessageContaining(hint);
  }

  private static boolean holds(Filter.Match match, Filter... parts) {
    return FilterMatch.holds(new Filter.Group(match, List.of(parts)), BEA, NOW);
  }

  private static Filter condition(String name, Operator operator, String operand) {
    Field field = FIELDS.find(name).orElseThrow();
    List<String> given = operand.isEmpty() ? List.of() : List.of(operand.split("\\|"));
    return new Filter.Condition(field, operator, Operand.read(field, operator, given));
  }
}
