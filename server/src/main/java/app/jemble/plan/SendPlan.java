package app.jemble.plan;

import app.jemble.core.pace.PlanWish;
import app.jemble.sending.HoursSpan;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.List;

/**
 * When a mailing's messages leave, as its writer wants it.
 *
 * @param startWall when the first may leave, on the workspace's clock; null for at once
 * @param startOwn whether it is that time on each person's own clock instead
 * @param startZone whose clock it is (IANA name); null for the workspace's
 * @param wavePeople how many leave together; null for all at once
 * @param waveGapSeconds from one wave to the next
 * @param hours when messages may reach people; null for the workspace's hours
 * @param ownClock whether hours and days off are those of each person's own clock
 * @param doneBy the day by whose end the last should have left; null for none
 */
public record SendPlan(
    @Schema(nullable = true) LocalDateTime startWall,
    boolean startOwn,
    @Schema(nullable = true) String startZone,
    @Schema(nullable = true) Integer wavePeople,
    long waveGapSeconds,
    @Schema(nullable = true) List<HoursSpan> hours,
    boolean ownClock,
    @Schema(nullable = true) LocalDate doneBy) {

  public static final SendPlan AT_ONCE = of(PlanWish.AT_ONCE);

  static SendPlan of(PlanWish wish) {
    return new SendPlan(
        wish.start(),
        wish.startOwn(),
        wish.startZone() == null ? null : wish.startZone().getId(),
        wish.wavePeople(),
        wish.gapSeconds(),
        wish.hours() == null ? null : HoursSpan.of(wish.hours()),
        wish.ownClock(),
        wish.doneBy());
  }

  /** Whose clock shows the start. */
  ZoneId startClock(ZoneId house) {
    return startZone == null ? house : ZoneId.of(startZone);
  }

  /** As core means it. */
  PlanWish wish() {
    return new PlanWish(
        startWall,
        startOwn,
        startZone == null ? null : ZoneId.of(startZone),
        wavePeople,
        waveGapSeconds,
        hours == null ? null : HoursSpan.hours(hours),
        ownClock,
        doneBy);
  }

  /** Whoever is written to because of it gets it in the same hours, at once and without a day. */
  public SendPlan forEach() {
    return new SendPlan(null, false, null, null, AT_ONCE.waveGapSeconds, hours, ownClock, null);
  }
}
