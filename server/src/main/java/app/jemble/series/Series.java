package app.jemble.series;

import app.jemble.core.series.Ending;
import app.jemble.core.series.ReEntry;
import app.jemble.core.series.SeriesState;
import java.time.Instant;

/**
 * A series as it is stored.
 *
 * @param isPrivate whether its sender alone knows of it
 * @param ownClock whether waits and hours are those of each person's own clock
 * @param hours when its messages may leave, as JSON; null at any time
 * @param againDays so many days after their last entry somebody may come in again; null never
 * @param entersParts whoever comes to match comes in: the parts of an audience, as JSON
 * @param endsParts whoever comes to match is out: the parts of an audience, as JSON
 * @param pausedAt since when nothing leaves, or null
 */
public record Series(
    long id,
    String name,
    SeriesState state,
    long topicId,
    long senderId,
    boolean isPrivate,
    boolean ownClock,
    String hours,
    Integer againDays,
    boolean endsOnReply,
    boolean endsOnClick,
    String entersParts,
    String endsParts,
    Instant pausedAt,
    int version) {

  public Ending ending() {
    return new Ending(endsOnReply, endsOnClick, !endsParts.equals("[]"));
  }

  public boolean hasStandingEntry() {
    return !entersParts.equals("[]");
  }

  public ReEntry reEntry() {
    return new ReEntry(againDays);
  }
}
