package app.jemble.outbox;

import app.jemble.core.message.MessageId;
import app.jemble.core.message.MessageMove;
import app.jemble.core.message.MessageState;
import app.jemble.core.reach.Channel;
import app.jemble.core.reach.Reach;
import app.jemble.core.record.PersonId;
import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Service;

/** Messages that no carrier takes: they are printed, and posted by people. */
@Service
public class PaperMessages {

  /**
   * A letter that has not left.
   *
   * @param address as it is stored
   * @param recipient the name above the address
   * @param frozen what its texts ask for, as it was at release
   */
  public record Waiting(
      MessageId id,
      PersonId personId,
      String address,
      String recipient,
      String token,
      String frozen) {}

  private static final MessageMove POSTED =
      MessageMove.of(MessageState.TO_DEPART, MessageState.SENT);

  private final OutboxMapper mapper;

  PaperMessages(OutboxMapper mapper) {
    this.mapper = mapper;
  }

  /** Causes whose letters are not all posted, as far as a colleague may see them. */
  public List<Long> causes(long colleague) {
    return mapper.withLetters(colleague, Channel.byHand());
  }

  /** Withdraws the letters of those who have asked since not to be written to. */
  public void stopAsked(long causeId) {
    mapper.stopAsked(causeId, Channel.byHand(), MessageMove.STOP, Reach.ASKED_NOT.words());
  }

  /** The letters of a cause that may be printed now, by name. */
  public List<MessageId> toPrint(long causeId) {
    return mapper.toPrint(causeId, Channel.byHand());
  }

  /**
   * The same with all that they are written from, in no order; those that may no longer go left
   * out.
   */
  public List<Waiting> of(List<MessageId> messages) {
    return mapper.onPaper(messages.toArray(MessageId[]::new), Channel.byHand());
  }

  /** Notes that letters were posted; those that were withdrawn stay so. Returns how many. */
  public int posted(List<MessageId> messages, List<String> subjects, Instant at) {
    return mapper.posted(messages.toArray(MessageId[]::new), subjects, POSTED, at);
  }
}
