package app.jemble.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Set;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class FieldReaderTest {

  private static final FieldReader READER =
      new FieldReader(ZoneId.of("Europe/London"), "GB", "GBP", DayOrder.DAY_FIRST);
  private static final FieldCatalogue FIELDS =
      YardFields.standard()
          .plus(
              List.of(
                  new Field("keys", "Keys", FieldType.NUMBER, List.of(), Set.of(FieldUse.EDIT))));

  @DataProvider
  public Object[][] readable() {
    return new Object[][] {
      {"first_name", "  Zoë ", FieldValue.text("Zoë")},
      {"first_name", " ", FieldValue.EMPTY},
      {"first_name", null, FieldValue.EMPTY},
      {"source", "Boat\r\n show", FieldValue.text("Boat show")},
      {"email", "Bea@quay.example", FieldValue.text("Bea@quay.example")},
      {"phone", "07700 900123", FieldValue.text("+44 7700 900123")},
      {"plan", "SAIL", FieldValue.text("Sail")},
      {"joined_on", "2024-02-29", day(2024, 2, 29)},
      {"joined_on", "2024-02-29T00:00:00Z", day(2024, 2, 29)},
      {"joined_on", "4/3/2021", day(2021, 3, 4)},
      {"joined_on", "04.03.2021", day(2021, 3, 4)},
      {"joined_on", "4 Mar 2021", day(2021, 3, 4)},
      {"joined_on", "March 4, 2021", day(2021, 3, 4)},
      {"last_visit", "2026-07-01", moment("2026-06-30T23:00:00Z")},
      {"last_visit", "2026-07-01 10:30", moment("2026-07-01T09:30:00Z")},
      {"last_visit", "2026-07-01T10:30:00Z", moment("2026-07-01T10:30:00Z")},
      {"dues_owed", "42.5", money("42.50", "GBP")},
      {"dues_owed", "£1,860", money("1860.00", "GBP")},
      {"dues_owed", "42,50 €", money("42.50", "EUR")},
      {"dues_owed", "USD 12", money("12.00", "USD")},
      {"keys", "1,200", new FieldValue.Amount(new BigDecimal("1200"))},
      {"keys", "1,2", new FieldValue.Amount(new BigDecimal("1.2"))},
      {"asked_not", "Yes", new FieldValue.Flag(true)},
      {"asked_not", "0", new FieldValue.Flag(false)},
      {"tags", "slipway; Youth,SLIPWAY, ", FieldValue.tags(List.of("slipway", "Youth"))},
      {"time_zone", "Europe/Oslo", FieldValue.text("Europe/Oslo")},
      {"language", "nl_NL", FieldValue.text("nl-NL")},
      {"owner", "ORLA", FieldValue.text("orla")},
    };
  }

  @Test(dataProvider = "readable")
  public void reads(String field, String text, FieldValue expected) {
    assertThat(READER.read(FIELDS.find(field).orElseThrow(), text)).isEqualTo(expected);
  }

  @DataProvider
  public Object[][] refused() {
    return new Object[][] {
      {"email", "bea at quay", "such as bea@quay.example"},
      {"email", "a@b.example, c@d.example", "one address"},
      {"phone", "ask Bea", "+44 7700 900123"},
      {"plan", "Canoe", "one of Oar, Sail"},
      {"joined_on", "31/2/2021", "a day such as 25/12/2026"},
      {"joined_on", "yesterday", "yesterday"},
      {"dues_owed", "-3", "an amount from 0"},
      {"dues_owed", "12 XXQ", "currency"},
      {"keys", "1e999", "a number such as"},
      {"keys", "seven", "a number such as"},
      {"asked_not", "perhaps", "yes or no"},
      {"time_zone", "Lowen Quay", "Europe/London"},
      {"first_name", "a\0b", "control characters"},
      {"source", "x".repeat(5000), "at most 4000 letters"},
      {"introduced_by", "Bea", "a person on record"},
    };
  }

  @Test(dataProvider = "refused")
  public void saysWhatWouldBeRight(String field, String text, String hint) {
    assertThatThrownBy(() -> READER.read(FIELDS.find(field).orElseThrow(), text))
        .isInstanceOf(FieldException.class)
        .hasMessageContaining(hint);
  }

  @Test
  public void theOrderOfDaysIsGuessedFromThem() {
    assertThat(DayOrder.guess(List.of("01/02/2026", "03/25/2026"))).isEqualTo(DayOrder.MONTH_FIRST);
    assertThat(DayOrder.guess(List.of("01/02/2026", "25/03/2026"))).isEqualTo(DayOrder.DAY_FIRST);
    assertThat(DayOrder.guess(List.of("", "soon"))).isEqualTo(DayOrder.DAY_FIRST);
    assertThat(DayOrder.MONTH_FIRST.read("3/4/2021")).contains(LocalDate.of(2021, 3, 4));
  }

  private static FieldValue day(int year, int month, int day) {
    return FieldValue.day(LocalDate.of(year, month, day));
  }

  private static FieldValue moment(String instant) {
    return FieldValue.moment(Instant.parse(instant));
  }

  private static FieldValue money(String amount, String currency) {
    return FieldValue.money(new BigDecimal(amount), currency);
  }
}
