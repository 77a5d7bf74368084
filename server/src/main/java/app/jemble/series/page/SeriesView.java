package app.jemble.series.page;

import app.jemble.audience.AudienceParts;
import app.jemble.cause.WaysBody;
import app.jemble.core.series.SeriesState;
import app.jemble.core.series.Wait;
import app.jemble.sending.HoursSpan;
import com.fasterxml.jackson.annotation.JsonProperty;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.time.LocalTime;
import java.util.List;

/**
 * A series with its steps and how it stands.
 *
 * @param pausedAt since when nothing leaves, or null
 * @param blockers what stands in the way of activation, each with its place
 * @param in how many people wait for a step
 * @param finished how many are past the last step
 * @param ended for how many it ended before
 * @param countedAt when its numbers were counted; null when they are those of this moment
 */
@Schema(name = "SeriesView")
record SeriesView(
    long id,
    String name,
    SeriesState state,
    long topicId,
    long senderId,
    @JsonProperty("private") boolean isPrivate,
    boolean ownClock,
    @Schema(nullable = true) List<HoursSpan> hours,
    @Schema(nullable = true) Integer againDays,
    boolean endsOnReply,
    boolean endsOnClick,
    List<AudienceParts.Part> enters,
    List<AudienceParts.Part> ends,
    @Schema(nullable = true) Instant pausedAt,
    int version,
    List<StepView> steps,
    List<String> blockers,
    long in,
    long finished,
    long ended,
    @Schema(nullable = true) Instant countedAt) {

  /**
   * A step with what became of it.
   *
   * @param waits in words, such as "3 days later, at 09:00"
   * @param day on which day it leaves at the earliest to whoever comes in now, from 1 on; null when
   *     no hour comes
   * @param next for how many it is the next
   * @param sent how many messages have left
   * @param waiting how many are in the outbox
   * @param without how many were passed over without a message
   */
  @Schema(name = "SeriesStepView")
  record StepView(
      long id,
      int place,
      int waitCount,
      Wait.Unit waitUnit,
      @Schema(nullable = true, type = "string") LocalTime waitAt,
      String waits,
      boolean inThread,
      List<AudienceParts.Part> meant,
      long causeId,
      String subject,
      String body,
      @Schema(nullable = true) Long letterheadId,
      boolean promotional,
      WaysBody ways,
      @Schema(nullable = true) Integer day,
      long next,
      long sent,
      long waiting,
      long without,
      long opened,
      long clicked,
      long replied,
      long returned,
      long leftList,
      List<Share> shares) {}

  /**
   * A share of those whom a step reached, with the interval that it lies in by 95%.
   *
   * @param what such as "opened"
   * @param low lower end, 0 to 1
   */
  @Schema(name = "SeriesShare")
  record Share(String what, long count, double share, double low, double high) {}
}
