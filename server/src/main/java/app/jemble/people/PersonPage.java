package app.jemble.people;

import app.jemble.account.AccountService;
import app.jemble.core.message.MessageId;
import app.jemble.core.reach.Channel;
import app.jemble.core.reach.Reach;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldType;
import app.jemble.core.record.FieldUse;
import app.jemble.core.record.PersonId;
import app.jemble.filter.AskedNow;
import app.jemble.filter.ListService;
import app.jemble.problem.Problem;
import app.jemble.record.ChangeService;
import app.jemble.workspace.WorkspaceService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.springframework.stereotype.Service;

/** One person with all fields, reach, what stands around them and what passed between us. */
@Service
class PersonPage {

  /**
   * @param version the number of the last change, to be given back with the next one
   * @param archivedAt when they were put away, or null
   * @param mergedInto the person this record became part of, or null
   * @param pictureKey the key of their picture, or null
   * @param likely others who may be the same person
   */
  record Person(
      PersonId id,
      String name,
      String kind,
      long version,
      @Schema(nullable = true) Instant archivedAt,
      @Schema(nullable = true) PersonName mergedInto,
      @Schema(nullable = true) PersonName introducedBy,
      @Schema(nullable = true) String pictureKey,
      List<PersonField> fields,
      List<ChannelReach> reach,
      List<OfficeHeld> offices,
      List<QuoteMade> quotes,
      List<TaskOpen> tasks,
      List<EventSeen> events,
      List<Likely> likely) {}

  record PersonName(PersonId id, String name) {}

  /**
   * A field and its value.
   *
   * @param text the value as it is written into the field; null when there is none
   */
  record PersonField(
      String name,
      String label,
      FieldType type,
      List<String> choices,
      boolean editable,
      @Schema(nullable = true) String text) {}

  /** Whether a person can be reached on a channel, and if not, why. */
  record ChannelReach(
      Channel channel,
      String words,
      @Schema(nullable = true) String address,
      Reach reach,
      String reachWords) {}

  record OfficeHeld(
      long id,
      String name,
      @Schema(nullable = true) String body,
      @Schema(nullable = true) String since,
      @Schema(nullable = true) String until) {}

  record QuoteMade(
      long id,
      String number,
      String title,
      String total,
      String stage,
      @Schema(nullable = true) String sentOn) {}

  record TaskOpen(
      long id,
      String kind,
      String title,
      @Schema(nullable = true) String dueOn,
      boolean done,
      @Schema(nullable = true) String owner) {}

  /**
   * An event and what the person had to do with it.
   *
   * @param attendance asked, coming, came or missed
   */
  record EventSeen(long id, String name, Instant starts, String attendance) {}

  /** Somebody who may be the same person, and what makes it likely. */
  record Likely(PersonId id, String name, String why) {}

  /**
   * Something that passed between us.
   *
   * @param kind SENT, POSTED, POST_RETURNED, or the kind of a response
   * @param mailing the name of the mailing or the print run it belongs to
   * @param messageId the message; null of labels and envelopes
   * @param printRunId the print run; null of messages
   * @param at of what was posted the noon of its day
   * @param detail what was written, clicked or said; may be empty
   */
  record Happening(
      String kind,
      String mailing,
      @Schema(nullable = true) MessageId messageId,
      @Schema(nullable = true) Long printRunId,
      Instant at,
      String detail) {}

  private final PersonPageMapper mapper;
  private final ListService lists;
  private final WorkspaceService workspace;
  private final ChangeService changes;
  private final AccountService accounts;
  private final AskedNow asked;
  private final PeopleService people;

  PersonPage(
      PersonPageMapper mapper,
      ListService lists,
      WorkspaceService workspace,
      ChangeService changes,
      AccountService accounts,
      AskedNow asked,
      PeopleService people) {
    this.mapper = mapper;
    this.lists = lists;
    this.workspace = workspace;
    this.changes = changes;
    this.accounts = accounts;
    this.asked = asked;
    this.people = people;
  }

  /** A problem when there is no such person. */
  Person find(PersonId id) {
    PersonPageMapper.PersonHead head = mapper.head(id);
    if (head == null) {
      throw Problem.notFound("There is no such person any more.");
    }
    return new Person(
        id,
        head.name(),
        head.kind(),
        changes.version(id),
        head.archivedAt(),
        named(head.mergedInto(), head.mergedIntoName()),
        named(head.introducedBy(), head.introducedByName()),
        head.pictureKey(),
        fields(id, head.archivedAt() != null),
        reach(id, head),
        mapper.offices(id),
        mapper.quotes(id),
        mapper.tasks(id),
        mapper.events(id),
        mapper.likely(id));
  }

  /** What passed between us up to now, or before the given place, newest first. */
  List<Happening> between(PersonId id, Instant before) {
    return mapper.between(id, accounts.current().id(), before);
  }

  private static PersonName named(PersonId id, String name) {
    return id == null ? null : new PersonName(id, name);
  }

  private List<PersonField> fields(PersonId id, boolean archived) {
    List<Field> all = workspace.fields().all(FieldUse.COLUMN);
    List<String> cells = lists.cells(id, archived, all, asked.byMe());
    List<PersonField> fields = new ArrayList<>();
    for (int i = 0; i < all.size(); i++) {
      Field f = all.get(i);
      fields.add(
          new PersonField(
              f.name(),
              f.label(),
              f.type(),
              offered(f, cells.get(i)),
              f.allows(FieldUse.EDIT),
              cells.get(i)));
    }
    return fields;
  }

  /** What is given to nobody any more is left to whoever has it. */
  private List<String> offered(Field field, String value) {
    List<String> retired = workspace.retired(null, field.name());
    return field.choices().stream()
        .filter(choice -> choice.equals(value) || !retired.contains(choice))
        .toList();
  }

  /** As print runs find it: a letter that came back closes its address. */
  private boolean cameBack(PersonId id) {
    PersonRecord record = people.record(id);
    String address = record == null ? null : record.address(Channel.POST);
    return address != null && mapper.cameBack(id, address);
  }

  private List<ChannelReach> reach(PersonId id, PersonPageMapper.PersonHead head) {
    return Arrays.stream(Channel.values())
        .map(
            channel -> {
              String address = head.address(channel);
              boolean returned = channel == Channel.POST && cameBack(id);
              Reach reach =
                  Reach.by(
                      channel,
                      new Reach.Facts(
                          address,
                          head.askedNot(channel),
                          false,
                          head.doNotWrite(channel),
                          false,
                          false),
                      returned);
              String words =
                  returned && reach == Reach.NOT_VALID
                      ? "a letter came back from there"
                      : reach.words();
              return new ChannelReach(channel, channel.words(), address, reach, words);
            })
        .toList();
  }
}
