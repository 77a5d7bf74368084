package app.jemble.core.message;

import java.util.Arrays;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * Where one message is on its way out. What is in a worker's hands is still waiting or deferred,
 * and shown as being sent.
 */
public enum MessageState {
  /** it leaves when it is due */
  WAITING,
  /** the other side put it off; it is tried again when it is due */
  DEFERRED,
  SENT,
  /** the other side will not have it */
  REFUSED,
  /** kept back, by hand or over a cap */
  HELD,
  /** handed over, the answer lost; never sent again unasked */
  IN_DOUBT,
  WITHDRAWN;

  /** What leaves by itself when it is due. */
  public static final Set<MessageState> TO_DEPART =
      Collections.unmodifiableSet(EnumSet.of(WAITING, DEFERRED));

  /** What has not left and still may. */
  public static final Set<MessageState> OPEN =
      Collections.unmodifiableSet(EnumSet.of(WAITING, DEFERRED, HELD));

  /** What a colleague may try again: nothing that could arrive twice. */
  public static final Set<MessageState> TO_TRY_AGAIN =
      Collections.unmodifiableSet(EnumSet.of(WAITING, DEFERRED, REFUSED, HELD, WITHDRAWN));

  /** What a colleague may withdraw by itself. */
  public static final Set<MessageState> TO_WITHDRAW =
      Collections.unmodifiableSet(EnumSet.of(WAITING, DEFERRED, REFUSED, HELD));

  /** Whether a message may go from this state into another. */
  public boolean mayBecome(MessageState next) {
    return switch (this) {
      case WAITING, DEFERRED -> true;
      case HELD -> next == WAITING || next == DEFERRED || next == WITHDRAWN;
      case REFUSED -> next == WAITING || next == WITHDRAWN;
      case WITHDRAWN -> next == WAITING;
      // A colleague says whether it arrived, or what came back does.
      case IN_DOUBT -> next == SENT || next == WAITING;
      case SENT -> false;
    };
  }

  /** What it is when it could not be handed over after all. */
  public static MessageState notBegun(int triesBefore) {
    return triesBefore > 0 ? DEFERRED : WAITING;
  }

  /** As it is stored. */
  public String stored() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** All of them as they are stored. */
  public static List<String> stored(Set<MessageState> states) {
    return states.stream().map(MessageState::stored).toList();
  }

  /** Reads what is stored. */
  public static MessageState of(String stored) {
    return Arrays.stream(values())
        .filter(state -> state.stored().equals(stored))
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("no such state: " + stored));
  }
}
