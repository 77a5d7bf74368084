package app.jemble.sending;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import org.testng.annotations.Test;

/** What calendars of days off say besides days: RFC 5545, sections 3.8.1.11, 3.8.4.4, 3.8.5.2. */
public class DaysOffFileTest {

  private static final LocalDate TODAY = LocalDate.of(2027, 1, 1);

  private static List<String> days(String... lines) {
    String file = "BEGIN:VCALENDAR\r\nVERSION:2.0\r\n" + String.join("\r\n", lines);
    return DaysOffFile.read(file + "\r\nEND:VCALENDAR\r\n", TODAY).stream()
        .map(d -> d.day() + " " + d.name())
        .toList();
  }

  @Test
  public void anEventThatWasCalledOffIsNone() {
    assertThat(
            days(
                "BEGIN:VEVENT\r\nUID:a\r\nDTSTART;VALUE=DATE:20270301\r\nSUMMARY:On\r\nEND:VEVENT",
                "BEGIN:VEVENT\r\nUID:b\r\nDTSTART;VALUE=DATE:20270302\r\nSTATUS:CANCELLED",
                "SUMMARY:Off\r\nEND:VEVENT"))
        .containsExactly("2027-03-01 On");
  }

  @Test
  public void aTimeThatWasMovedLeavesItsOldDay() {
    assertThat(
            days(
                "BEGIN:VEVENT\r\nUID:a\r\nDTSTART;VALUE=DATE:20270301\r\nSUMMARY:Rest",
                "RRULE:FREQ=DAILY;COUNT=3\r\nEND:VEVENT",
                "BEGIN:VEVENT\r\nUID:a\r\nRECURRENCE-ID;VALUE=DATE:20270302",
                "DTSTART;VALUE=DATE:20270310\r\nSUMMARY:Rest, moved\r\nEND:VEVENT"))
        .containsExactly("2027-03-01 Rest", "2027-03-03 Rest", "2027-03-10 Rest, moved");
  }

  @Test
  public void furtherDaysWithoutARuleComeBesideTheFirst() {
    assertThat(
            days(
                "BEGIN:VEVENT\r\nUID:a\r\nDTSTART;VALUE=DATE:20270301\r\nSUMMARY:Rest",
                "RDATE;VALUE=DATE:20270401,20270501\r\nEND:VEVENT"))
        .containsExactly("2027-03-01 Rest", "2027-04-01 Rest", "2027-05-01 Rest");
  }

  @Test
  public void aMarkOfTheByteOrderIsNoPartOfTheFile() {
    String file =
        "\ufeffBEGIN:VCALENDAR\r\nVERSION:2.0\r\nBEGIN:VEVENT\r\nUID:a\r\n"
            + "DTSTART;VALUE=DATE:20270301\r\nSUMMARY:On\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n";
    assertThat(DaysOffFile.read(file, TODAY)).hasSize(1);
  }
}
