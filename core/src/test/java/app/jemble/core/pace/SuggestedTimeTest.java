package app.jemble.core.pace;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import org.testng.annotations.Test;

public class SuggestedTimeTest {

  private static final ZoneId KOLKATA = ZoneId.of("Asia/Kolkata");

  private static SuggestedTime of(String... times) {
    SuggestedTime suggested = new SuggestedTime();
    LocalDate day = LocalDate.of(2026, 3, 20);
    for (String time : times) {
      day = day.plusDays(1);
      LocalDateTime local = LocalDateTime.of(day, LocalTime.parse(time));
      suggested.add(local.atZone(KOLKATA).toInstant(), KOLKATA);
    }
    return suggested;
  }

  @Test
  public void lateEveningAndEarlyMorningLieAroundMidnight() {
    LocalTime time = of("23:30", "00:30", "23:30", "00:30").alone().get().time();
    assertThat(time).isIn(LocalTime.parse("23:45"), LocalTime.MIDNIGHT, LocalTime.parse("00:15"));
  }

  @Test
  public void fewResponsesLeanOnTheGroup() {
    SuggestedTime group = of("08:00", "08:15", "08:00", "08:10", "07:50", "08:05");
    SuggestedTime.Suggestion one = of("20:00").within(group).get();
    assertThat(one.time()).isBetween(LocalTime.of(7, 30), LocalTime.of(8, 30));
    assertThat(one.responses()).isEqualTo(1);
    assertThat(one.ofGroup()).isEqualTo(6);
    assertThat(one.near()).as("what others did is not counted as theirs").isZero();
    String[] evenings = {"20:00", "20:10", "19:50", "20:05", "20:00", "20:10", "19:45", "20:00"};
    assertThat(of(evenings).within(group).get().time())
        .isBetween(LocalTime.of(19, 30), LocalTime.of(20, 30));
  }

  @Test
  public void nothingIsSaidOnTooLittle() {
    assertThat(of("08:00", "09:00").alone()).isEmpty();
    assertThat(of("08:00", "09:00", "08:30").alone().get().near()).isEqualTo(3);
  }
}
