package app.jemble.leaving;

import app.jemble.core.record.Field;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.PersonId;
import app.jemble.people.PeopleService;
import app.jemble.people.PersonRecord;
import app.jemble.record.ChangeService;
import app.jemble.response.Answered;
import app.jemble.response.ResponseService;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What readers say of the mail they get: which topics, or none at all. Only they come back. */
@Service
public class LeavingService {

  /** A topic, and whether the reader gets mail about it. */
  public record Choice(long id, String name, boolean gets) {}

  /**
   * What a reader has chosen.
   *
   * @param nothing no mail at all, whatever the topic
   * @param language the reader's, a tag such as {@code de-CH}
   */
  public record Choices(List<Choice> topics, boolean nothing, String language) {}

  private final ResponseService responses;
  private final PeopleService people;
  private final ChangeService changes;
  private final WorkspaceService workspace;
  private final Clock clock;

  LeavingService(
      ResponseService responses,
      PeopleService people,
      ChangeService changes,
      WorkspaceService workspace,
      Clock clock) {
    this.responses = responses;
    this.people = people;
    this.changes = changes;
    this.workspace = workspace;
    this.clock = clock;
  }

  /** As it is now, for the reader of a message; empty when there is no such message. */
  Optional<Choices> choices(String token) {
    return responses.message(token).map(m -> choices(m.personId()));
  }

  private Choices choices(PersonId person) {
    Set<Long> left = people.topicsLeft(person);
    List<Choice> topics =
        workspace.topics().stream()
            .map(t -> new Choice(t.id(), t.name(), !left.contains(t.id())))
            .toList();
    PersonRecord record = people.record(person);
    return new Choices(
        topics,
        record != null && record.askedNot(),
        record == null ? workspace.current().language() : record.language());
  }

  /** The reader gets mail about these topics, and about no others. */
  @Transactional
  boolean choose(String token, Set<Long> wanted) {
    Optional<Answered> message = responses.message(token);
    if (message.isEmpty()) {
      return false;
    }
    PersonId person = message.get().personId();
    for (Choice topic : choices(person).topics()) {
      if (wanted.contains(topic.id())) {
        people.comeBack(person, topic.id());
      } else if (topic.id() == message.get().topicId()) {
        responses.left(token);
      } else {
        people.leave(person, topic.id(), clock.instant());
      }
    }
    askNot(person, false);
    return true;
  }

  /** The reader gets no mail at all any more. */
  @Transactional
  boolean nothingAtAll(String token) {
    Optional<Answered> message = responses.message(token);
    message.ifPresent(m -> askNot(m.personId(), true));
    return message.isPresent() && responses.left(token);
  }

  private void askNot(PersonId person, boolean askedNot) {
    PersonRecord record = people.record(person);
    if (record != null && record.askedNot() != askedNot) {
      Field field = workspace.fields().find("asked_not").orElseThrow();
      long batch =
          changes.beginOutside(askedNot ? "Asked for no mail at all" : "Asked to get mail again");
      changes.setThemselves(batch, field, new FieldValue.Flag(askedNot), List.of(person));
    }
  }
}
