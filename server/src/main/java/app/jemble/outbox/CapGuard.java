package app.jemble.outbox;

import app.jemble.core.message.MessageId;
import app.jemble.core.pace.CapToday;
import app.jemble.sending.SendingService;
import app.jemble.workspace.WorkspaceService;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Service;

/**
 * Asks at the hand-over whether daily caps still let a message leave today. Plans keep to the caps;
 * but after an outage those of several days are due on one.
 */
@Service
class CapGuard {

  /** While more than this are left of a cap, nobody counts exactly. */
  private static final long AMPLE = 10_000;

  private static final long KNOWN_FOR_NANOS = 1_000_000_000;

  private final HandoverMapper mapper;
  private final SendingService sending;
  private final WorkspaceService workspace;
  private final Map<Long, Long> senders = new ConcurrentHashMap<>();

  /** By cap, when it was last found ample. */
  private final Map<Long, Long> ample = new ConcurrentHashMap<>();

  private List<CapToday> caps = List.of();
  private long capsReadAt = Long.MIN_VALUE / 2;

  CapGuard(HandoverMapper mapper, SendingService sending, WorkspaceService workspace) {
    this.mapper = mapper;
    this.sending = sending;
    this.workspace = workspace;
  }

  /**
   * Those of the messages that would be over a cap if all before them left, with the reason. In the
   * caller's transaction: where a cap is nearly used up, workers of all processes count one after
   * another.
   */
  Map<MessageId, String> over(List<HandoverMapper.Claimed> claimed, Instant now) {
    List<CapToday.Leaving> leaving =
        claimed.stream().map(m -> new CapToday.Leaving(sender(m), m.channel())).toList();
    List<CapToday> scarce =
        caps().stream()
            .filter(cap -> leaving.stream().anyMatch(cap::binds) && !isAmple(cap))
            .toList();
    if (scarce.isEmpty()) {
      return Map.of();
    }
    mapper.countAlone();
    Map<MessageId, String> over = new LinkedHashMap<>();
    CapToday.over(leaving, used(scarce, now))
        .forEach((place, cap) -> over.put(claimed.get(place).id(), cap.words()));
    return over;
  }

  /** How many messages count on the workspace's day. */
  private Map<CapToday, Long> used(List<CapToday> scarce, Instant now) {
    ZoneId house = workspace.current().zoneId();
    Instant today = LocalDate.ofInstant(now, house).atStartOfDay(house).toInstant();
    Map<CapToday, Long> used = new LinkedHashMap<>();
    for (CapToday cap : scarce) {
      long n = mapper.departedToday(today, cap.account(), cap.way());
      used.put(cap, n);
      if (cap.most() - n > AMPLE) {
        ample.put(cap.id(), System.nanoTime());
      }
    }
    return used;
  }

  private boolean isAmple(CapToday cap) {
    Long found = ample.get(cap.id());
    return found != null && System.nanoTime() - found < KNOWN_FOR_NANOS;
  }

  private synchronized List<CapToday> caps() {
    if (System.nanoTime() - capsReadAt > KNOWN_FOR_NANOS) {
      caps = sending.capsToday();
      capsReadAt = System.nanoTime();
    }
    return caps;
  }

  private long sender(HandoverMapper.Claimed message) {
    return senders.computeIfAbsent(message.causeId(), mapper::sender);
  }
}
