package app.jemble.series.entry;

import app.jemble.plan.SendPlan;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;

/**
 * How people would come in.
 *
 * @param words the plan as a sentence
 * @param people how many are meant; who is in it already, or was, does not come in again
 * @param first when the first come in; null when nobody does
 * @param lastStep when the last of them have had the last step, at the earliest
 * @param hadBy how it stands with the day by which the last step is to be had; null without one
 */
@Schema(name = "SeriesEntryPlan")
public record EntryPlan(
    String words,
    long people,
    long waves,
    @Schema(nullable = true) Instant first,
    @Schema(nullable = true) Instant last,
    @Schema(nullable = true) Instant lastStep,
    @Schema(nullable = true) HadBy hadBy) {

  /**
   * @param latestEntry whoever comes in by then has had the last step in time; null when nobody has
   *     any more
   * @param others plans that would do it
   */
  @Schema(name = "SeriesHadBy")
  public record HadBy(
      boolean met, @Schema(nullable = true) Instant latestEntry, List<OtherWay> others) {}

  @Schema(name = "SeriesOtherWay")
  public record OtherWay(String words, SendPlan plan) {}
}
