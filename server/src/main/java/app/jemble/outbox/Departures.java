package app.jemble.outbox;

import app.jemble.carrier.mail.Envelope;
import app.jemble.carrier.mail.MimeWriter;
import app.jemble.carrier.mail.OctetBuffer;
import app.jemble.core.message.Mailbox;
import app.jemble.core.message.MessageComposer;
import app.jemble.core.message.MessageMove;
import app.jemble.core.message.MessageState;
import app.jemble.core.message.OutgoingMessage;
import app.jemble.core.message.ThreadPlace;
import app.jemble.settings.JembleSettings;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * What the database is told of hand-overs: which begin, with the messages kept as they will leave,
 * and how they ended. Each act is one transaction.
 */
@Service
class Departures {

  private static final Logger LOG = LoggerFactory.getLogger(Departures.class);

  /** Messages with large files are begun by fewer at once, to keep within memory. */
  private static final int MOST_OCTETS = 16 << 20;

  /** A message ready to be given away. */
  record Ready(HandoverMapper.Claimed message, byte[] mime, OutgoingMessage outgoing) {

    Envelope envelope() {
      return new Envelope(outgoing.returnAddress(), message.address());
    }
  }

  private final HandoverMapper mapper;
  private final DueQueue due;
  private final CapGuard caps;
  private final StayGuard stays;
  private final SharedTexts texts;
  private final AfterRefusal refusals;
  private final JembleSettings settings;
  private final Clock clock;

  /** What was last wrong with the mail server; null when that is not known. */
  private volatile String lastTrouble;

  private boolean anyDue;
  private long askedAt = Long.MIN_VALUE / 2;

  Departures(
      HandoverMapper mapper,
      DueQueue due,
      CapGuard caps,
      StayGuard stays,
      SharedTexts texts,
      AfterRefusal refusals,
      JembleSettings settings,
      Clock clock) {
    this.mapper = mapper;
    this.due = due;
    this.caps = caps;
    this.stays = stays;
    this.texts = texts;
    this.refusals = refusals;
    this.settings = settings;
    this.clock = clock;
  }

  /** One worker asks for all of this process: while much is written it costs the database time. */
  synchronized boolean anyDue() {
    long now = System.nanoTime();
    if (now - askedAt >= settings.outbox().pollEvery().toNanos()) {
      anyDue = mapper.anyDue(clock.instant());
      askedAt = now;
    }
    return anyDue;
  }

  /** It takes messages, or says what is wrong with one. */
  void serverAnswers() {
    if (!"".equals(lastTrouble)) {
      lastTrouble = "";
      mapper.noteServer("", clock.instant());
    }
  }

  /** The mail server cannot be reached, or does not let us in. */
  void serverFails(String said) {
    String words = settings.smtp().host() + ":" + settings.smtp().port() + ": " + said;
    if (!words.equals(lastTrouble)) {
      LOG.warn("The mail server cannot be used: {}", words);
      lastTrouble = words;
    }
    mapper.noteServer(words, clock.instant());
  }

  /**
   * Notes how a worker's hand-overs ended and begins the next: due messages are written, kept, and
   * marked as being handed over. Those that must not leave any more, or cannot, are not among them.
   */
  @Transactional
  List<Ready> step(String worker, List<Ended> ends, int most) {
    end(worker, ends);
    Instant now = clock.instant();
    List<Ready> ready = new ArrayList<>();
    int octets = 0;
    List<HandoverMapper.Claimed> claimed = withinCaps(withoutStopped(due.claim(now, most)), now);
    for (HandoverMapper.Claimed message : claimed) {
      if (octets < MOST_OCTETS) {
        Ready written = write(message, now);
        if (written != null) {
          ready.add(written);
          octets += written.mime().length;
        }
      }
    }
    begin(worker, ready, now);
    return ready;
  }

  private List<HandoverMapper.Claimed> withoutStopped(List<HandoverMapper.Claimed> claimed) {
    Map<Long, String> stopped = stays.stopped(claimed);
    stopped.forEach((id, reason) -> mapper.move(id, MessageMove.STOP, reason));
    return stopped.isEmpty()
        ? claimed
        : claimed.stream().filter(message -> !stopped.containsKey(message.id())).toList();
  }

  private List<HandoverMapper.Claimed> withinCaps(
      List<HandoverMapper.Claimed> claimed, Instant now) {
    Map<Long, String> over = caps.over(claimed, now);
    if (over.isEmpty()) {
      return claimed;
    }
    mapper.holdOver(
        over.keySet().toArray(Long[]::new),
        over.values().toArray(String[]::new),
        MessageMove.HOLD.to());
    return claimed.stream().filter(message -> !over.containsKey(message.id())).toList();
  }

