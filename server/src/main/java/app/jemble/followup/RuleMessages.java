package app.jemble.followup;

import app.jemble.audience.AudienceService;
import app.jemble.audience.AudienceService.Reader;
import app.jemble.cause.Cause;
import app.jemble.cause.OpenCauses;
import app.jemble.core.message.MessageId;
import app.jemble.core.reach.Reach;
import app.jemble.core.record.PersonId;
import app.jemble.message.Letter;
import app.jemble.message.LetterService;
import app.jemble.message.MessageMaker;
import app.jemble.outbox.NewMessage;
import app.jemble.outbox.OutboxService;
import app.jemble.outbox.OutboxService.ThreadEnd;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Puts what rules send in the outbox, one by one as it comes due. */
@Component
class RuleMessages {

  /**
   * Somebody who is due.
   *
   * @param message theirs, at the end of whose thread the next is put
   * @param recordId what that is about; 0 for no record
   */
  record Due(MessageId message, PersonId personId, long recordId) {}

  private final OpenCauses open;
  private final AudienceService audience;
  private final LetterService letters;
  private final MessageMaker maker;
  private final OutboxService outbox;
  private final WorkspaceService workspace;
  private final Clock clock;

  RuleMessages(
      OpenCauses open,
      AudienceService audience,
      LetterService letters,
      MessageMaker maker,
      OutboxService outbox,
      WorkspaceService workspace,
      Clock clock) {
    this.open = open;
    this.audience = audience;
    this.letters = letters;
    this.maker = maker;
    this.outbox = outbox;
    this.workspace = workspace;
    this.clock = clock;
  }

  /** Whether people can be written to; who is gone is not among them. */
  Map<PersonId, Reach> reaches(long id, List<PersonId> people) {
    Cause mailing = open.anybodys(id);
    AudienceService.Again again = audience.again(mailing, letters.of(mailing)::values);
    Map<PersonId, Reach> reaches = new HashMap<>();
    again.readers(people, people.stream().map(p -> 0L).toList()).stream()
        .filter(reader -> reader != null)
        .forEach(reader -> reaches.put(reader.person().id(), reader.reach()));
    return reaches;
  }

  /**
   * Puts messages in the outbox, each at the end of its thread. A message in which something would
   * be missing is not sent: nobody looks at it before it leaves.
   *
   * @return by message, why none was sent after it
   */
  Map<MessageId, String> send(long id, List<Due> due) {
    Cause mailing = open.anybodys(id);
    Letter letter = letters.of(mailing);
    Map<MessageId, ThreadEnd> ends = outbox.lastOfThreads(due.stream().map(Due::message).toList());
    List<Reader> readers =
        audience
            .again(mailing, letter::values)
            .readers(
                due.stream().map(Due::personId).toList(), due.stream().map(Due::recordId).toList());
    List<NewMessage> messages = new ArrayList<>();
    Map<MessageId, String> not = new HashMap<>();
    String returnDomain = workspace.current().returnDomain();
    for (int i = 0; i < due.size(); i++) {
      MessageId message = due.get(i).message();
      Reader reader = readers.get(i);
      ThreadEnd end = ends.get(message);
      if (reader == null || end == null) {
        not.put(message, "is no longer on record");
        continue;
      }
      List<String> missing = missing(letter, reader);
      if (missing.isEmpty()) {
        messages.add(maker.make(letter, reader, end, returnDomain, clock.instant()));
      } else {
        not.put(message, "has no " + String.join(", no ", missing));
      }
    }
    outbox.enqueue(id, messages);
    return not;
  }

  private List<String> missing(Letter letter, Reader reader) {
    return letter.compose(reader.person(), reader.values(), clock.instant()).missing().stream()
        .map(field -> workspace.fields().find(field).map(f -> f.label()).orElse(field))
        .map(label -> label.toLowerCase(Locale.ROOT))
        .distinct()
        .toList();
  }
}
