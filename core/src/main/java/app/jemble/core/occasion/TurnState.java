package app.jemble.core.occasion;

import java.util.EnumSet;
import java.util.Set;

/** Where one time that a day comes round stands. */
public enum TurnState {
  /** for a colleague's nod, or for the day of its task */
  AWAITS,
  /** it leaves at its hour */
  NODDED,
  /** its message is in the outbox, or has left */
  SENT,
  /** a task reminds somebody */
  TASK,
  /** nothing was said on the day, for a reason; a colleague decides */
  MISSED,
  /** it is not said this time */
  LET_GO;

  /** What a colleague decides. */
  public enum Decision {
    NOD(EnumSet.of(AWAITS), NODDED),
    /** the nod is taken back */
    NOT_YET(EnumSet.of(NODDED), AWAITS),
    LATE(EnumSet.of(MISSED), SENT),
    LET_GO(EnumSet.of(AWAITS, NODDED, MISSED), TurnState.LET_GO);

    private final Set<TurnState> from;
    private final TurnState to;

    Decision(Set<TurnState> from, TurnState to) {
      this.from = from;
      this.to = to;
    }

    /** Of which turns it can be decided. */
    public boolean isOf(TurnState state) {
      return from.contains(state);
    }

    /** The same, to choose by. */
    public Set<TurnState> from() {
      return EnumSet.copyOf(from);
    }

    /** What they become. */
    public TurnState to() {
      return to;
    }
  }
}
