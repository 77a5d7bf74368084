package app.jemble.leaving;

import app.jemble.carrier.Carriers;
import app.jemble.consent.Consents;
import app.jemble.core.reach.Channel;
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
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What readers say of the mail they get: which topics, or none at all. Only they come back. */
@Service
public class LeavingService {

  /** A topic, and whether the reader is written to about it on a way. */
  public record Choice(long id, String name, boolean gets) {}

  /** The topics on one way. */
  public record OnWay(Channel channel, List<Choice> topics) {}

  /**
   * What a reader has chosen.
   *
   * @param ways those on which the reader can be written to
   * @param nothing nothing at all, whatever the topic
   * @param language the reader's, a tag such as {@code de-CH}
   */
  public record Choices(List<OnWay> ways, boolean nothing, String language) {}

  /** A topic that a reader wants to be written to about on a way. */
  public record Wanted(Channel channel, long topic) {

    /** As the page says it: {@code TEXT-3}; a number alone is of e-mail. */
    public static Wanted valueOf(String said) {
      int dash = said.indexOf('-');
      return dash < 0
          ? new Wanted(Channel.EMAIL, Long.parseLong(said))
          : new Wanted(
              Channel.valueOf(said.substring(0, dash)), Long.parseLong(said.substring(dash + 1)));
    }
  }

  private final ResponseService responses;
  private final PeopleService people;
  private final Consents consents;
  private final ChangeService changes;
  private final WorkspaceService workspace;
  private final Carriers carriers;
  private final Clock clock;

  LeavingService(
      ResponseService responses,
      PeopleService people,
      Consents consents,
      ChangeService changes,
      WorkspaceService workspace,
      Carriers carriers,
      Clock clock) {
    this.responses = responses;
    this.people = people;
    this.consents = consents;
    this.changes = changes;
    this.workspace = workspace;
    this.carriers = carriers;
    this.clock = clock;
  }

  /** As it is now, for the reader of a message; empty when there is no such message. */
  Optional<Choices> choices(String token) {
    return responses.message(token).map(this::choices);
  }

  private Choices choices(Answered message) {
    PersonRecord record = people.record(message.personId());
    return new Choices(
        ways(message, record).stream()
            .map(way -> onWay(message.personId(), way, message.topicId()))
            .toList(),
        record != null && record.askedNot(),
        record == null ? workspace.current().language() : record.language());
  }

  /** E-mail, what the message came by, and ways of the house that could reach the reader. */
  private List<Channel> ways(Answered message, PersonRecord person) {
    return Stream.of(Channel.EMAIL, Channel.TEXT, Channel.APP)
        .filter(
            way ->
                way == message.channel()
                    || way == Channel.EMAIL
                    || (person != null && carriers.serve(way) && person.address(way) != null))
        .toList();
  }

  /** A topic that is given up is asked for no more, except beneath what was written about it. */
  private OnWay onWay(PersonId person, Channel way, long topicId) {
    Set<Long> left = consents.topicsLeft(person, way);
    boolean closed = consents.closed(person).contains(way);
    return new OnWay(
        way,
        workspace.topics().stream()
            .filter(t -> !t.retired() || t.id() == topicId)
            .map(t -> new Choice(t.id(), t.name(), !closed && !left.contains(t.id())))
            .toList());
  }

  /**
   * The reader is written to about these topics, and about no others.
   *
   * @param shown the ways that the page spoke of; others stay as they are
   */
  @Transactional
  boolean choose(String token, Set<Wanted> wanted, Set<Channel> shown) {
    Optional<Answered> message = responses.message(token);
    message.ifPresent(
        m -> {
          shown.forEach(way -> choose(token, m, wanted, way));
          askNot(m.personId(), false);
        });
    return message.isPresent();
  }

  private void choose(String token, Answered message, Set<Wanted> wanted, Channel way) {
    PersonId person = message.personId();
    for (Choice topic : onWay(person, way, message.topicId()).topics()) {
      if (wanted.contains(new Wanted(way, topic.id()))) {
        consents.comeBack(person, topic.id(), way);
        consents.reopen(person, way);
      } else if (topic.id() == message.topicId() && way == message.channel()) {
        responses.left(token);
      } else {
        consents.leave(person, topic.id(), way, clock.instant());
      }
    }
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
