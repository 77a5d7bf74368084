package app.jemble.outbox;

import app.jemble.core.message.MessageId;
import app.jemble.core.message.MessageMove;
import app.jemble.core.message.MessageState;
import app.jemble.core.reach.Channel;
import app.jemble.core.record.PersonId;
import app.jemble.outbox.OutboxMapper.ThreadRow;
import app.jemble.problem.Problem;
import app.jemble.sending.SendingService;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BinaryOperator;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** What other subjects ask of the outbox. All of it takes part in the caller's transaction. */
@Service
public class OutboxService {

  /**
   * A message that another can follow.
   *
   * @param threadId the first message of its thread
   */
  public record ThreadEnd(
      MessageId messageId, MessageId threadId, String token, List<String> referenceIds) {}

  /**
   * A message that has not left.
   *
   * @param timeZone where its person is, or null
   */
  public record Waiting(MessageId id, String timeZone, Channel way) {}

  /** Messages of one hour of the workspace's clock: planned for it, and left in it. */
  public record HourCount(LocalDateTime hour, long planned, long sent) {}

  /** What was never tried. */
  private static final Set<MessageState> NOT_BEGUN =
      Set.of(MessageState.WAITING, MessageState.HELD);

  private final OutboxMapper mapper;
  private final NewMessages newMessages;
  private final Clock clock;

  OutboxService(OutboxMapper mapper, NewMessages newMessages, Clock clock) {
    this.mapper = mapper;
    this.newMessages = newMessages;
    this.clock = clock;
  }

  /** Puts messages in the outbox. */
  public void enqueue(long causeId, List<NewMessage> messages) {
    newMessages.write(causeId, messages);
  }

  /** Takes what is held of a cause out again; a problem when one has begun to leave. */
  public void removeHeld(long causeId) {
    mapper.remove(causeId, MessageState.stored(NOT_BEGUN));
    if (mapper.count(causeId) > 0) {
      throw Problem.conflict("The first messages have begun to leave; withdraw the rest instead.");
    }
  }

  /** Withdraws what has not left; returns how many messages. */
  public int withdrawRest(long causeId) {
    return mapper.move(causeId, MessageMove.WITHDRAW_REST, "withdrawn by hand");
  }

  /** Holds back what has not left; returns how many messages. */
  public int hold(long causeId, String reason) {
    return mapper.move(causeId, MessageMove.HOLD, reason);
  }

  /** What has not left of a cause, in the order in which it was to. */
  public List<Waiting> rest(long causeId) {
    return mapper.rest(causeId);
  }

  /** What was held back of a cause leaves now. */
  public void leaveNow(long causeId, Instant now) {
    List<Waiting> rest = rest(causeId);
    Long[] seconds = new Long[rest.size()];
    Arrays.fill(seconds, now.getEpochSecond());
    replan(rest.stream().map(Waiting::id).toArray(MessageId[]::new), seconds);
  }

  /** Lets messages leave at other instants, in whole seconds of the epoch. */
  public int replan(MessageId[] ids, Long[] dueSeconds) {
    return mapper.replan(
        ids,
        dueSeconds,
        MessageState.stored(MessageState.OPEN),
        MessageState.notBegun(0).stored(),
        MessageState.notBegun(1).stored());
  }

  /** What other causes hold of the days from today on, and what this one has sent today. */
  public SendingService.Taken taken(long causeId, long senderId, ZoneId zone) {
    Instant now = clock.instant();
    Instant today = LocalDate.ofInstant(now, zone).atStartOfDay(zone).toInstant();
    Map<LocalDate, Long> byAll = new HashMap<>();
    Map<LocalDate, Long> bySender = new HashMap<>();
    Map<Channel, Map<LocalDate, Long>> bySenderAndWay = new EnumMap<>(Channel.class);
    Map<Channel, Map<LocalDate, Long>> byWay = new EnumMap<>(Channel.class);
    for (OutboxMapper.DayTaken day :
        mapper.taken(causeId, senderId, zone.getId(), today, now, Channel.byHand())) {
      byAll.merge(day.day(), day.messages(), Long::sum);
      bySender.merge(day.day(), day.ofSender(), Long::sum);
      bySenderAndWay
          .computeIfAbsent(day.way(), way -> new HashMap<>())
          .merge(day.day(), day.ofSender(), Long::sum);
      byWay
          .computeIfAbsent(day.way(), way -> new HashMap<>())
          .merge(day.day(), day.messages(), Long::sum);
    }
    return new SendingService.Taken(bySender, bySenderAndWay, byAll, byWay);
  }

  /** Causes of which messages were held at the hand-over, since a daily cap was used up. */
  public List<Long> overCaps() {
    return mapper.overCaps(clock.instant());
  }

  /** How it goes, hour by hour: what was planned, what has left. */
  public List<HourCount> hours(long causeId, ZoneId zone) {
    return mapper.hours(causeId, zone.getId());
  }

  /** When the last message that waits is due; null when none does. */
  public Instant lastDue(long causeId) {
    return mapper.lastDue(causeId);
  }

  /** Whom something was sent to since an instant. */
  public Set<PersonId> writtenSince(Instant since) {
    return Set.copyOf(mapper.writtenSince(since));
  }

  /** By person, when messages are due that are not of this cause. */
  public Map<PersonId, List<Instant>> dueElsewhere(long causeId) {
    return mapper.dueElsewhere(causeId).stream()
        .collect(
            Collectors.groupingBy(
                OutboxMapper.DueElsewhere::personId,
                Collectors.mapping(OutboxMapper.DueElsewhere::due, Collectors.toList())));
  }

  /** By message, the last one that was sent in its thread. */
  public Map<MessageId, ThreadEnd> lastOfThreads(List<MessageId> messages) {
    return mapper.lastOfThreads(messages.toArray(MessageId[]::new)).stream()
        .collect(Collectors.toMap(OutboxMapper.ThreadLast::of, OutboxMapper.ThreadLast::end));
  }

  /** By message, the one that a cause has put in the outbox for its thread. */
  public Map<MessageId, MessageId> inThreads(long causeId, List<MessageId> messages) {
    return mapper.inThreads(causeId, messages.toArray(MessageId[]::new)).stream()
        .collect(
            Collectors.toMap(
                OutboxMapper.InThread::of,
                OutboxMapper.InThread::messageId,
                BinaryOperator.maxBy(Comparator.<MessageId>naturalOrder())));
  }

  /** By person, where the threads of a cause end. */
  public Map<PersonId, ThreadEnd> threadEnds(long causeId) {
    return mapper.threadEnds(causeId).stream()
        .collect(
            Collectors.toMap(
                ThreadRow::personId,
                ThreadRow::end,
                (one, other) -> one.messageId().compareTo(other.messageId()) > 0 ? one : other));
  }
}
