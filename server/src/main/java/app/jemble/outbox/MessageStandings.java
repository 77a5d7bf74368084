package app.jemble.outbox;

import app.jemble.core.message.MessageId;
import app.jemble.core.message.MessageMove;
import app.jemble.core.response.Signs;
import app.jemble.core.response.Standing;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;

/**
 * Where messages stand by what came back. What came back is evidence that a message in doubt
 * arrived: it counts as sent.
 */
@Service
public class MessageStandings {

  /**
   * Where a message stands, and whether a person has opened it.
   *
   * @param opened true notes it; false leaves it as it is
   */
  public record Stands(Standing standing, boolean opened) {}

  private final StandingMapper mapper;

  MessageStandings(StandingMapper mapper) {
    this.mapper = mapper;
  }

  /** Keeps two responses to one message from being judged at once. */
  public void lock(MessageId message) {
    mapper.lock(message);
  }

  /** The same of many; in their order, so that two processes do not wait for each other. */
  public void lockAll(MessageId[] messages) {
    mapper.lockAll(messages);
  }

  public void stand(MessageId message, Standing standing) {
    mapper.stand(message, standing.name(), MessageMove.ARRIVED);
  }

  public void standAll(Map<MessageId, Stands> messages) {
    List<Stands> stands = List.copyOf(messages.values());
    mapper.standAll(
        messages.keySet().toArray(MessageId[]::new),
        stands.stream().map(s -> s.standing().name()).toList(),
        stands.stream().map(s -> s.opened() ? 1L : 0L).toArray(Long[]::new),
        MessageMove.ARRIVED);
  }

  /** All signs anew, after something that came back was read anew. */
  public void sign(MessageId message, Signs signs) {
    mapper.sign(message, signs);
  }
}
