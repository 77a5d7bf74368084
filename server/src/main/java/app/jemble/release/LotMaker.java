package app.jemble.release;

import app.jemble.audience.AudienceService;
import app.jemble.cause.Cause;
import app.jemble.cause.OpenCauses;
import app.jemble.core.reach.Reach;
import app.jemble.core.record.PersonId;
import app.jemble.message.Letter;
import app.jemble.message.LetterService;
import app.jemble.message.MessageMaker;
import app.jemble.outbox.NewMessage;
import app.jemble.outbox.OutboxService;
import app.jemble.outbox.OutboxService.ThreadEnd;
import app.jemble.workspace.Workspace;
import app.jemble.workspace.WorkspaceService;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Makes the messages of a lot of a released mailing. */
@Component
class LotMaker {

  /** What the messages of one mailing are made of. */
  record Job(
      Cause mailing,
      ReleaseMapper.Noted noted,
      Letter letter,
      AudienceService.Again again,
      Map<PersonId, ThreadEnd> threads,
      Workspace house) {}

  private final OpenCauses mailings;
  private final AudienceService audience;
  private final LetterService letters;
  private final MessageMaker maker;
  private final OutboxService outbox;
  private final WorkspaceService workspace;

  LotMaker(
      OpenCauses mailings,
      AudienceService audience,
      LetterService letters,
      MessageMaker maker,
      OutboxService outbox,
      WorkspaceService workspace) {
    this.mailings = mailings;
    this.audience = audience;
    this.letters = letters;
    this.maker = maker;
    this.outbox = outbox;
    this.workspace = workspace;
  }

  Job job(ReleaseMapper.Noted noted) {
    Cause mailing = mailings.anybodys(noted.mailingId());
    Letter letter = letters.of(mailing);
    return new Job(
        mailing,
        noted,
        letter,
        audience.again(mailing, letter::values),
        mailing.followsId() == null ? Map.of() : outbox.threadEnds(mailing.followsId()),
        workspace.current());
  }

  /** Who can no longer be written to is not among them. */
  List<NewMessage> messages(Job job, ReleaseMapper.Lot lot) {
    int from = lot.begins();
    List<PersonId> people = List.of(job.noted().personIds()).subList(from, lot.ends());
    List<Long> records = List.of(job.noted().recordIds()).subList(from, lot.ends());
    List<AudienceService.Reader> readers = job.again().readers(people, records);
    List<NewMessage> messages = new ArrayList<>(readers.size());
    for (int i = 0; i < readers.size(); i++) {
      AudienceService.Reader reader = readers.get(i);
      if (reader != null && reader.reach() == Reach.READY) {
        messages.add(
            maker.make(
                job.letter(),
                reader,
                job.threads().get(reader.person().id()),
                job.house().returnDomain(),
                Instant.ofEpochSecond(job.noted().dueSeconds()[from + i])));
      }
    }
    return messages;
  }
}
