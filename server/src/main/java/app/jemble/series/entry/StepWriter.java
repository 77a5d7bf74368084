package app.jemble.series.entry;

import app.jemble.audience.AudienceService;
import app.jemble.audience.AudienceService.Reader;
import app.jemble.cause.Cause;
import app.jemble.cause.OpenCauses;
import app.jemble.core.message.MessageId;
import app.jemble.core.reach.Reach;
import app.jemble.core.response.ResponseKind;
import app.jemble.core.series.StepJudge;
import app.jemble.core.series.StepJudge.Ends;
import app.jemble.core.series.StepJudge.Facts;
import app.jemble.core.series.StepJudge.Past;
import app.jemble.message.Letter;
import app.jemble.message.LetterService;
import app.jemble.message.MessageMaker;
import app.jemble.outbox.NewMessage;
import app.jemble.outbox.OutboxService;
import app.jemble.outbox.OutboxService.ThreadEnd;
import app.jemble.series.Series;
import app.jemble.series.SeriesStep;
import app.jemble.series.entry.EntryMapper.Entry;
import app.jemble.series.entry.EntryMapper.Got;
import app.jemble.workspace.WorkspaceService;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Puts a step's messages in the outbox for those to whom it is due, or notes why not. */
@Component
class StepWriter {

  private final EntryMapper entries;
  private final StepPeople people;
  private final OpenCauses open;
  private final AudienceService audience;
  private final LetterService letters;
  private final MessageMaker maker;
  private final OutboxService outbox;
  private final WorkspaceService workspace;

  StepWriter(
      EntryMapper entries,
      StepPeople people,
      OpenCauses open,
      AudienceService audience,
      LetterService letters,
      MessageMaker maker,
      OutboxService outbox,
      WorkspaceService workspace) {
    this.entries = entries;
    this.people = people;
    this.open = open;
    this.audience = audience;
    this.letters = letters;
    this.maker = maker;
    this.outbox = outbox;
    this.workspace = workspace;
  }

  /** Ends a series for people; without a why they have finished it. */
  void end(Map<Entry, String> over, Instant now) {
    if (!over.isEmpty()) {
      entries.end(ids(over.keySet()), List.copyOf(over.values()), now);
    }
  }

  /** Who had the last step, or was passed over by it, has finished. */
  void finish(List<Entry> had, Instant now) {
    entries.finish(had.stream().map(Entry::id).toArray(Long[]::new), now);
  }

  /**
   * What is known of those to whom a step is due.
   *
   * @param came what came back from them
   * @param again when they are looked at again, once their message is in the outbox
   */
  record Known(Function<Entry, Set<ResponseKind>> came, Function<Entry, Instant> again) {}

  /** Everyone of these is past the step afterwards, or out of the series. */
  void write(Series series, SeriesStep step, List<Entry> due, Known known, Instant now) {
    Cause cause = open.anybodys(step.causeId());
    Letter letter = letters.of(cause);
    StepPeople.Found found = people.find(series, step, due);
    List<Reader> readers =
        audience
            .again(cause, letter::values)
            .readers(
                due.stream().map(Entry::personId).toList(), due.stream().map(e -> 0L).toList());
    Map<Entry, Reader> leaves = new LinkedHashMap<>();
    Map<Entry, String> past = new LinkedHashMap<>();
    Map<Entry, String> over = new LinkedHashMap<>();
    for (int i = 0; i < due.size(); i++) {
      Entry entry = due.get(i);
      Reader reader = readers.get(i);
      if (reader == null) {
        over.put(entry, "is no longer on record");
        continue;
      }
      Facts facts =
          found.facts(
              entry, reader.reach(), known.came().apply(entry), missing(letter, reader, now));
      StepJudge.Verdict verdict = StepJudge.judge(facts, series.ending());
      if (verdict instanceof Past not) {
        past.put(entry, not.why());
      } else if (verdict instanceof Ends not) {
        over.put(entry, not.why());
      } else {
        leaves.put(entry, reader);
      }
    }
    end(over, now);
    note(step, past, now);
    leave(step, letter, leaves, known.again(), now);
  }

  private void note(SeriesStep step, Map<Entry, String> past, Instant now) {
    if (!past.isEmpty()) {
      Long[] ids = ids(past.keySet());
      entries.passed(step.id(), ids, List.copyOf(past.values()), now);
      Long[] atOnce = new Long[ids.length];
      Arrays.fill(atOnce, now.getEpochSecond());
      entries.goOn(step.id(), ids, atOnce, now);
    }
  }

  private void leave(
      SeriesStep step,
      Letter letter,
      Map<Entry, Reader> leaves,
      Function<Entry, Instant> again,
      Instant now) {
    if (leaves.isEmpty()) {
      return;
    }
    Long[] ids = ids(leaves.keySet());
    Map<Long, ThreadEnd> threads = step.inThread() ? threads(ids) : Map.of();
    String returnDomain = workspace.current().returnDomain();
    List<NewMessage> messages = new ArrayList<>(leaves.size());
    leaves.forEach(
        (entry, reader) ->
            messages.add(
                maker
                    .make(letter, reader, threads.get(entry.id()), returnDomain, now)
                    .numbered(entry.turn())));
    outbox.enqueue(step.causeId(), messages);
    entries.left(step.id(), step.causeId(), ids, now);
    Long[] seconds =
        leaves.keySet().stream().map(again).map(Instant::getEpochSecond).toArray(Long[]::new);
    entries.goOn(step.id(), ids, seconds, now);
  }

  /** By entry, the last message it got, in whose thread the next goes. */
  private Map<Long, ThreadEnd> threads(Long[] ids) {
    Map<Long, MessageId> got =
        entries.lastGot(ids).stream().collect(Collectors.toMap(Got::entryId, Got::messageId));
    Map<MessageId, ThreadEnd> ends = outbox.lastOfThreads(List.copyOf(got.values()));
    return got.entrySet().stream()
        .filter(e -> ends.containsKey(e.getValue()))
        .collect(Collectors.toMap(Map.Entry::getKey, e -> ends.get(e.getValue())));
  }

  /** Nobody looks at it before it leaves: with a gap in it, it does not. */
  private List<String> missing(Letter letter, Reader reader, Instant now) {
    return reader.reach() == Reach.READY
        ? letter.lacking(reader.person(), reader.values(), now)
        : List.of();
  }

  private static Long[] ids(Set<Entry> of) {
    return of.stream().map(Entry::id).toArray(Long[]::new);
  }
}
