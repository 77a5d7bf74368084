package app.jemble.watch;

import app.jemble.core.message.MessageState;
import app.jemble.core.reach.Channel;
import app.jemble.watch.WatchMapper.Standing;
import io.micrometer.core.instrument.Gauge;
import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.binder.MeterBinder;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;

/**
 * How the outbox stands, in numbers that say nothing of anybody: what has not been sent by way and
 * state, how late the latest is, which way is in trouble. Looked up when it is asked for, at most
 * every five seconds. Not a number while the database is away.
 */
@Component
class HouseMetrics implements MeterBinder {

  private static final Logger LOG = LoggerFactory.getLogger(HouseMetrics.class);
  private static final Duration FRESH = Duration.ofSeconds(5);
  private static final Set<MessageState> SHOWN =
      EnumSet.complementOf(EnumSet.of(MessageState.SENT));

  /** As it was at one look. */
  private record Look(List<Standing> notSent, double lateSeconds, List<Channel> inTrouble) {

    double count(Channel channel, MessageState state) {
      return notSent.stream()
          .filter(s -> s.channel() == channel && s.state() == state)
          .mapToLong(Standing::messages)
          .sum();
    }
  }

  private final WatchMapper mapper;
  private final Clock clock;
  private Optional<Look> last = Optional.empty();
  private boolean looked;
  private long lookedAt;

  HouseMetrics(WatchMapper mapper, Clock clock) {
    this.mapper = mapper;
    this.clock = clock;
  }

  @Override
  public void bindTo(MeterRegistry registry) {
    for (Channel channel : Channel.values()) {
      for (MessageState state : SHOWN) {
        Gauge.builder("jemble.messages", this, looked(look -> look.count(channel, state)))
            .description("Messages that have not been sent")
            .tag("channel", channel.name().toLowerCase(Locale.ROOT))
            .tag("state", state.name().toLowerCase(Locale.ROOT))
            .register(registry);
      }
      Gauge.builder(
              "jemble.carrier.trouble",
              this,
              looked(look -> look.inTrouble().contains(channel) ? 1 : 0))
          .description("1 while the last try on this way failed")
          .tag("channel", channel.name().toLowerCase(Locale.ROOT))
          .register(registry);
    }
    Gauge.builder("jemble.outbox.late", this, looked(Look::lateSeconds))
        .description("How long ago the message was due that should have left first")
        .baseUnit("seconds")
        .register(registry);
  }

  private static ToDoubleFunction<HouseMetrics> looked(ToDoubleFunction<Look> value) {
    return house -> house.look().map(value::applyAsDouble).orElse(Double.NaN);
  }

  /**
   * Empty while the database is away; that too is fresh for a while, since finding out takes long.
   */
  private synchronized Optional<Look> look() {
    if (looked && System.nanoTime() - lookedAt < FRESH.toNanos()) {
      return last;
    }
    try {
      Instant now = clock.instant();
      Instant due = mapper.longestDue(now, Channel.byHand());
      double late = due == null ? 0 : Duration.between(due, now).toMillis() / 1000.0;
      last = Optional.of(new Look(mapper.notSent(), late, mapper.inTrouble()));
    } catch (DataAccessException away) {
      LOG.warn("How the outbox stands could not be looked up: {}", away.getMessage());
      last = Optional.empty();
    }
    looked = true;
    lookedAt = System.nanoTime();
    return last;
  }
}
