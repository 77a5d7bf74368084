package app.jemble.core.message;

import java.util.List;
import java.util.Set;

/**
 * One way in which messages may go from state to state: whatever is in another state than these
 * stays as it is. Names as they are stored.
 */
public record MessageMove(List<String> from, String to) {

  public static final MessageMove HOLD = of(MessageState.TO_DEPART, MessageState.HELD);

  /** All that has not left, at once. */
  public static final MessageMove WITHDRAW_REST = of(MessageState.OPEN, MessageState.WITHDRAWN);

  /** One message, by a colleague. */
  public static final MessageMove WITHDRAW = of(MessageState.TO_WITHDRAW, MessageState.WITHDRAWN);

  public static final MessageMove TRY_AGAIN = of(MessageState.TO_TRY_AGAIN, MessageState.WAITING);

  /** What was in doubt has arrived. */
  public static final MessageMove ARRIVED = of(Set.of(MessageState.IN_DOUBT), MessageState.SENT);

  /** What was in doubt never arrived, and leaves again. */
  public static final MessageMove LOST = of(Set.of(MessageState.IN_DOUBT), MessageState.WAITING);

  /** It must not leave any more. */
  public static final MessageMove STOP = of(MessageState.TO_DEPART, MessageState.WITHDRAWN);

  /** It cannot leave as it is. */
  public static final MessageMove REFUSE = of(MessageState.TO_DEPART, MessageState.REFUSED);

  /** Its worker is gone, and nobody knows how the hand-over ended. */
  public static final MessageMove DOUBT = of(MessageState.TO_DEPART, MessageState.IN_DOUBT);

  /**
   * @throws IllegalArgumentException for a way that no message may go
   */
  public static MessageMove of(Set<MessageState> from, MessageState to) {
    for (MessageState state : from) {
      if (state != to && !state.mayBecome(to)) {
        throw new IllegalArgumentException(state + " never becomes " + to);
      }
    }
    return new MessageMove(MessageState.stored(from), to.stored());
  }
}
