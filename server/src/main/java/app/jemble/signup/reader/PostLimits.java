package app.jemble.signup.reader;

import app.jemble.core.signup.PostLimit;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import org.springframework.stereotype.Component;

/** Counts the posts of a minute, all processes together. */
@Component
class PostLimits {

  private final PostLimitMapper mapper;
  private final Clock clock;

  PostLimits(PostLimitMapper mapper, Clock clock) {
    this.mapper = mapper;
    this.clock = clock;
  }

  /** Whether one more is taken from a network address in this minute. */
  boolean isTaken(String address) {
    Instant minute = clock.instant().truncatedTo(ChronoUnit.MINUTES);
    return mapper.count(address, minute) <= PostLimit.OF_ADDRESS
        && mapper.count("net " + PostLimit.network(address), minute) <= PostLimit.OF_NETWORK;
  }

  void forget() {
    mapper.forget(clock.instant().minus(10, ChronoUnit.MINUTES));
  }
}
