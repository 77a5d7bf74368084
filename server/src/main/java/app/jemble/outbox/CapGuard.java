package app.jemble.outbox;

import app.jemble.sending.SendingService;
import app.jemble.sending.SendingService.CapToday;
import app.jemble.workspace.WorkspaceService;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/**
 * Asks at the hand-over whether daily caps still let a message leave today. Plans keep to the caps;
 * but after an outage those of several days are due on one.
 */
@Service
class CapGuard {

  /** While more than this are left of every cap, nobody counts exactly. */
  private static final long AMPLE = 10_000;

  private static final long AMPLE_FOR_NANOS = 1_000_000_000;

  private final OutboxMapper mapper;
  private final SendingService sending;
  private final WorkspaceService workspace;
  private long ampleSince = Long.MIN_VALUE / 2;

  CapGuard(OutboxMapper mapper, SendingService sending, WorkspaceService workspace) {
    this.mapper = mapper;
    this.sending = sending;
    this.workspace = workspace;
  }

  /**
   * Those of the messages that would be over a cap if all before them left, with the reason. In the
   * caller's transaction: where a cap is nearly used up, workers of all processes count one after
   * another.
   */
  Map<Long, String> over(List<OutboxMapper.Claimed> claimed, Instant now) {
    if (claimed.isEmpty() || isAmple()) {
      return Map.of();
    }
    List<CapToday> caps = sending.capsToday();
    if (!caps.isEmpty()) {
      mapper.countAlone();
    }
    Map<Long, Long> left = caps.isEmpty() ? Map.of() : left(caps, now);
    if (left.values().stream().allMatch(n -> n > AMPLE)) {
      foundAmple();
      return Map.of();
    }
    return over(claimed, caps, left);
  }

  private Map<Long, String> over(
      List<OutboxMapper.Claimed> claimed, List<CapToday> caps, Map<Long, Long> left) {
    Map<Long, Long> senders = new HashMap<>();
    mapper
        .senders(claimed.stream().map(OutboxMapper.Claimed::mailingId).toArray(Long[]::new))
        .forEach(s -> senders.put(s.mailingId(), s.senderId()));
    Map<Long, String> over = new LinkedHashMap<>();
    for (OutboxMapper.Claimed message : claimed) {
      long sender = senders.get(message.mailingId());
      List<CapToday> binding = caps.stream().filter(c -> c.binds(sender)).toList();
      Optional<CapToday> full = binding.stream().filter(c -> left.get(c.id()) <= 0).findFirst();
      if (full.isPresent()) {
        over.put(message.id(), full.get().words());
      } else {
        binding.forEach(c -> left.merge(c.id(), -1L, Long::sum));
      }
    }
    return over;
  }

  /** By cap, how many more may leave on the workspace's day. */
  private Map<Long, Long> left(List<CapToday> caps, Instant now) {
    ZoneId house = workspace.current().zoneId();
    Instant today = LocalDate.ofInstant(now, house).atStartOfDay(house).toInstant();
    List<OutboxMapper.LeftToday> gone = mapper.leftToday(today);
    Map<Long, Long> left = new HashMap<>();
    for (CapToday cap : caps) {
      long used =
          gone.stream()
              .filter(g -> cap.binds(g.senderId()))
              .mapToLong(OutboxMapper.LeftToday::messages)
              .sum();
      left.put(cap.id(), cap.most() - used);
    }
    return left;
  }

  private synchronized boolean isAmple() {
    return System.nanoTime() - ampleSince < AMPLE_FOR_NANOS;
  }

  private synchronized void foundAmple() {
    ampleSince = System.nanoTime();
  }
}
