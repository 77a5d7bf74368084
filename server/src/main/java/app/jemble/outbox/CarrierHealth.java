package app.jemble.outbox;

import app.jemble.carrier.Carrier;
import app.jemble.core.reach.Channel;
import java.time.Clock;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Notes for all to see whether each carrier can be used. */
@Component
class CarrierHealth {

  private static final Logger LOG = LoggerFactory.getLogger(CarrierHealth.class);
  private static final String NONE = "";

  private final HandoverMapper mapper;
  private final Clock clock;

  /** What was last wrong with each; nothing where that is not known. */
  private final Map<Channel, String> lastTrouble = new ConcurrentHashMap<>();

  CarrierHealth(HandoverMapper mapper, Clock clock) {
    this.mapper = mapper;
    this.clock = clock;
  }

  /** It takes messages, or says what is wrong with one. */
  void answers(Carrier carrier) {
    if (!NONE.equals(lastTrouble.get(carrier.channel()))) {
      lastTrouble.put(carrier.channel(), NONE);
      mapper.noteCarrier(carrier.channel(), NONE, clock.instant());
    }
  }

  /** It cannot be reached, or does not let us in. */
  void fails(Carrier carrier, String said) {
    String words = carrier.where() + ": " + said;
    if (!words.equals(lastTrouble.put(carrier.channel(), words))) {
      LOG.warn("A carrier cannot be used: {}", words);
    }
    mapper.noteCarrier(carrier.channel(), words, clock.instant());
  }
}
