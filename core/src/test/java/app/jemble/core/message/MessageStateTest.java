package app.jemble.core.message;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import org.testng.annotations.Test;

/** The ways a message may go: domain rules, section 8, as a table beside the code. */
public class MessageStateTest {

  private static final Set<MessageState> ANY = EnumSet.allOf(MessageState.class);

  private static final Map<MessageState, Set<MessageState>> MAY_BECOME =
      Map.of(
          MessageState.WAITING, ANY,
          MessageState.DEFERRED, ANY,
          MessageState.HELD,
              EnumSet.of(MessageState.WAITING, MessageState.DEFERRED, MessageState.WITHDRAWN),
          MessageState.REFUSED, EnumSet.of(MessageState.WAITING, MessageState.WITHDRAWN),
          MessageState.WITHDRAWN, EnumSet.of(MessageState.WAITING),
          MessageState.IN_DOUBT, EnumSet.of(MessageState.SENT, MessageState.WAITING),
          MessageState.SENT, EnumSet.noneOf(MessageState.class));

  @Test
  public void aMessageGoesNoOtherWay() {
    for (MessageState from : MessageState.values()) {
      for (MessageState to : MessageState.values()) {
        assertThat(from.mayBecome(to))
            .as("%s to %s", from, to)
            .isEqualTo(MAY_BECOME.get(from).contains(to));
      }
    }
  }

  /** What is in doubt may have arrived: nothing but a colleague or a response moves it. */
  @Test
  public void nothingThatMayHaveArrivedIsSentAgainByTheWay() {
    for (MessageMove move :
        new MessageMove[] {
          MessageMove.HOLD,
          MessageMove.WITHDRAW_REST,
          MessageMove.WITHDRAW,
          MessageMove.TRY_AGAIN,
          MessageMove.STOP,
          MessageMove.REFUSE,
          MessageMove.DOUBT
        }) {
      assertThat(move.from())
          .doesNotContain(MessageState.IN_DOUBT.stored(), MessageState.SENT.stored());
    }
    assertThat(MessageMove.ARRIVED.from()).containsExactly("in_doubt");
    assertThat(MessageMove.LOST.to()).isEqualTo("waiting");
  }

  @Test
  public void aMoveThatNoMessageMayMakeCannotBeMade() {
    assertThatThrownBy(() -> MessageMove.of(Set.of(MessageState.SENT), MessageState.WAITING))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("SENT");
    assertThatThrownBy(() -> MessageMove.of(Set.of(MessageState.REFUSED), MessageState.SENT))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  public void statesReadBackAsTheyAreStored() {
    for (MessageState state : MessageState.values()) {
      assertThat(MessageState.of(state.stored())).isEqualTo(state);
    }
    assertThat(MessageState.stored(MessageState.TO_DEPART)).containsExactly("waiting", "deferred");
    assertThatThrownBy(() -> MessageState.of("gone")).hasMessageContaining("gone");
    assertThat(MessageState.notBegun(0)).isEqualTo(MessageState.WAITING);
    assertThat(MessageState.notBegun(2)).isEqualTo(MessageState.DEFERRED);
  }
}
