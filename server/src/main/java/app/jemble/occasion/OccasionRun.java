package app.jemble.occasion;

import app.jemble.account.Account;
import app.jemble.core.access.Right;
import app.jemble.core.occasion.Occasion.Turn;
import app.jemble.core.occasion.TurnLook;
import app.jemble.core.occasion.TurnState;
import app.jemble.core.pace.Clocks;
import app.jemble.core.record.PersonId;
import app.jemble.message.SpentWords;
import app.jemble.occasion.OccasionMapper.Place;
import app.jemble.occasion.OccasionMapper.TurnRow;
import app.jemble.people.PeopleService;
import app.jemble.people.PersonRecord;
import app.jemble.record.ChangeService;
import app.jemble.task.TaskService;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.springframework.stereotype.Service;

/**
 * Says what is to be said on days that come round. Who has such a day soon is noted ahead, so that
 * a day on which nothing could leave is missed and not forgotten; a turn is taken, and what becomes
 * of it kept with the message, in one transaction: at most one a person, occasion and year.
 */
@Service
public class OccasionRun {

  /** How far ahead turns are noted. */
  static final int DAYS_AHEAD = 7;

  /** What was put in the outbox does not stay there longer. */
  private static final int STOPPED_FOR = 60;

  private static final int LOT = 500;
  private static final Place BEGINNING = new Place(LocalDate.EPOCH, 0);

  private final OccasionMapper mapper;
  private final ComingRound coming;
  private final TurnWriter writer;
  private final SpentWords spent;
  private final PeopleService people;
  private final TaskService tasks;
  private final ChangeService changes;
  private final OccasionHouse house;
  private final Clock clock;

  OccasionRun(
      OccasionMapper mapper,
      ComingRound coming,
      TurnWriter writer,
      SpentWords spent,
      PeopleService people,
      TaskService tasks,
      ChangeService changes,
      OccasionHouse house,
      Clock clock) {
    this.mapper = mapper;
    this.coming = coming;
    this.writer = writer;
    this.spent = spent;
    this.people = people;
    this.tasks = tasks;
    this.changes = changes;
    this.house = house;
    this.clock = clock;
  }

  /** Active standing mailings. */
  public List<Long> active() {
    return mapper.active();
  }

  /** Notes to whom it comes round in the next days, and whose day has changed. */
  public void lookAhead(long id) {
    house.inOneGo(
        () -> {
          StandingMailing of = mapper.held(id);
          if (of == null || of.state() != StandingMailing.State.ACTIVE) {
            return;
          }
          LocalDate today = house.today();
          Map<PersonId, Turn> turns =
              coming.between(of, today, today.plusDays(DAYS_AHEAD), house.asOf(of));
          mapper.goAgain(id, today, turns.keySet().toArray(PersonId[]::new));
          if (!turns.isEmpty()) {
            note(of, turns);
          }
        });
  }

  private void note(StandingMailing of, Map<PersonId, Turn> turns) {
    List<PersonId> added =
        mapper.come(
            of.id(),
            turns.keySet().toArray(PersonId[]::new),
            turns.values().stream().map(t -> t.day().toString()).toArray(String[]::new),
            turns.values().stream().map(Turn::years).toArray(Integer[]::new),
            turns.values().stream().map(t -> t.said().toString()).toArray(String[]::new),
            standsAs(of.leaves()));
    spent.of(of.causeId(), added.stream().filter(Objects::nonNull).toList());
  }

  /** How a turn stands that no colleague has decided on. */
  static TurnState standsAs(OccasionBody.Leaves leaves) {
    return leaves == OccasionBody.Leaves.ITSELF ? TurnState.NODDED : TurnState.AWAITS;
  }

  /** Says what is due, and notes what was missed. */
  public void say(long id) {
    mapper.stopped(id, house.today().minusDays(STOPPED_FOR), TurnWriter.APART);
    Place after = BEGINNING;
    while (after != null) {
      Place from = after;
      after = house.inOneGo(() -> sayLot(id, from));
    }
  }

