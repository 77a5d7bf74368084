package app.jemble.carrier.text;

import app.jemble.carrier.UnreachableException;
import jakarta.annotation.PreDestroy;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Keeps the session with the message centre open while nothing leaves: receipts and answers come by
 * it.
 */
@Component
class TextListening {

  private static final Logger LOG = LoggerFactory.getLogger(TextListening.class);
  private static final int SECONDS_BETWEEN_LOOKS = 3;

  private final TextCarrier carrier;
  private final ScheduledExecutorService looks =
      Executors.newSingleThreadScheduledExecutor(work -> new Thread(work, "text-listening"));

  TextListening(TextCarrier carrier) {
    this.carrier = carrier;
  }

  @EventListener(ApplicationReadyEvent.class)
  void start() {
    looks.scheduleWithFixedDelay(this::look, 0, SECONDS_BETWEEN_LOOKS, TimeUnit.SECONDS);
  }

  private void look() {
    try {
      carrier.listen();
    } catch (UnreachableException | RuntimeException away) {
      LOG.debug("The text service is asked again in a moment: {}", away.toString());
    }
  }

  @PreDestroy
  void stop() {
    looks.shutdownNow();
  }
}
