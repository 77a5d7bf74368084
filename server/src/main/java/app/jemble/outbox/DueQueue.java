package app.jemble.outbox;

import app.jemble.core.reach.Channel;
import app.jemble.settings.JembleSettings;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;

/**
 * Where this process is in the order of due messages of each channel. Its workers go on from there,
 * instead of passing over what the others have in hand; from time to time, and at the end, they
 * begin anew, for what became due again in between.
 */
@Component
class DueQueue {

  private static final long BEGIN_ANEW_NANOS = 1_000_000_000;

  private final HandoverMapper mapper;
  private final JembleSettings.Outbox settings;
  private final Clock clock;
  private final Map<Channel, Way> ways = new ConcurrentHashMap<>();

  DueQueue(HandoverMapper mapper, JembleSettings settings, Clock clock) {
    this.mapper = mapper;
    this.settings = settings.outbox();
    this.clock = clock;
  }

  /** Due messages, locked until the caller's transaction ends; empty when there are no more. */
  List<HandoverMapper.Claimed> claim(Channel channel, Instant now, int most) {
    return way(channel).claim(now, most);
  }

  /** One worker asks for all of this process: while much is written it costs the database time. */
  boolean anyDue(Channel channel) {
    return way(channel).anyDue();
  }

  private Way way(Channel channel) {
    return ways.computeIfAbsent(channel, Way::new);
  }

  private final class Way {
    private final Channel channel;
    private DuePlace place = DuePlace.START;
    private long begunAt = System.nanoTime();

    /**
     * Not the lock of the place: whoever waits for that one has a connection, and whoever asks
     * waits for one.
     */
    private final Object asking = new Object();

    private boolean anyDue;
    private long askedAt = Long.MIN_VALUE / 2;

    private Way(Channel channel) {
      this.channel = channel;
    }

    private boolean anyDue() {
      synchronized (asking) {
        long now = System.nanoTime();
        if (now - askedAt >= settings.pollEvery().toNanos()) {
          anyDue = mapper.anyDue(channel, clock.instant());
          askedAt = now;
        }
        return anyDue;
      }
    }

    private List<HandoverMapper.Claimed> claim(Instant now, int most) {
      DuePlace from = from();
      List<HandoverMapper.Claimed> claimed = mapper.claim(channel, now, most, from);
      if (claimed.isEmpty() && !from.equals(DuePlace.START)) {
        claimed = mapper.claim(channel, now, most, DuePlace.START);
      }
      goOn(claimed, most);
      return claimed;
    }

    private synchronized DuePlace from() {
      if (System.nanoTime() - begunAt > BEGIN_ANEW_NANOS) {
        place = DuePlace.START;
        begunAt = System.nanoTime();
      }
      return place;
    }

    private synchronized void goOn(List<HandoverMapper.Claimed> claimed, int most) {
      if (claimed.size() < most) {
        place = DuePlace.START;
      } else {
        HandoverMapper.Claimed last = claimed.get(claimed.size() - 1);
        place = new DuePlace(last.dueAt(), last.id());
      }
    }
  }
}
