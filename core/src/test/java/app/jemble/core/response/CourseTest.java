package app.jemble.core.response;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import org.testng.annotations.Test;

public class CourseTest {

  private static final ZoneId LONDON = ZoneId.of("Europe/London");

  private static Instant at(String instant) {
    return Instant.parse(instant);
  }

  @Test
  public void aShortCourseIsShownByTheHourAndALongOneByTheDay() {
    Instant first = at("2026-03-24T09:10:00Z");
    assertThat(Course.step(first, at("2026-03-24T12:10:00Z"))).isEqualTo(Course.Step.MINUTES);
    assertThat(Course.step(first, at("2026-03-24T12:10:01Z"))).isEqualTo(Course.Step.HOURS);
    assertThat(Course.step(first, at("2026-03-28T09:10:00Z"))).isEqualTo(Course.Step.HOURS);
    assertThat(Course.step(first, at("2026-03-28T09:10:01Z"))).isEqualTo(Course.Step.DAYS);
  }

  @Test
  public void bothEndsAreCountedIn() {
    assertThat(
            Course.steps(
                at("2026-03-24T09:10:00Z"), at("2026-03-24T11:00:00Z"), Course.Step.HOURS, LONDON))
        .containsExactly(
            LocalDateTime.parse("2026-03-24T09:00"),
            LocalDateTime.parse("2026-03-24T10:00"),
            LocalDateTime.parse("2026-03-24T11:00"));
  }

  @Test
  public void theFirstHourIsShownInStepsOfFiveMinutes() {
    assertThat(
            Course.steps(
                at("2026-03-24T09:13:20Z"),
                at("2026-03-24T09:26:00Z"),
                Course.Step.MINUTES,
                LONDON))
        .containsExactly(
            LocalDateTime.parse("2026-03-24T09:10"),
            LocalDateTime.parse("2026-03-24T09:15"),
            LocalDateTime.parse("2026-03-24T09:20"),
            LocalDateTime.parse("2026-03-24T09:25"));
  }

  /** The clock shows one day more than have passed: from late on one to early on another. */
  @Test
  public void daysAreThoseOfTheClock() {
    assertThat(
            Course.steps(
                at("2026-06-01T23:30:00Z"), at("2026-06-03T00:00:00Z"), Course.Step.DAYS, LONDON))
        .extracting(LocalDateTime::getDayOfMonth)
        .containsExactly(2, 3);
  }

  @Test
  public void noCourseHasMoreStepsThanCanBeShown() {
    assertThat(
            Course.steps(
                at("2020-01-01T00:00:00Z"), at("2026-01-01T00:00:00Z"), Course.Step.DAYS, LONDON))
        .hasSize(400);
  }
}
