package app.jemble.record;

import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.core.access.About;
import app.jemble.core.access.Access;
import app.jemble.core.access.Right;
import app.jemble.core.reach.Channel;
import app.jemble.core.reach.Reach;
import app.jemble.core.record.ActWords;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.PersonId;
import app.jemble.history.HouseHistory;
import app.jemble.problem.Problem;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Changes of people, one or many at once, each kept with its before and after and taken back whole.
 */
@Service
public class ChangeService {

  /**
   * A change as people read it.
   *
   * @param words of the act it belongs to
   * @param undone whether the act was taken back
   * @param mayBeUndone whether the colleague who asks may take the act back
   */
  public record Told(
      long id,
      long batchId,
      String field,
      String before,
      String after,
      Instant at,
      String by,
      String words,
      boolean undone,
      boolean mayBeUndone) {}

  /**
   * What was taken back.
   *
   * @param words the act
   * @param people whom it had changed
   */
  public record Undone(String words, long people) {}

  private static final String ASKED_NOT = "asked_not";
  private static final List<String> ADDRESSES = List.of("email", "phone");
  private static final Set<String> NEVER_EMPTY = Set.of("kind", "plan", "status", "joined_on");

  private final ChangeMapper mapper;
  private final AccountService accounts;
  private final WorkspaceService workspace;
  private final FieldJson json;
  private final ObjectProvider<Undoing> undoings;
  private final ObjectProvider<NewAddresses> newAddresses;
  private final Clock clock;

  ChangeService(
      ChangeMapper mapper,
      AccountService accounts,
      WorkspaceService workspace,
      FieldJson json,
      ObjectProvider<Undoing> undoings,
      ObjectProvider<NewAddresses> newAddresses,
      Clock clock) {
    this.mapper = mapper;
    this.accounts = accounts;
    this.workspace = workspace;
    this.json = json;
    this.undoings = undoings;
    this.newAddresses = newAddresses;
    this.clock = clock;
  }

  /** Begins an act of the colleague who is signed in; its words stand in the history. */
  public long begin(String words) {
    return mapper.begin(
        clock.instant(), accounts.currentWriter().id(), words, HouseHistory.address());
  }

  /** Begins an act of somebody outside the house, such as a reader who leaves. */
  public long beginOutside(String words) {
    return mapper.begin(clock.instant(), null, words, HouseHistory.address());
  }

  /** Begins an act that is done for a colleague, who is not there. */
  public long beginFor(long account, String words) {
    return mapper.begin(clock.instant(), account, words, HouseHistory.address());
  }

  /** Says in the end what an act has come to. */
  public void name(long batch, String words) {
    mapper.name(batch, words);
  }

  /**
   * Sets a field of many people; answers how many had another value before.
   *
   * @throws Problem when somebody asked not to be written to, and this would say otherwise
   */
  public long set(long batch, Field field, FieldValue value, List<PersonId> people) {
    if (field.name().equals(ASKED_NOT) && !value.equals(new FieldValue.Flag(true))) {
      mayBeWrittenTo(people);
    }
    return setThemselves(batch, field, value, people);
  }

  /** To be written to again is for the person to ask; colleagues note the wish, and keep it. */
  private void mayBeWrittenTo(List<PersonId> people) {
    if (mapper.askedNot(people.toArray(PersonId[]::new)) > 0) {
      throw Problem.wrong(
          ASKED_NOT,
          "Whoever asked not to be written to comes back only themself, by the link in any mail of"
              + " ours. If it was noted by mistake, take that back in the history.");
    }
  }

  /** As {@link #set}, when it is what the person said themself. */
  public long setThemselves(long batch, Field field, FieldValue value, List<PersonId> people) {
    if (value.isEmpty() && NEVER_EMPTY.contains(field.name())) {
      throw Problem.wrong(field.name(), field.label() + " cannot be empty.");
    }
    long begun = prepare(batch, field, value, people);
    try {
      long changed =
          begun
              + mapper.change(
                  ChangeSql.setField(
                      batch, field, json.write(value), people.toArray(PersonId[]::new)));
      if (ADDRESSES.contains(field.name())) {
        judgeAddresses(people);
      }
      return changed;
    } catch (DuplicateKeyException taken) {
      throw Problem.wrong(
          field.name(),
          "Another person already has the "
              + field.label().toLowerCase(Locale.ROOT)
              + " “"
              + json.words(json.write(value))
              + "”.");
    }
  }

