package app.jemble.series;

import app.jemble.audience.AudienceParts;
import app.jemble.sending.HoursSpan;
import com.fasterxml.jackson.annotation.JsonProperty;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;

/**
 * A series as it is wanted.
 *
 * @param hours when its messages may leave; null at any time
 * @param againDays so many days after their last entry somebody may come in again; null never
 * @param enters whoever comes to be in any of these comes in by themselves
 * @param ends whoever comes to be in any of these is out
 */
public record SeriesBody(
    String name,
    long topicId,
    @JsonProperty("private") boolean isPrivate,
    boolean ownClock,
    @Schema(nullable = true) List<HoursSpan> hours,
    @Schema(nullable = true) Integer againDays,
    boolean endsOnReply,
    boolean endsOnClick,
    List<AudienceParts.Part> enters,
    List<AudienceParts.Part> ends,
    int version) {}
