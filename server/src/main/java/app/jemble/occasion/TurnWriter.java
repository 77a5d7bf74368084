package app.jemble.occasion;

import app.jemble.audience.About;
import app.jemble.audience.AudienceService;
import app.jemble.audience.AudienceService.Reader;
import app.jemble.cause.Cause;
import app.jemble.cause.OpenCauses;
import app.jemble.core.occasion.TurnState;
import app.jemble.core.reach.Reach;
import app.jemble.message.Letter;
import app.jemble.message.LetterService;
import app.jemble.message.MessageMaker;
import app.jemble.occasion.OccasionMapper.TurnRow;
import app.jemble.outbox.NewMessage;
import app.jemble.outbox.OutboxService;
import app.jemble.workspace.WorkspaceService;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Puts what is said on somebody's day in the outbox, or notes why it was missed. */
@Component
class TurnWriter {

  /** By so much the numbers of two messages of one turn differ: no year is as large. */
  static final long APART = 1_000_000;

  private final OccasionMapper mapper;
  private final OpenCauses open;
  private final AudienceService audience;
  private final LetterService letters;
  private final MessageMaker maker;
  private final OutboxService outbox;
  private final TurnValues values;
  private final WorkspaceService workspace;

  TurnWriter(
      OccasionMapper mapper,
      OpenCauses open,
      AudienceService audience,
      LetterService letters,
      MessageMaker maker,
      OutboxService outbox,
      TurnValues values,
      WorkspaceService workspace) {
    this.mapper = mapper;
    this.open = open;
    this.audience = audience;
    this.letters = letters;
    this.maker = maker;
    this.outbox = outbox;
    this.values = values;
    this.workspace = workspace;
  }

  /**
   * Each of these has its message in the outbox afterwards, or a reason why not.
   *
   * @return how many have one
   */
  int write(StandingMailing of, List<TurnRow> due, Instant now) {
    Cause cause = open.anybodys(of.causeId());
    Letter letter = letters.of(cause);
    List<Reader> readers =
        audience
            .again(cause, letter::values)
            .readers(
                due.stream().map(TurnRow::personId).toList(), due.stream().map(t -> 0L).toList());
    Map<String, List<Long>> missed = new LinkedHashMap<>();
    List<TurnRow> leave = new ArrayList<>();
    List<NewMessage> messages = new ArrayList<>();
    String returnDomain = workspace.current().returnDomain();
    TurnValues.Ready ready = values.ready(of);
    for (int i = 0; i < due.size(); i++) {
      TurnRow turn = due.get(i);
      Reader reader = saidTo(ready, readers.get(i), turn);
      Optional<String> not = notTo(letter, reader, now);
      if (not.isPresent()) {
        missed.computeIfAbsent(not.get(), why -> new ArrayList<>()).add(turn.id());
      } else {
        messages.add(maker.make(letter, reader, null, returnDomain, now).numbered(number(turn)));
        leave.add(turn);
      }
    }
    missed.forEach((why, ids) -> mapper.turn(ids.toArray(Long[]::new), TurnState.MISSED, why));
    if (!leave.isEmpty()) {
      outbox.enqueue(of.causeId(), messages);
      mapper.turn(leave.stream().map(TurnRow::id).toArray(Long[]::new), TurnState.SENT, "");
    }
    return leave.size();
  }

  /**
   * One a year, and one more each time that a colleague sends it late: the database takes no other.
   */
  private static long number(TurnRow turn) {
    return turn.day().getYear() + turn.late() * APART;
  }

  private Reader saidTo(TurnValues.Ready ready, Reader reader, TurnRow turn) {
    if (reader == null || reader.reach() != Reach.READY) {
      return reader;
    }
    About about =
        values.about(
            ready,
            turn.personId(),
            turn.day().getYear(),
            turn.years(),
            reader.values(),
            Locale.forLanguageTag(reader.person().language()));
    return new Reader(reader.person(), about, about.over(reader.values()), reader.way());
  }

  /** Nobody looks at it before it leaves: with a gap in it, it does not. */
  private Optional<String> notTo(Letter letter, Reader reader, Instant now) {
    if (reader == null) {
      return Optional.of("is no longer on record");
    }
    if (reader.reach() != Reach.READY) {
      return Optional.of(reader.reach().words());
    }
    List<String> lacking = letter.lacking(reader.person(), reader.values(), now);
    return lacking.isEmpty()
        ? Optional.empty()
        : Optional.of("there is no " + String.join(", ", lacking));
  }
}