  /** What a value needs to exist before it can be set; answers how many have it with that. */
  private long prepare(long batch, Field field, FieldValue value, List<PersonId> people) {
    if (field.name().equals("organisation.name") && value instanceof FieldValue.Text name) {
      mapper.addOrganisations(batch, List.of(name.text()));
    }
    if (field.name().equals("plan") && value instanceof FieldValue.Text plan) {
      return beginMemberships(batch, plan.text(), people);
    }
    return 0;
  }

  /**
   * Sets a field of several people, each to a value of their own; answers how many changed.
   *
   * <p>Tags are added to those there are, and whoever asked not to be written to stays so: what is
   * brought in may be older than the wish.
   *
   * @param values of each of them in turn, as {@link FieldJson} writes them
   */
  public long setEach(long batch, Field field, List<PersonId> people, List<String> values) {
    long changed =
        mapper.change(ChangeSql.setEach(batch, field, people.toArray(PersonId[]::new), values));
    if (ADDRESSES.contains(field.name())) {
      judgeAddresses(people);
    }
    return changed;
  }

  /** Whose value {@link #setEach} would change. */
  public List<PersonId> differing(Field field, List<PersonId> people, List<String> values) {
    return mapper.differing(ChangeSql.differing(field, people.toArray(PersonId[]::new), values));
  }

  /** Begins memberships for those of the people who have none; answers how many. */
  public long beginMemberships(long batch, String plan, List<PersonId> people) {
    LocalDate today = today();
    List<PersonId> begun =
        mapper.beginMemberships(
            people.toArray(PersonId[]::new), plan, workspace.statusOfNewMembers(), today);
    note(batch, begun, Memberships.FIELD, null, json.write(FieldValue.text(plan)));
    return begun.size();
  }

  /**
   * Adds people with their values; answers their ids in the order given.
   *
   * @param values of each, a JSON object by field name with values as {@link FieldJson} writes them
   */
  public List<PersonId> addEach(long batch, List<Field> fields, List<String> values) {
    List<PersonId> added =
        mapper.add(
            ChangeSql.addEach(
                batch,
                fields,
                values,
                new ChangeSql.NewRows(clock.instant(), today(), workspace.statusOfNewMembers())));
    judgeAddresses(added);
    return added;
  }

  /** Sees to it that organisations of these names exist; those that did not go with the act. */
  public void needOrganisations(long batch, List<String> names) {
    mapper.addOrganisations(batch, names);
  }

  private LocalDate today() {
    return clock.instant().atZone(workspace.current().zoneId()).toLocalDate();
  }

  /** Adds a tag to many people, or takes it from them; answers how many changed. */
  public long setTag(long batch, String tag, boolean add, List<PersonId> people) {
    return mapper.change(ChangeSql.setTag(batch, tag, add, people.toArray(PersonId[]::new)));
  }

  /** Notes what was done to people besides their fields; values are JSON. */
  public void note(long batch, List<PersonId> people, String field, String before, String after) {
    if (!people.isEmpty()) {
      mapper.note(batch, people.toArray(PersonId[]::new), field, before, after);
    }
  }

  /** Notes for each person what was made for them: the id of a task, say. */
  public void noteEach(long batch, List<PersonId> people, String field, List<Long> made) {
    mapper.noteEach(batch, people.toArray(PersonId[]::new), field, made.toArray(Long[]::new));
  }

