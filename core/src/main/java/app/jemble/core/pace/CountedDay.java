package app.jemble.core.pace;

import app.jemble.core.message.MessageState;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Optional;

/**
 * On which day a message counts under daily caps: what was sent, on the day on which it was, if
 * that is today; what may still leave, or is in doubt, on the day on which it is due, today at the
 * earliest.
 */
public final class CountedDay {

  private CountedDay() {}

  /**
   * @param sentAt when it was sent, or null
   * @param house the clock of the workspace
   */
  public static Optional<LocalDate> of(
      MessageState state, Instant dueAt, Instant sentAt, Instant now, ZoneId house) {
    LocalDate today = LocalDate.ofInstant(now, house);
    if (state == MessageState.SENT) {
      LocalDate day = LocalDate.ofInstant(sentAt, house);
      return day.isBefore(today) ? Optional.empty() : Optional.of(day);
    }
    if (!MessageState.OPEN.contains(state) && state != MessageState.IN_DOUBT) {
      return Optional.empty();
    }
    return Optional.of(LocalDate.ofInstant(dueAt.isBefore(now) ? now : dueAt, house));
  }
}
