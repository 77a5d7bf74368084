package app.jemble.plan;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;

/**
 * The run sheet of a plan.
 *
 * @param words the plan as a sentence
 * @param messages how many are planned for
 * @param waves in how many waves they leave
 * @param unplanned how many may never leave under these limits
 * @param first when the first leaves; null when none does
 * @param last when the last leaves
 * @param days the days on which messages leave, on the workspace's clock
 * @param zones how many people are where, the zone with most first
 * @param colliding how many people would get a message of another mailing within the rest days of
 *     theirs; 0 of a mailing that was released
 * @param spacingDays for how many days people should be left alone between two mailings
 * @param ownClocksLast when the last would leave if hours were kept on each person's own clock;
 *     null where that is no better, or so already
 * @param doneBy how it stands with the day by which all should have left; null when none was set
 */
record PlanView(
    String words,
    long messages,
    long waves,
    long unplanned,
    @Schema(nullable = true) Instant first,
    @Schema(nullable = true) Instant last,
    List<Day> days,
    List<ZoneShare> zones,
    long colliding,
    int spacingDays,
    @Schema(nullable = true) Instant ownClocksLast,
    @Schema(nullable = true) DoneBy doneBy) {

  /**
   * One day.
   *
   * @param hours its hours in which messages leave; empty when the plan goes over many days
   * @param bound what held messages back: "hours", "quiet hours", or whose cap
   */
  record Day(LocalDate day, long messages, List<Hour> hours, List<String> bound) {}

  /**
   * @param hour 0 to 23
   */
  record Hour(int hour, long messages) {}

  record ZoneShare(String zone, long people) {}

  /**
   * Whether all have left by the end of a day, and what would do it.
   *
   * @param slackSeconds from the last message to the deadline, negative when it is missed; null
   *     when some may never leave
   * @param smallestWave so many people a wave are enough; null when no number is, or there are no
   *     waves
   * @param largestGapSeconds waves may be so far apart; null likewise
   * @param latestStart a start on the workspace's clock, or on each person's own, that is still in
   *     time; null when none is
   * @param missSeconds by how much even the fastest pace is late; null when it is not, or some
   *     never leave
   * @param limits what would have to give way: "hours", "quiet hours", or whose cap
   */
  record DoneBy(
      Instant deadline,
      boolean met,
      @Schema(nullable = true) Long slackSeconds,
      @Schema(nullable = true) Integer smallestWave,
      @Schema(nullable = true) Long largestGapSeconds,
      @Schema(nullable = true) LocalDateTime latestStart,
      @Schema(nullable = true) Long missSeconds,
      List<String> limits) {}
}