  /**
   * Takes an act back. What somebody changed again since stays as it is.
   *
   * @throws Problem when it is not the colleague's own, or has been taken back before
   */
  @Transactional
  public Undone undo(long id) {
    Account me = accounts.currentWriter();
    ChangeMapper.BatchRow batch = mapper.lockBatch(id);
    if (batch == null) {
      throw Problem.notFound("There is no such act in the history.");
    }
    if (batch.undoneAt() != null) {
      throw Problem.conflict("This has been taken back already.");
    }
    if (batch.byId() == null) {
      throw Problem.conflict("This was the person's own choice; only they can make another.");
    }
    if (!mayUndo(me, batch.byId())) {
      throw Problem.forbidden("Only who did this, or an administrator, can take it back.");
    }
    List<String> fields = mapper.fieldsOf(id);
    // What else was made of them is taken back last: a person made by an import may go then.
    fields.stream().filter(f -> own(f) == null).forEach(f -> setBack(id, f));
    fields.stream().filter(f -> own(f) != null).forEach(f -> own(f).undo(f, mapper.noted(id, f)));
    judgeAddresses(mapper.changedIn(id, ADDRESSES));
    mapper.dropOrganisations(id);
    long people = mapper.peopleOf(id);
    mapper.undone(id, clock.instant(), me.id());
    return new Undone(batch.words(), people);
  }

  /** What a person chose themself nobody takes back. */
  private static boolean mayUndo(Account me, Long doneBy) {
    return Access.decide(me.asker(), Right.WORK, new About.Done(doneBy)).isYes();
  }

  private void setBack(long batch, String field) {
    mapper.setBack(ChangeSql.setBack(batch, field));
  }

  private Undoing own(String field) {
    return undoings.stream().filter(u -> u.takes(field)).findFirst().orElse(null);
  }

  /**
   * Whether something can be sent to an address is decided by core, and kept beside it; whoever
   * wants to know which addresses there are is told.
   */
  private void judgeAddresses(List<PersonId> people) {
    PersonId[] ids = people.toArray(PersonId[]::new);
    List<ChangeMapper.Address> mailboxes = mapper.mailboxes(ids);
    byValidity(Channel.EMAIL, mailboxes).forEach((valid, who) -> mapper.setValid(who, valid));
    List<ChangeMapper.Address> phones = mapper.phones(ids);
    byValidity(Channel.TEXT, phones).forEach((valid, who) -> mapper.setPhoneValid(who, valid));
    List<String> came =
        Stream.concat(mailboxes.stream(), phones.stream()).map(ChangeMapper.Address::key).toList();
    newAddresses.forEach(whoever -> whoever.came(came));
  }

  private static Map<Boolean, PersonId[]> byValidity(
      Channel channel, List<ChangeMapper.Address> addresses) {
    return addresses.stream()
        .collect(
            Collectors.partitioningBy(
                a -> Reach.isAddress(channel, a.address()),
                Collectors.collectingAndThen(
                    Collectors.toList(),
                    some -> some.stream().map(ChangeMapper.Address::id).toArray(PersonId[]::new))));
  }

  /** What was changed of a person after the given change, newest first. */
  public List<Told> history(PersonId person, long since) {
    Account me = accounts.current();
    return mapper.history(person, since).stream().map(c -> told(c, me)).toList();
  }

  private Told told(ChangeMapper.ChangeRow change, Account me) {
    return new Told(
        change.id(),
        change.batchId(),
        change.field(),
        json.words(change.before()),
        json.words(change.after()),
        change.at(),
        change.by(),
        words(change, me),
        change.undone(),
        !change.undone() && mayUndo(me, change.byId()));
  }

  /** To how many others somebody else did it is not told to whoever sees a part of them. */
  private static String words(ChangeMapper.ChangeRow change, Account me) {
    boolean seesPart = Access.onlyPeopleOf(me.asker()).isPresent();
    boolean mine = change.byId() != null && change.byId() == me.id();
    return seesPart && !mine ? ActWords.withoutCount(change.words()) : change.words();
  }

  /** The number of a person's last change. */
  public long version(PersonId person) {
    return mapper.version(person);
  }

  /** Keeps a person from being changed by others until the transaction ends; false if gone. */
  public boolean lock(PersonId person) {
    return mapper.lockPerson(person) != null;
  }

  /** Keeps many people from being changed by others until the transaction ends. */
  public void lockEach(List<PersonId> people) {
    mapper.lockEach(people.toArray(PersonId[]::new));
  }
}