  /**
   * Notes how hand-overs ended; all else that the worker seems to have in hand never began. For a
   * worker that has nothing in hand any more, and is not sure what of its last step was noted.
   */
  @Transactional
  void settle(String worker, List<Ended> ends) {
    Set<Long> told = ends.stream().map(Ended::id).collect(Collectors.toSet());
    List<Ended> all = new ArrayList<>(ends);
    mapper.inHand(worker).stream()
        .filter(m -> !told.contains(m.id()))
        .forEach(m -> all.add(Ended.notBegun(m.id(), m.tries() - 1, "", null)));
    end(worker, all);
  }

  /** Notes what a journal tells of the messages of a worker that is gone. */
  @Transactional
  void settleAbandoned(String worker, List<Ended> ends) {
    end(worker, ends);
  }

  /** Why a follow-up must not leave at this instant: what happened since it was taken up. */
  Optional<String> stopped(HandoverMapper.Claimed message) {
    return message.isFollowUp()
        ? Optional.ofNullable(stays.stopped(List.of(message)).get(message.id()))
        : Optional.empty();
  }

  private void end(String worker, List<Ended> ends) {
    if (!ends.isEmpty()) {
      mapper.giveAll(worker);
      mapper.end(
          worker,
          new HandoverMapper.Ends(
              column(ends, Ended::id).toArray(Long[]::new),
              column(ends, e -> (long) e.tries()).toArray(Long[]::new),
              column(ends, e -> e.state().stored()),
              column(ends, Ended::reason),
              ends.stream().map(e -> millis(e.due())).toArray(Long[]::new),
              ends.stream().map(e -> millis(e.sentAt())).toArray(Long[]::new)));
      ends.stream()
          .filter(e -> e.state() == MessageState.REFUSED)
          .forEach(e -> refusals.refused(e.id(), e.reason()));
    }
  }

  private static Long millis(Instant instant) {
    return instant == null ? null : instant.toEpochMilli();
  }

  private void begin(String worker, List<Ready> ready, Instant now) {
    if (ready.isEmpty()) {
      return;
    }
    Long[] ids = ready.stream().map(r -> r.message().id()).toArray(Long[]::new);
    Copies copies = new Copies(ready.stream().mapToInt(r -> r.mime().length).sum());
    Long[] places = ready.stream().map(copies::add).toArray(Long[]::new);
    long copiesId = mapper.nextCopies();
    if (!copies.isEmpty()) {
      mapper.keepCopies(copiesId, copies.octets(), copies.ends());
    }
    mapper.begin(
        worker,
        now,
        new HandoverMapper.Beginnings(
            ids,
            column(ready, r -> r.outgoing().subject()),
            column(ready, r -> String.join("\n", r.outgoing().links())),
            copiesId,
            places));
    mapper.take(worker, ids, now.plus(settings.outbox().lease()));
  }

  /** Messages one after another, as they are kept. */
  private static final class Copies {
    private final OctetBuffer octets;
    private final List<Long> ends = new ArrayList<>();

    Copies(int likely) {
      octets = new OctetBuffer(likely);
    }

    /** Answers its place from 1 on, or 0 when it is kept already. */
    long add(Ready ready) {
      if (ready.message().isKept()) {
        return 0;
      }
      octets.add(ready.mime());
      ends.add((long) octets.length());
      return ends.size();
    }

    boolean isEmpty() {
      return ends.isEmpty();
    }

    byte[] octets() {
      return octets.toOctets();
    }

    Long[] ends() {
      return ends.toArray(Long[]::new);
    }
  }

  /** Null when it cannot be written: then it is refused, and no other has to wait for it. */
  private Ready write(HandoverMapper.Claimed message, Instant now) {
    try {
      OutgoingMessage outgoing = compose(message, now);
      byte[] mime =
          message.isKept() ? mapper.kept(message.id()).mime() : MimeWriter.write(outgoing);
      return new Ready(message, mime, outgoing);
    } catch (RuntimeException broken) {
      LOG.error("Message {} cannot be written.", message.id(), broken);
      mapper.move(
          message.id(),
          MessageMove.REFUSE,
          "the message could not be written: " + broken.getMessage());
      return null;
    }
  }

  private OutgoingMessage compose(HandoverMapper.Claimed message, Instant now) {
    SharedTexts.Ready ready = texts.ready(message.causeId(), message.personId(), message.frozen());
    ThreadPlace place = new ThreadPlace(message.inReplyTo(), message.referenceIds());
    return MessageComposer.compose(
            ready.shared(),
            new MessageComposer.Own(
                new Mailbox(message.recipient(), message.address()),
                ready.values(),
                ready.language(),
                now,
                message.token(),
                place))
        .message();
  }

  private static <T, R> List<R> column(List<T> rows, Function<T, R> value) {
    return rows.stream().map(value).toList();
  }
}
