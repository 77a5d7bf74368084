package app.jemble.print.letter;

import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.cause.Cause;
import app.jemble.cause.OpenCauses;
import app.jemble.cause.Wordings;
import app.jemble.core.message.MessageId;
import app.jemble.core.paper.Country;
import app.jemble.core.paper.PostalLines.Postal;
import app.jemble.core.paper.PrintOrder;
import app.jemble.core.record.PersonId;
import app.jemble.outbox.PaperMessages;
import app.jemble.outbox.PaperMessages.Waiting;
import app.jemble.print.LetterItems;
import app.jemble.print.LetterItems.NewRun;
import app.jemble.print.LetterItems.Printed;
import app.jemble.print.LetterItems.ToPrint;
import app.jemble.print.PrintRun;
import app.jemble.print.RunState;
import app.jemble.problem.Problem;
import app.jemble.workspace.Workspace;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The letters of a cause: those that wait are printed by the run; a run that is posted has sent
 * them. Whoever may see the cause may see its letters.
 */
@Service
public class LetterRuns {

  private final LetterItems items;
  private final PaperMessages messages;
  private final OpenCauses causes;
  private final Wordings wordings;
  private final AccountService accounts;
  private final WorkspaceService workspace;
  private final Clock clock;

  LetterRuns(
      LetterItems items,
      PaperMessages messages,
      OpenCauses causes,
      Wordings wordings,
      AccountService accounts,
      WorkspaceService workspace,
      Clock clock) {
    this.items = items;
    this.messages = messages;
    this.causes = causes;
    this.wordings = wordings;
    this.accounts = accounts;
    this.workspace = workspace;
    this.clock = clock;
  }

  /** A cause that is open to the colleague who asks. */
  Cause cause(long id) {
    return causes.find(id);
  }

  /** A run that is open to the colleague who asks. */
  PrintRun find(long id) {
    PrintRun run = items.find(id);
    if (causes.nameOf(run.causeId()) == null) {
      throw LetterItems.none();
    }
    return run;
  }

  /** Causes whose letters are not all posted, the newest first. */
  List<Cause> causes() {
    return messages.causes(accounts.current().id()).stream().map(causes::find).toList();
  }

  /** The runs of a cause, the latest first. */
  List<PrintRun> ofCause(long causeId) {
    causes.find(causeId);
    return items.ofCause(causeId);
  }

  /** Which letters of a cause wait to be printed. */
  List<MessageId> waiting(long causeId) {
    causes.find(causeId);
    Set<MessageId> taken = new HashSet<>(items.taken(causeId));
    return messages.toPrint(causeId).stream().filter(id -> !taken.contains(id)).toList();
  }

  /**
   * Notes all that wait as being printed; a problem when there are none, or may be none yet.
   *
   * @return the run
   */
  @Transactional
  public long begin(long causeId, boolean duplex, PrintOrder order) {
    Account me = accounts.currentWriter();
    Cause cause = causes.lock(causeId);
    if (cause.pausedAt() != null) {
      throw Problem.conflict("It is paused; let it go on first.");
    }
    if (cause.isHeld(clock.instant())) {
      throw Problem.conflict("It can still be taken back; print its letters after that.");
    }
    messages.stopAsked(causeId);
    List<MessageId> ids = waiting(causeId);
    Map<MessageId, Waiting> letters =
        messages.of(ids).stream().collect(Collectors.toMap(Waiting::id, Function.identity()));
    List<ToPrint> byName =
        ids.stream()
            .map(letters::get)
            .filter(Objects::nonNull)
            .map(l -> new ToPrint(l.id(), l.personId(), l.address()))
            .toList();
    if (byName.isEmpty()) {
      throw Problem.conflict("There are no letters to print.");
    }
    Workspace house = workspace.current();
    List<ToPrint> sorted =
        order.sorted(
            byName,
            letter -> Postal.read(letter.address()),
            new Country(house.region()),
            house.locale());
    return items.begin(
        new NewRun(cause.name(), causeId, wordings.paper(cause), duplex, me.id()), sorted);
  }

  /** Its letters are to be printed again. */
  @Transactional
  public void drop(long id) {
    find(id);
    items.drop(id);
  }

  /** Notes that a run was posted: its letters are sent. */
  @Transactional
  public void post(long id, LocalDate day) {
    Account me = accounts.currentWriter();
    PrintRun run = find(id);
    Cause cause = causes.lock(run.causeId());
    if (run.state() != RunState.PRINTED || run.postedOn() != null) {
      throw Problem.conflict(
          run.postedOn() == null ? "Print it first." : "It has been posted already.");
    }
    if (cause.pausedAt() != null) {
      throw Problem.conflict("It is paused; let it go on first.");
    }
    Instant now = clock.instant();
    Workspace house = workspace.current();
    if (day.isAfter(LocalDate.ofInstant(now, house.zoneId()))) {
      throw Problem.wrong("day", "Note it on the day on which it is posted.");
    }
    items.post(id, day, me.id());
    Instant noon = day.atTime(LocalTime.NOON).atZone(house.zoneId()).toInstant();
    List<Printed> printed = items.all(id);
    messages.posted(
        printed.stream().map(Printed::messageId).toList(),
        printed.stream().map(Printed::subject).toList(),
        noon.isAfter(now) ? now : noon);
  }

  /**
   * Notes that somebody's came back.
   *
   * @param day null when it did not
   */
  @Transactional
  public void returned(long id, PersonId personId, LocalDate day) {
    accounts.currentWriter();
    if (find(id).postedOn() == null) {
      throw Problem.conflict("It has not been posted.");
    }
    items.returned(id, personId, day);
  }
}
