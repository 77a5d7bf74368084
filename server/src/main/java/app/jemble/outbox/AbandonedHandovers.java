package app.jemble.outbox;

import app.jemble.backup.MayHaveLeft;
import app.jemble.core.message.MessageMove;
import app.jemble.core.message.MessageState;
import app.jemble.core.reach.Channel;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/**
 * Looks after hand-overs whose process is gone. What its journal tells on this machine's disk is
 * noted; a message whose hand-over had begun, or of which nothing is told, is in doubt.
 */
@Service
class AbandonedHandovers implements MayHaveLeft {

  private static final Logger LOG = LoggerFactory.getLogger(AbandonedHandovers.class);

  private static final String STOPPED =
      "the process stopped while the message was being handed over";

  private static final String RESTORED =
      "it may have left after the backup was made of which the house was restored";

  /** The database may still be at work on what a killed process said last. */
  private static final Duration KEPT = Duration.ofMinutes(1);

  private final HandoverMapper mapper;
  private final Departures departures;
  private final JournalFolder journals;
  private final Clock clock;
  private final Map<Path, Long> firstSeen = new HashMap<>();

  AbandonedHandovers(
      HandoverMapper mapper, Departures departures, JournalFolder journals, Clock clock) {
    this.mapper = mapper;
    this.departures = departures;
    this.journals = journals;
    this.clock = clock;
  }

  /** Looks once; what fails is tried at the next look. */
  void look() {
    try {
      if (journals.folder().isPresent()) {
        for (HandoverJournal.Abandoned journal :
            HandoverJournal.abandoned(journals.folder().get())) {
          settle(journal);
        }
      }
      int abandoned = mapper.doubtAbandoned(clock.instant(), MessageMove.DOUBT.to(), STOPPED);
      if (abandoned > 0) {
        LOG.warn("{} messages are in doubt: their process stopped.", abandoned);
      }
    } catch (IOException | RuntimeException trouble) {
      LOG.warn("Abandoned hand-overs are looked at again in a moment: {}", trouble.toString());
    }
  }

  @Override
  public int doubtDueUntil(Instant until) {
    String[] byHand =
        Arrays.stream(Channel.values())
            .filter(Channel::isByHand)
            .map(Channel::name)
            .toArray(String[]::new);
    return mapper.doubtDueUntil(until, byHand, MessageMove.DOUBT.to(), RESTORED);
  }

  private void settle(HandoverJournal.Abandoned journal) throws IOException {
    List<Ended> ends = new ArrayList<>();
    for (HandoverMapper.InHand message : mapper.inHand(journal.worker())) {
      journal
          .fate(message.id(), message.tries())
          .ifPresentOrElse(
              ends::add,
              () -> {
                if (message.state() != MessageState.IN_DOUBT) {
                  ends.add(
                      new Ended(
                          message.id(),
                          message.tries(),
                          MessageState.IN_DOUBT,
                          STOPPED,
                          null,
                          null));
                }
              });
    }
    departures.settleAbandoned(journal.worker(), ends);
    if (!ends.isEmpty()) {
      LOG.warn("{} hand-overs of a process that stopped are settled.", ends.size());
    }
    long seen = firstSeen.computeIfAbsent(journal.file(), file -> System.nanoTime());
    if (ends.isEmpty() && System.nanoTime() - seen > KEPT.toNanos()) {
      Files.deleteIfExists(journal.file());
      firstSeen.remove(journal.file());
    }
  }
}
