package app.jemble.people;

import app.jemble.core.record.Field;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.PersonId;
import app.jemble.filter.AskedNow;
import app.jemble.filter.ListService;
import app.jemble.filter.Selection;
import app.jemble.list.PersonLists;
import app.jemble.problem.Problem;
import app.jemble.record.ChangeService;
import app.jemble.task.TaskService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * What is done with many people at once: each act is one step in the history, and taken back whole.
 */
@Service
class BulkService {

  /** What can be done with a selection. */
  enum Kind {
    TAG,
    UNTAG,
    SET,
    ADD_TO_LIST,
    TAKE_OFF_LIST,
    MAKE_TASK,
    GIVE_OFFICE,
    END_OFFICE,
    ARCHIVE,
    RESTORE
  }

  /**
   * An act.
   *
   * @param field of SET: the field
   * @param value of SET: its value as people write it; of TAG and UNTAG: the tag
   * @param list of ADD_TO_LIST and TAKE_OFF_LIST
   * @param task of MAKE_TASK
   * @param office of GIVE_OFFICE
   * @param ending of END_OFFICE
   */
  @Schema(name = "PeopleAct")
  record Act(
      Selection who,
      Kind kind,
      @Schema(nullable = true) String field,
      @Schema(nullable = true) String value,
      @Schema(nullable = true) Long list,
      @Schema(nullable = true) TaskService.Draft task,
      @Schema(nullable = true) OfficeService.Draft office,
      @Schema(nullable = true) OfficeService.Ending ending) {}

  /**
   * What was done.
   *
   * @param id the act, to take it back
   * @param words what was done, as a sentence
   * @param changed how many people it changed
   * @param of how many were selected; the others were so already
   */
  record ActDone(long id, String words, long changed, long of) {}

  /** More are no help to whoever looks before they set one. */
  private static final int MOST_VALUES = 50;

  private final ChangeService changes;
  private final PersonLists personLists;
  private final TaskService tasks;
  private final OfficeService offices;
  private final ListService lists;
  private final WantedValues wanted;
  private final AskedNow asked;
  private final Clock clock;

  BulkService(
      ChangeService changes,
      PersonLists personLists,
      TaskService tasks,
      OfficeService offices,
      ListService lists,
      WantedValues wanted,
      AskedNow asked,
      Clock clock) {
    this.changes = changes;
    this.personLists = personLists;
    this.tasks = tasks;
    this.offices = offices;
    this.lists = lists;
    this.wanted = wanted;
    this.asked = asked;
    this.clock = clock;
  }

  /** A field of people who are picked. */
  record FieldOfMany(Selection who, String field) {}

  /** What people have in a field that may be set for all of them, the commonest values first. */
  List<ListService.ValueShare> values(FieldOfMany of) {
    if (of.who() == null || of.who().filter() == null) {
      throw Problem.wrong("who", "Say whom it is about.");
    }
    return lists.values(
        wanted.field(of.field()), of.who().filter(), of.who().which(), asked.byMe(), MOST_VALUES);
  }

  /** An office, and people who are picked. */
  record OfficeOfMany(Selection who, String office, LocalDate day) {}

  /** How many people are picked, and how many of them hold an office on a day. */
  record Holding(long people, long holding) {}

  Holding holding(OfficeOfMany of) {
    if (of.who() == null || of.who().filter() == null || of.day() == null) {
      throw Problem.wrong("who", "Say whom it is about, and on which day.");
    }
    List<PersonId> people = lists.peopleOf(null, of.who().filter(), of.who().which(), asked.byMe());
    return new Holding(people.size(), offices.holding(of.office(), of.day(), people));
  }

  @Transactional
  ActDone act(Act act) {
    if (act.who() == null || act.who().filter() == null || act.kind() == null) {
      throw Problem.wrong("who", "Say whom it is about, and what is to be done.");
    }
    long batch = changes.begin(act.kind().name());
    List<PersonId> people =
        lists.peopleOf(null, act.who().filter(), act.who().which(), asked.byMe());
    if (people.isEmpty()) {
      throw Problem.wrong("who", "Nobody is picked any more.");
    }
    long changed = apply(batch, act, people);
    String words = words(act);
    changes.name(batch, words + " (" + changed + (changed == 1 ? " person)" : " people)"));
    return new ActDone(batch, words, changed, people.size());
  }

  private long apply(long batch, Act act, List<PersonId> people) {
    return switch (act.kind()) {
      case TAG -> changes.setTag(batch, WantedValues.tag(act.value()), true, people);
      case UNTAG -> changes.setTag(batch, WantedValues.tag(act.value()), false, people);
      case SET -> set(batch, act, people);
      case ADD_TO_LIST -> personLists.add(batch, list(act), people);
      case TAKE_OFF_LIST -> personLists.remove(batch, list(act), people);
      case MAKE_TASK -> tasks.make(batch, task(act), people);
      case GIVE_OFFICE ->
          offices.beginEach(batch, given(act.office()), people, asked.byMe().today());
      case END_OFFICE -> offices.endEach(batch, given(act.ending()), people);
      case ARCHIVE ->
          changes.set(batch, PersonService.ARCHIVED, FieldValue.moment(clock.instant()), people);
      case RESTORE -> changes.set(batch, PersonService.ARCHIVED, FieldValue.EMPTY, people);
    };
  }

  private long set(long batch, Act act, List<PersonId> people) {
    Field field = wanted.field(act.field());
    return changes.set(batch, field, wanted.value(field, act.value()), people);
  }

  private static long list(Act act) {
    if (act.list() == null) {
      throw Problem.wrong("list", "Say which list.");
    }
    return act.list();
  }

  private static TaskService.Draft task(Act act) {
    if (act.task() == null) {
      throw Problem.wrong("task", "Say what is to be done.");
    }
    return act.task();
  }

  private static <T> T given(T office) {
    if (office == null) {
      throw Problem.wrong("office", "Say which office.");
    }
    return office;
  }

  private String words(Act act) {
    return switch (act.kind()) {
      case TAG -> "Tagged “" + WantedValues.tag(act.value()) + "”";
      case UNTAG -> "Took the tag “" + WantedValues.tag(act.value()) + "” away";
      case SET ->
          act.value() == null || act.value().isBlank()
              ? "Emptied " + label(act)
              : "Set " + label(act) + " to “" + act.value().strip() + "”";
      case ADD_TO_LIST -> "Put on the list “" + personLists.name(list(act)) + "”";
      case TAKE_OFF_LIST -> "Took off the list “" + personLists.name(list(act)) + "”";
      case MAKE_TASK -> "Made the task “" + act.task().title().strip() + "”";
      case GIVE_OFFICE -> "Gave the office of " + act.office().name();
      case END_OFFICE -> "Ended the office of " + act.ending().name();
      case ARCHIVE -> "Archived";
      case RESTORE -> "Took back from the archive";
    };
  }

  private String label(Act act) {
    return wanted.field(act.field()).label().toLowerCase(Locale.ROOT);
  }
}
