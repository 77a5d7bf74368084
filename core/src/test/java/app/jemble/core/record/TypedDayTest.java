package app.jemble.core.record;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.record.TypedDay.Lean;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What people write for a day and a time; the ways of writing are common practice. */
public class TypedDayTest {

  /** A Friday. */
  private static final LocalDate TODAY = LocalDate.of(2026, 11, 27);

  @DataProvider
  public Object[][] days() {
    return new Object[][] {
      {"today", "2026-11-27"},
      {"  Tomorrow ", "2026-11-28"},
      {"day after tomorrow", "2026-11-29"},
      {"yesterday", "2026-11-26"},
      {"in 3 weeks", "2026-12-18"},
      {"3 weeks", "2026-12-18"},
      {"in a fortnight", "2026-12-11"},
      {"in a month", "2026-12-27"},
      {"next week", "2026-12-04"},
      {"Mon", "2026-11-30"},
      {"Fri", "2026-12-04"},
      {"fri.", "2026-12-04"},
      {"next Fri", "2026-12-04"},
      {"next Mon", "2026-11-30"},
      {"last Fri", "2026-11-20"},
      {"this Sun", "2026-11-29"},
      {"Friday week", "2026-12-11"},
      {"6 Dec", "2026-12-06"},
      {"6th of December", "2026-12-06"},
      {"6Dec", "2026-12-06"},
      {"Dec 6", "2026-12-06"},
      {"Sept 3", "2027-09-03"},
      {"6 dec 2027", "2027-12-06"},
      {"6 Dec 27", "2027-12-06"},
      {"6.12.", "2026-12-06"},
      {"6.12", "2026-12-06"},
      {"6/12", "2026-12-06"},
      {"6-12-26", "2026-12-06"},
      {"06/12/2026", "2026-12-06"},
      {"2026-12-06", "2026-12-06"},
      {"26 Nov", "2027-11-26"},
      {"27 Nov", "2026-11-27"},
      {"29 Feb", "2028-02-29"},
      {"the 3rd", "2026-12-03"},
      {"30th", "2026-11-30"},
      {"Sun 6 Dec", "2026-12-06"},
      {"Sunday, 6 December 2026", "2026-12-06"},
      {"end of the month", "2026-11-30"},
      {"start of next month", "2026-12-01"},
      {"end of next week", "2026-12-06"},
      {"end of year", "2026-12-31"},
    };
  }

  @Test(dataProvider = "days")
  public void aDayIsReadAsItIsWritten(String written, String day) {
    assertThat(TypedDay.read(written, TODAY, DayStyle.of(DayOrder.DAY_FIRST), Lean.AHEAD))
        .contains(LocalDate.parse(day));
  }

  @DataProvider
  public Object[][] backward() {
    return new Object[][] {
      {"6 Dec", "2025-12-06"},
      {"Fri", "2026-11-20"},
      {"3 weeks", "2026-11-06"},
      {"in 3 weeks", "2026-12-18"},
      {"29 Feb", "2024-02-29"},
      {"28th", "2026-10-28"},
      {"27 Nov", "2026-11-27"},
    };
  }

  @Test(dataProvider = "backward")
  public void whatHasBeenLeansBack(String written, String day) {
    assertThat(TypedDay.read(written, TODAY, DayStyle.of(DayOrder.DAY_FIRST), Lean.BACK))
        .contains(LocalDate.parse(day));
  }

  @DataProvider
  public Object[] notDays() {
    return new Object[] {
      "",
      " ",
      "soon",
      "31 Nov",
      "0 Dec",
      "32nd",
      "13/13",
      "Mon 6 Dec",
      "in 3 weeks ago",
      "in 99999 years",
      "6 de",
      "next Friday week",
      "ma",
      "2026-02-30",
      "fri fri",
      "9".repeat(500),
      "<b>6 Dec</b>",
      "6 Dec\0",
      "６ Dez"
    };
  }

  @Test(dataProvider = "notDays")
  public void whatIsNoDayIsNotGuessed(String written) {
    assertThat(TypedDay.read(written, TODAY, DayStyle.of(DayOrder.DAY_FIRST), Lean.AHEAD))
        .isEmpty();
  }

  @Test
  public void theOrderOfTheHouseDecides() {
    assertThat(TypedDay.read("6/12", TODAY, DayStyle.of(DayOrder.MONTH_FIRST), Lean.AHEAD))
        .contains(LocalDate.of(2027, 6, 12));
    assertThat(TypedDay.read("6.12.", TODAY, DayStyle.of(DayOrder.MONTH_FIRST), Lean.AHEAD))
        .contains(LocalDate.of(2026, 12, 6));
  }

