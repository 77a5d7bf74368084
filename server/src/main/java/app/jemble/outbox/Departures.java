package app.jemble.outbox;

import app.jemble.backup.RestoredHouse;
import app.jemble.carrier.Carrier;
import app.jemble.carrier.OctetBuffer;
import app.jemble.carrier.Parcel;
import app.jemble.core.message.MessageId;
import app.jemble.core.message.MessageMove;
import app.jemble.core.message.MessageState;
import app.jemble.core.message.Outgoing;
import app.jemble.departure.AfterRefusal;
import app.jemble.departure.OutgoingTexts;
import app.jemble.settings.JembleSettings;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
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
  record Ready(HandoverMapper.Claimed message, Outgoing outgoing, Parcel parcel) {
    byte[] octets() {
      return parcel.octets();
    }
  }

  private final HandoverMapper mapper;
  private final DueQueue due;
  private final DepartureGuards guards;
  private final RestoredHouse restored;
  private final OutgoingTexts texts;
  private final AfterRefusal refusals;
  private final JembleSettings settings;
  private final Clock clock;

  Departures(
      HandoverMapper mapper,
      DueQueue due,
      DepartureGuards guards,
      RestoredHouse restored,
      OutgoingTexts texts,
      AfterRefusal refusals,
      JembleSettings settings,
      Clock clock) {
    this.mapper = mapper;
    this.due = due;
    this.guards = guards;
    this.restored = restored;
    this.texts = texts;
    this.refusals = refusals;
    this.settings = settings;
    this.clock = clock;
  }

  /**
   * Notes how a worker's hand-overs ended and begins the next: due messages are written, kept, and
   * marked as being handed over. Those that must not leave any more, or cannot, are not among them.
   */
  @Transactional
  List<Ready> step(Carrier carrier, String worker, List<Ended> ends, int most) {
    end(worker, ends);
    Instant now = clock.instant();
    List<Ready> ready = new ArrayList<>();
    int octets = 0;
    List<HandoverMapper.Claimed> claimed =
        restored.isHeld() ? List.of() : guards.passed(due.claim(carrier.channel(), now, most), now);
    OutgoingTexts.Writing writing = texts.begin(claimed.stream().map(Departures::toWrite).toList());
    for (HandoverMapper.Claimed message : claimed) {
      if (octets < MOST_OCTETS) {
        Ready written = write(carrier, writing, message, now);
        if (written != null) {
          ready.add(written);
          octets += written.octets().length;
        }
      }
    }
    begin(worker, ready, now);
    return ready;
  }

  /**
   * Notes how hand-overs ended; all else that the worker seems to have in hand never began. For a
   * worker that has nothing in hand any more, and is not sure what of its last step was noted.
   */
  @Transactional
  void settle(String worker, List<Ended> ends) {
    Set<MessageId> told = ends.stream().map(Ended::id).collect(Collectors.toSet());
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

  private void end(String worker, List<Ended> ends) {
    if (!ends.isEmpty()) {
      mapper.giveAll(worker);
      mapper.end(
          worker,
          new HandoverMapper.Ends(
              column(ends, Ended::id).toArray(MessageId[]::new),
              column(ends, e -> (long) e.tries()).toArray(Long[]::new),
              column(ends, e -> e.state().stored()),
              column(ends, Ended::reason),
              ends.stream().map(e -> millis(e.due())).toArray(Long[]::new),
              ends.stream().map(e -> millis(e.sentAt())).toArray(Long[]::new)));
      noteReferences(ends);
      ends.stream()
          .filter(e -> e.state() == MessageState.REFUSED)
          .forEach(e -> refusals.refused(e.id(), e.reason()));
    }
  }

  private void noteReferences(List<Ended> ends) {
    List<MessageId> ids = new ArrayList<>();
    List<String> references = new ArrayList<>();
    for (Ended ended : ends) {
      for (String reference : ended.references()) {
        ids.add(ended.id());
        references.add(reference);
      }
    }
    if (!ids.isEmpty()) {
      mapper.noteReferences(ids.toArray(MessageId[]::new), references);
    }
  }

  private static Long millis(Instant instant) {
    return instant == null ? null : instant.toEpochMilli();
  }

  private void begin(String worker, List<Ready> ready, Instant now) {
    if (ready.isEmpty()) {
      return;
    }
    MessageId[] ids = ready.stream().map(r -> r.message().id()).toArray(MessageId[]::new);
    Copies copies = new Copies(ready.stream().mapToInt(r -> r.octets().length).sum());
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
      if (ready.message().hasCopy()) {
        return 0;
      }
      octets.add(ready.octets());
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
  private Ready write(
      Carrier carrier, OutgoingTexts.Writing writing, HandoverMapper.Claimed message, Instant now) {
    try {
      Outgoing outgoing = writing.write(toWrite(message), now);
      byte[] octets =
          message.hasCopy() ? mapper.copy(message.id()).mime() : carrier.write(outgoing);
      return new Ready(message, outgoing, carrier.parcel(outgoing, octets));
    } catch (RuntimeException broken) {
      LOG.error("Message {} cannot be written.", message.id(), broken);
      mapper.move(
          message.id(),
          MessageMove.REFUSE,
          "the message could not be written: " + broken.getMessage());
      return null;
    }
  }

  private static OutgoingTexts.ToWrite toWrite(HandoverMapper.Claimed message) {
    return new OutgoingTexts.ToWrite(
        message.causeId(),
        message.personId(),
        message.to(),
        message.recipient(),
        message.token(),
        message.frozen(),
        message.place());
  }

  private static <T, R> List<R> column(List<T> rows, Function<T, R> value) {
    return rows.stream().map(value).toList();
  }
}