  /** A lot of the turns after a place; answers where it ends, or null where there are no more. */
  private Place sayLot(long id, Place from) {
    StandingMailing of = mapper.held(id);
    if (of == null || of.state() == StandingMailing.State.DRAFT) {
      return null;
    }
    // Somewhere it is tomorrow already: fourteen hours ahead (Pacific/Kiritimati).
    List<TurnRow> lot = mapper.claim(id, house.today().plusDays(1), from, LOT);
    Instant now = clock.instant();
    Map<PersonId, PersonRecord> records = new HashMap<>();
    people
        .records(lot.stream().map(TurnRow::personId).toList())
        .forEach(p -> records.put(p.id(), p));
    boolean leaves = leaves(of);
    ComingRound.Today looked = coming.today(of);
    List<TurnRow> due = new ArrayList<>();
    Map<String, List<Long>> missed = new HashMap<>();
    for (TurnRow turn : lot) {
      PersonRecord person = records.get(turn.personId());
      TurnLook look = TurnLook.at(now, turn.saidOn(), of.saidAt(), zone(person));
      if (look == TurnLook.OVER) {
        missed.computeIfAbsent(missedWhy(of, turn), why -> new ArrayList<>()).add(turn.id());
      } else if (look == TurnLook.DUE
          && leaves
          && isDecided(of, turn)
          && person != null
          && looked.isSaid(person, turn.saidOn())) {
        due.add(turn);
      }
    }
    missed.forEach((why, ids) -> mapper.turn(ids.toArray(Long[]::new), TurnState.MISSED, why));
    if (!due.isEmpty()) {
      take(of, due, now);
    }
    TurnRow last = lot.isEmpty() ? null : lot.get(lot.size() - 1);
    return lot.size() < LOT ? null : new Place(last.saidOn(), last.id());
  }

  private boolean leaves(StandingMailing of) {
    return of.state() == StandingMailing.State.ACTIVE && house.sender(of).may(Right.SERIES);
  }

  /** Nobody nods at a task. */
  private static boolean isDecided(StandingMailing of, TurnRow turn) {
    return of.leaves() == OccasionBody.Leaves.TASK || turn.state() == TurnState.NODDED;
  }

  private static String missedWhy(StandingMailing of, TurnRow turn) {
    return isDecided(of, turn)
        ? "nothing could leave on the day"
        : "nobody had nodded by the end of the day";
  }

  private int take(StandingMailing of, List<TurnRow> due, Instant now) {
    return of.leaves() == OccasionBody.Leaves.TASK ? remind(of, due) : writer.write(of, due, now);
  }

  /** A task for each, those of as many years together. */
  private int remind(StandingMailing of, List<TurnRow> due) {
    Account sender = house.sender(of);
    long batch = changes.beginFor(sender.id(), "“" + of.name() + "” came round");
    String kind = tasks.usualKind();
    Map<TaskService.Draft, List<PersonId>> tasksOf = new LinkedHashMap<>();
    for (TurnRow turn : due) {
      String years = turn.years() > 0 ? " (" + turn.years() + ")" : "";
      TaskService.Draft task =
          new TaskService.Draft(kind, of.name() + years, turn.saidOn(), sender.login());
      tasksOf.computeIfAbsent(task, t -> new ArrayList<>()).add(turn.personId());
    }
    tasksOf.forEach((task, people) -> tasks.makeFor(sender.id(), batch, task, people));
    mapper.turn(due.stream().map(TurnRow::id).toArray(Long[]::new), TurnState.TASK, "");
    return due.size();
  }

  /** Says what was missed, now; answers how many left. */
  int sayLate(StandingMailing of, Long[] turns) {
    mapper.late(turns);
    return take(of, mapper.lockTurns(turns), clock.instant());
  }

  private ZoneId zone(PersonRecord person) {
    return Clocks.zone(person == null ? null : person.timeZone(), house.zone());
  }
}
