package app.jemble.privacy;

import app.jemble.account.AccountService;
import app.jemble.barred.ErasedAddresses;
import app.jemble.core.access.Right;
import app.jemble.core.record.EmailAddress;
import app.jemble.core.record.ErasedPerson;
import app.jemble.core.record.PersonId;
import app.jemble.core.record.PhoneNumber;
import app.jemble.privacy.ErasureMapper.Trace;
import app.jemble.problem.Problem;
import app.jemble.record.ChangeService;
import app.jemble.storage.ForgetsPeople;
import app.jemble.storage.Forgotten;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.ObjectMapper;

/**
 * Erases a person for good: every room forgets what it has of them, in one act. A row without a
 * value stays, so that the numbers of past mailings stay right.
 */
@Service
public class ErasureService {

  /**
   * What would be erased.
   *
   * @param keepsAddresses they once said that they do not want to be written to: their addresses
   *     are kept as marks whether it is wished or not
   */
  record ErasureLook(PersonId id, String name, List<HeldFigure> figures, boolean keepsAddresses) {}

  /**
   * @param askedOn when the person asked for it; null: they did not
   * @param neverAgain whether their addresses are kept as marks, so that nobody writes there
   */
  record ToErase(LocalDate askedOn, boolean neverAgain) {}

  private final ErasureMapper mapper;
  private final HeldOfPerson held;
  private final ErasedAddresses addresses;
  private final List<ForgetsPeople> rooms;
  private final ChangeService changes;
  private final AccountService accounts;
  private final WorkspaceService workspace;
  private final ObjectMapper json;
  private final Clock clock;

  ErasureService(
      ErasureMapper mapper,
      HeldOfPerson held,
      ErasedAddresses addresses,
      List<ForgetsPeople> rooms,
      ChangeService changes,
      AccountService accounts,
      WorkspaceService workspace,
      ObjectMapper json,
      Clock clock) {
    this.mapper = mapper;
    this.held = held;
    this.addresses = addresses;
    this.rooms = rooms;
    this.changes = changes;
    this.accounts = accounts;
    this.workspace = workspace;
    this.json = json;
    this.clock = clock;
  }

  ErasureLook look(PersonId person) {
    accounts.currentWith(Right.SETTINGS);
    List<PersonId> records = records(person);
    return new ErasureLook(
        person,
        held.find(person).name(),
        figures(records),
        mapper.asked(records.toArray(PersonId[]::new)));
  }

  /** The number of the certificate. */
  @Transactional
  long erase(PersonId person, ToErase wanted) {
    long me = accounts.currentWith(Right.SETTINGS).id();
    if (wanted.askedOn() != null && wanted.askedOn().isAfter(today(clock.instant()))) {
      throw Problem.wrong("askedOn", "That day is yet to come.");
    }
    return erase(person, wanted, me, figures(records(person)));
  }

  /** The house itself erases somebody who was archived long ago. */
  @Transactional
  public void eraseArchived(PersonId person) {
    erase(person, new ToErase(null, false), null, List.of());
  }

  /** Somebody who was made up leaves nothing, and needs no certificate. */
  @Transactional
  public void throwAway(PersonId person) {
    forget(records(person), false);
  }

  private long erase(PersonId person, ToErase wanted, Long by, List<HeldFigure> figures) {
    int marked = forget(records(person), wanted.neverAgain());
    return mapper.note(
        person, clock.instant(), by, wanted.askedOn(), marked, json.writeValueAsString(figures));
  }

  /** How many addresses are kept as marks. */
  private int forget(List<PersonId> records, boolean neverAgain) {
    records.forEach(changes::lock);
    PersonId[] ids = records.toArray(PersonId[]::new);
    Instant now = clock.instant();
    Forgotten who = forgotten(records, now);
    for (ForgetsPeople room : rooms) {
      for (ForgetsPeople.Busy busy : room.busy(who)) {
        if (mapper.ask(busy.question())) {
          throw Problem.conflict(busy.words());
        }
      }
    }
    List<String> wished = new ArrayList<>();
    if (neverAgain || mapper.asked(ids)) {
      wished.addAll(mapper.currentAddresses(ids));
      wished.retainAll(who.addresses());
    }
    int marked = addresses.erase(who.addresses(), wished, now);
    rooms.forEach(room -> room.forget(who).forEach(mapper::run));
    return marked;
  }

  private LocalDate today(Instant now) {
    return LocalDate.ofInstant(now, workspace.current().zoneId());
  }

  private List<PersonId> records(PersonId person) {
    List<PersonId> records = mapper.records(person);
    if (records.isEmpty()) {
      throw Problem.notFound("This person is not on record any more.");
    }
    if (mapper.mergedInto(person) != null) {
      throw Problem.conflict(
          "This record became part of another; erase that one, and this goes along.");
    }
    return records;
  }

  /** How much there is of what, of all their records; without what is private to colleagues. */
  private List<HeldFigure> figures(List<PersonId> records) {
    return HeldFigure.sum(records.stream().map(held::find).toList());
  }

  private Forgotten forgotten(List<PersonId> records, Instant now) {
    PersonId[] ids = records.toArray(PersonId[]::new);
    Map<String, List<String>> traces =
        mapper.traces(ids).stream()
            .collect(
                Collectors.groupingBy(
                    Trace::field, Collectors.mapping(Trace::value, Collectors.toList())));
    Set<String> keys = new LinkedHashSet<>();
    of(traces, "email").forEach(email -> keys.add(EmailAddress.key(email)));
    of(traces, "address").forEach(address -> keys.add(EmailAddress.key(address)));
    of(traces, "phone").forEach(phone -> keys.add(PhoneNumber.dialled(phone)));
    keys.remove("");
    Set<String> written = new LinkedHashSet<>(keys);
    written.addAll(of(traces, "phone"));
    Set<String> names = new LinkedHashSet<>(of(traces, "recipient"));
    names.addAll(ErasedPerson.names(of(traces, "first_name"), of(traces, "last_name")));
    leaveToOthers(keys, written, names, ids);
    return new Forgotten(
        records,
        mapper.causes(ids),
        List.copyOf(keys),
        of(traces, "picture"),
        ErasedPerson.pattern(written, List.of()),
        ErasedPerson.pattern(written, names),
        now);
  }

  /** What somebody else on record is known by too stays theirs. */
  private void leaveToOthers(
      Set<String> keys, Set<String> written, Set<String> names, PersonId[] ids) {
    List<String> shared = mapper.sharedAddresses(List.copyOf(keys), ids);
    shared.forEach(keys::remove);
    written.removeIf(
        w -> shared.contains(EmailAddress.key(w)) || shared.contains(PhoneNumber.dialled(w)));
    names.removeAll(mapper.sharedNames(List.copyOf(names), ids));
  }

  /** What was written to somebody just while they were erased is forgotten as well. */
  @Transactional
  public void forgetWhatCameBetween() {
    List<PersonId> late = mapper.leftBehind();
    if (!late.isEmpty()) {
      Forgotten who = forgotten(late, clock.instant());
      rooms.forEach(room -> room.forget(who).forEach(mapper::run));
    }
  }

  private static List<String> of(Map<String, List<String>> traces, String field) {
    return traces.getOrDefault(field, List.of());
  }
}
