package app.jemble.message;

import app.jemble.audience.AudienceService.Reader;
import app.jemble.core.message.ThreadPlace;
import app.jemble.core.reach.Address;
import app.jemble.outbox.NewMessage;
import app.jemble.outbox.OutboxService.ThreadEnd;
import app.jemble.people.PersonRecord;
import app.jemble.workspace.WorkspaceService;
import java.time.Instant;
import org.springframework.stereotype.Component;

/** Makes the message of one reader, with the values that it will say whatever is changed later. */
@Component
public class MessageMaker {

  private final FrozenValues frozen;
  private final WorkspaceService workspace;

  MessageMaker(FrozenValues frozen, WorkspaceService workspace) {
    this.frozen = frozen;
    this.workspace = workspace;
  }

  /** An answer to somebody, which goes where their mail came from. */
  public NewMessage answer(
      Letter letter, Reader reader, Address address, ThreadPlace place, Instant due) {
    PersonRecord person = reader.person();
    return new NewMessage(
        person.id(),
        address,
        person.name(),
        workspace.newToken(),
        frozen.freeze(person, letter.fields(person.id()), reader.values()),
        null,
        null,
        place,
        0,
        due);
  }

  /**
   * @param after the message of the thread that it comes after; null begins a thread
   * @param returnDomain of the message identifiers of the house
   */
  public NewMessage make(
      Letter letter, Reader reader, ThreadEnd after, String returnDomain, Instant due) {
    PersonRecord person = reader.person();
    ThreadPlace place =
        after == null
            ? ThreadPlace.NEW
            : ThreadPlace.following(
                "<" + after.token() + "@" + returnDomain + ">", after.referenceIds());
    return new NewMessage(
        person.id(),
        reader.address(),
        person.name(),
        workspace.newToken(),
        frozen.freeze(person, letter.fields(person.id()), reader.values()),
        after == null ? null : after.messageId(),
        after == null ? null : after.threadId(),
        place,
        reader.about().id(),
        due);
  }
}
