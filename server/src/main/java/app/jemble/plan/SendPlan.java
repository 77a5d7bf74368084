package app.jemble.plan;

import app.jemble.sending.HoursSpan;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;

/**
 * When a mailing's messages leave, as its writer wants it.
 *
 * @param startWall when the first may leave, on the workspace's clock; null for at once
 * @param startOwn whether it is that time on each person's own clock instead
 * @param wavePeople how many leave together; null for all at once
 * @param waveGapSeconds from one wave to the next
 * @param hours when messages may reach people; null for the workspace's hours
 * @param ownClock whether hours and days off are those of each person's own clock
 * @param doneBy the day by whose end the last should have left; null for none
 */
public record SendPlan(
    @Schema(nullable = true) LocalDateTime startWall,
    boolean startOwn,
    @Schema(nullable = true) Integer wavePeople,
    long waveGapSeconds,
    @Schema(nullable = true) List<HoursSpan> hours,
    boolean ownClock,
    @Schema(nullable = true) LocalDate doneBy) {

  public static final SendPlan AT_ONCE = new SendPlan(null, false, null, 900, null, false, null);
}