  /** Against the JDK's own formatter, for every day of three years. */
  @Test
  public void whatTheHouseWritesIsRead() {
    List<DateTimeFormatter> ways =
        List.of(
            DateTimeFormatter.ofPattern("EEE d MMM uuuu", Locale.ENGLISH),
            DateTimeFormatter.ofPattern("d MMMM uuuu", Locale.ENGLISH),
            DateTimeFormatter.ofPattern("MMMM d, uuuu", Locale.ENGLISH),
            DateTimeFormatter.ofPattern("d/M/uuuu", Locale.ENGLISH),
            DateTimeFormatter.ISO_LOCAL_DATE);
    for (LocalDate day = TODAY.minusYears(1);
        day.isBefore(TODAY.plusYears(2));
        day = day.plusDays(1)) {
      for (DateTimeFormatter way : ways) {
        assertThat(
                TypedDay.read(way.format(day), TODAY, DayStyle.of(DayOrder.DAY_FIRST), Lean.AHEAD))
            .as(way.format(day))
            .contains(day);
      }
    }
  }

  /** A day without its year is never on the wrong side of today, nor more than eight years away. */
  @Test
  public void aDayWithoutItsYearLiesWhereItLeans() {
    DateTimeFormatter way = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);
    for (LocalDate day = LocalDate.of(2024, 1, 1); day.getYear() == 2024; day = day.plusDays(1)) {
      LocalDate ahead = read(way.format(day), Lean.AHEAD);
      LocalDate back = read(way.format(day), Lean.BACK);
      assertThat(ahead).isAfterOrEqualTo(TODAY).isBefore(TODAY.plusYears(8));
      assertThat(back).isBeforeOrEqualTo(TODAY).isAfter(TODAY.minusYears(8));
      assertThat(way.format(ahead)).isEqualTo(way.format(day)).isEqualTo(way.format(back));
    }
    for (DayOfWeek day : DayOfWeek.values()) {
      assertThat(read(day.name(), Lean.AHEAD))
          .isBetween(TODAY.plusDays(1), TODAY.plusDays(7))
          .matches(d -> d.getDayOfWeek() == day);
    }
  }

  private static LocalDate read(String text, Lean lean) {
    return TypedDay.read(text, TODAY, DayStyle.of(DayOrder.DAY_FIRST), lean).orElseThrow();
  }

  /** The short patterns are those of the Unicode CLDR. */
  @Test
  public void theOrderIsThatOfTheLanguage() {
    assertThat(DayOrder.of(Locale.UK)).isEqualTo(DayOrder.DAY_FIRST);
    assertThat(DayOrder.of(Locale.US)).isEqualTo(DayOrder.MONTH_FIRST);
    assertThat(DayOrder.of(Locale.GERMANY)).isEqualTo(DayOrder.DAY_FIRST);
    assertThat(DayOrder.of(Locale.JAPAN)).isEqualTo(DayOrder.YEAR_FIRST);
  }

  @DataProvider
  public Object[][] times() {
    return new Object[][] {
      {"9", "09:00"},
      {"09", "09:00"},
      {"9:30", "09:30"},
      {"9.30", "09:30"},
      {"0930", "09:30"},
      {"9am", "09:00"},
      {"9 pm", "21:00"},
      {"12am", "00:00"},
      {"12 p.m.", "12:00"},
      {"17h", "17:00"},
      {"17h30", "17:30"},
      {"at 8", "08:00"},
      {"noon", "12:00"},
      {"midnight", "00:00"},
      {"half past 9", "09:30"},
      {"quarter to 5 pm", "16:45"},
      {"quarter past 5", "05:15"},
      {"9 o'clock", "09:00"},
      {"23:59", "23:59"}
    };
  }

  @Test(dataProvider = "times")
  public void aTimeIsReadAsItIsWritten(String written, String time) {
    assertThat(TypedTime.read(written)).contains(LocalTime.parse(time));
  }

  @DataProvider
  public Object[] notTimes() {
    return new Object[] {
      "", "25", "9:60", "13pm", "0am", "half to 9", "9999", "nine", "1".repeat(99)
    };
  }

  @Test(dataProvider = "notTimes")
  public void whatIsNoTimeIsNotGuessed(String written) {
    assertThat(TypedTime.read(written)).isEmpty();
  }
}
