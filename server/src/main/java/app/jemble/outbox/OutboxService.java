package app.jemble.outbox;

import app.jemble.outbox.OutboxMapper.Columns;
import app.jemble.outbox.OutboxMapper.ThreadRow;
import app.jemble.workspace.Problem;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** What other subjects ask of the outbox. All of it takes part in the caller's transaction. */
@Service
public class OutboxService {

  /** The last message of a thread with a person. */
  public record ThreadEnd(long messageId, String token, List<String> referenceIds) {}

  private final OutboxMapper mapper;

  OutboxService(OutboxMapper mapper) {
    this.mapper = mapper;
  }

  /** Puts messages in the outbox, due at one instant. */
  public void enqueue(long mailingId, Instant due, List<NewMessage> messages) {
    if (messages.isEmpty()) {
      return;
    }
    mapper.add(
        mailingId,
        due,
        new Columns(
            column(messages, NewMessage::personId).toArray(Long[]::new),
            column(messages, NewMessage::address),
            column(messages, NewMessage::recipient),
            column(messages, NewMessage::token),
            column(messages, NewMessage::frozen),
            messages.stream().map(NewMessage::followsId).toArray(Long[]::new),
            column(messages, m -> m.thread().inReplyTo() == null ? "" : m.thread().inReplyTo()),
            column(messages, m -> String.join(" ", m.thread().references())),
            column(messages, NewMessage::recordId).toArray(Long[]::new)));
  }

  /** Takes a held mailing's messages out again; a problem when one has begun to leave. */
  public void removeHeld(long mailingId) {
    mapper.removeWaiting(mailingId);
    if (mapper.count(mailingId) > 0) {
      throw Problem.conflict("The first messages have begun to leave; withdraw the rest instead.");
    }
  }

  /** Withdraws what has not left; returns how many messages. */
  public int withdrawRest(long mailingId) {
    return mapper.withdrawRest(mailingId);
  }

  /** Whom something was sent to since an instant. */
  public Set<Long> writtenSince(Instant since) {
    return Set.copyOf(mapper.writtenSince(since));
  }

  /** Who has a message waiting that is not of this mailing. */
  public Set<Long> waitingElsewhere(long mailingId) {
    return Set.copyOf(mapper.waitingElsewhere(mailingId));
  }

  /** By person, where the thread of a sent mailing ends. */
  public Map<Long, ThreadEnd> threadEnds(long mailingId) {
    return mapper.threadEnds(mailingId).stream()
        .collect(
            Collectors.toMap(
                ThreadRow::personId,
                t -> new ThreadEnd(t.messageId(), t.token(), t.referenceIds()),
                (one, other) -> one.messageId() > other.messageId() ? one : other));
  }

  private static <T> List<T> column(List<NewMessage> messages, Function<NewMessage, T> value) {
    return messages.stream().map(value).toList();
  }
}
