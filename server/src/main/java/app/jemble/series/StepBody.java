package app.jemble.series;

import app.jemble.audience.AudienceParts;
import app.jemble.cause.WaysBody;
import app.jemble.core.series.Wait;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalTime;
import java.util.List;

/**
 * A step of a series as it is wanted.
 *
 * @param waitAt the time of day; null keeps the one that the wait began at
 * @param inThread whether it goes in the thread of the step before
 * @param meant for whom it is; none: for all
 * @param subject template text
 * @param body template text, HTML
 * @param ways on which ways it goes; null leaves that as it is, by e-mail at first
 */
public record StepBody(
    int waitCount,
    Wait.Unit waitUnit,
    @Schema(nullable = true, type = "string", example = "09:00") LocalTime waitAt,
    boolean inThread,
    List<AudienceParts.Part> meant,
    String subject,
    String body,
    @Schema(nullable = true) Long letterheadId,
    boolean promotional,
    @Schema(nullable = true) WaysBody ways) {}
