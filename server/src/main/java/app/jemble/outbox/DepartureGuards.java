package app.jemble.outbox;

import app.jemble.core.message.MessageId;
import app.jemble.core.message.MessageMove;
import app.jemble.core.reach.Address;
import app.jemble.departure.OtherWay;
import app.jemble.departure.QuietTimes;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/**
 * What is asked of every message right before it leaves, and what becomes of those that may not: an
 * end, another way, a later hour, or another day. In the caller's transaction.
 */
@Component
class DepartureGuards {

  private static final String QUIET = "it is night where its reader is";

  private final HandoverMapper mapper;
  private final StayGuard stays;
  private final OtherWay otherWay;
  private final QuietTimes quiet;
  private final CapGuard caps;

  DepartureGuards(
      HandoverMapper mapper, StayGuard stays, OtherWay otherWay, QuietTimes quiet, CapGuard caps) {
    this.mapper = mapper;
    this.stays = stays;
    this.otherWay = otherWay;
    this.quiet = quiet;
    this.caps = caps;
  }

  /** Those of the messages that may leave now. */
  List<HandoverMapper.Claimed> passed(List<HandoverMapper.Claimed> claimed, Instant now) {
    return withinCaps(awake(staying(claimed), now), now);
  }

  private List<HandoverMapper.Claimed> staying(List<HandoverMapper.Claimed> claimed) {
    Map<MessageId, StayGuard.Stop> stopped = stays.stopped(claimed);
    if (stopped.isEmpty()) {
      return claimed;
    }
    List<Elsewhere> elsewhere = new ArrayList<>();
    for (HandoverMapper.Claimed message : claimed) {
      StayGuard.Stop stop = stopped.get(message.id());
      if (stop != null) {
        elsewhere(message, stop)
            .ifPresentOrElse(
                elsewhere::add, () -> mapper.move(message.id(), MessageMove.STOP, stop.reason()));
      }
    }
    goElsewhere(elsewhere);
    return without(claimed, stopped.keySet());
  }

  /** A message that goes another way. */
  private record Elsewhere(MessageId id, Address to, String reason) {}

  private Optional<Elsewhere> elsewhere(HandoverMapper.Claimed message, StayGuard.Stop stop) {
    return stop.shut() == null
        ? Optional.empty()
        : otherWay
            .after(stop.shut(), message.causeId(), message.personId())
            .map(to -> new Elsewhere(message.id(), to, stop.reason()));
  }

  private void goElsewhere(List<Elsewhere> messages) {
    if (!messages.isEmpty()) {
      mapper.goOtherWay(
          messages.stream().map(Elsewhere::id).toArray(MessageId[]::new),
          messages.stream().map(m -> m.to().channel().name()).toList(),
          messages.stream().map(m -> m.to().stored()).toList(),
          messages.stream().map(Elsewhere::reason).toList());
    }
  }

  private List<HandoverMapper.Claimed> awake(List<HandoverMapper.Claimed> claimed, Instant now) {
    Map<MessageId, Instant> later =
        quiet.until(
            claimed.stream()
                .map(m -> new QuietTimes.Due(m.id(), m.personId(), m.channel()))
                .toList(),
            now);
    if (later.isEmpty()) {
      return claimed;
    }
    Map<MessageId, Instant> inOrder = new LinkedHashMap<>(later);
    mapper.dueLater(
        inOrder.keySet().toArray(MessageId[]::new),
        inOrder.values().stream().map(Instant::toEpochMilli).toArray(Long[]::new),
        QUIET);
    return without(claimed, inOrder.keySet());
  }

  private List<HandoverMapper.Claimed> withinCaps(
      List<HandoverMapper.Claimed> claimed, Instant now) {
    Map<MessageId, String> over = caps.over(claimed, now);
    if (over.isEmpty()) {
      return claimed;
    }
    mapper.holdOver(
        over.keySet().toArray(MessageId[]::new),
        over.values().toArray(String[]::new),
        MessageMove.HOLD.to());
    return without(claimed, over.keySet());
  }

  private static List<HandoverMapper.Claimed> without(
      List<HandoverMapper.Claimed> claimed, Set<MessageId> some) {
    return claimed.stream().filter(message -> !some.contains(message.id())).toList();
  }

  /**
   * What becomes of a message that comes after another and must not leave at this instant: what
   * happened since it was taken up. One whose way has closed waits for another look.
   */
  Optional<Ended> stopped(HandoverMapper.Claimed message) {
    if (!message.comesAfter()) {
      return Optional.empty();
    }
    return Optional.ofNullable(stays.stopped(List.of(message)).get(message.id()))
        .map(
            stop ->
                elsewhere(message, stop).isPresent()
                    ? Ended.notBegun(message, stop.reason(), null)
                    : Ended.stopped(message, stop.reason()));
  }
}
