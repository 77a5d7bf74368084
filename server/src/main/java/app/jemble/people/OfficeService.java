package app.jemble.people;

import app.jemble.account.AccountService;
import app.jemble.core.house.StandingWord;
import app.jemble.core.record.PersonId;
import app.jemble.people.OfficeMapper.HeldRow;
import app.jemble.problem.Problem;
import app.jemble.record.ChangeService;
import app.jemble.record.Undoing;
import app.jemble.storage.RenamedWord;
import app.jemble.workspace.WorkspaceService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Posts that people hold: begun, and ended on a day. Which there are, the house says. */
@Service
class OfficeService implements Undoing, RenamedWord.Follower {

  private static final String FIELD = "office";

  /**
   * Before the last day that an office had, which may be none, a slash, and the one it was given.
   */
  private static final String ENDED = "office_ended:";

  private static final int LONGEST = 80;

  /**
   * An office to hold.
   *
   * @param name one of the house's offices
   * @param body the committee or body it belongs to, or null
   * @param since the first day, or null when it is not known
   */
  @Schema(name = "OfficeDraft")
  record Draft(
      String name,
      @Schema(nullable = true) String body,
      @Schema(nullable = true) LocalDate since) {}

  /** An office that ends for many, and its last day. */
  @Schema(name = "OfficeEnding")
  record Ending(String name, LocalDate until) {}

  private final OfficeMapper mapper;
  private final ChangeService changes;
  private final AccountService accounts;
  private final WorkspaceService workspace;

  OfficeService(
      OfficeMapper mapper,
      ChangeService changes,
      AccountService accounts,
      WorkspaceService workspace) {
    this.mapper = mapper;
    this.changes = changes;
    this.accounts = accounts;
    this.workspace = workspace;
  }

  /** Whoever holds it follows when an office is renamed. */
  @Override
  public void follow(RenamedWord word) {
    if (word.isOf(StandingWord.About.OFFICE)) {
      mapper.rename(word.before(), word.after());
    }
  }

  /** Gives a person an office; answers the act, to take it back. */
  @Transactional
  long begin(PersonId person, Draft draft) {
    String name = known(draft.name());
    if (!changes.lock(person)) {
      throw Problem.notFound("There is no such person any more.");
    }
    long batch = changes.begin("Gave the office of " + name);
    long id = mapper.begin(person, new Draft(name, words("body", draft.body()), draft.since()));
    changes.noteEach(batch, List.of(person), FIELD, List.of(id));
    return batch;
  }

  /** Gives an office to each of many who do not hold it yet; answers to how many. */
  long beginEach(long batch, Draft draft, List<PersonId> people, LocalDate today) {
    Draft office = new Draft(known(draft.name()), words("body", draft.body()), draft.since());
    // Whoever else is giving it now has done so before it is asked who holds it.
    changes.lockEach(people);
    List<HeldRow> begun = mapper.beginEach(people.toArray(PersonId[]::new), office, today);
    note(batch, FIELD, begun);
    return begun.size();
  }

  /** Ends an office on a day for each of many who hold it then; answers for how many. */
  long endEach(long batch, Ending ending, List<PersonId> people) {
    List<HeldRow> ended =
        mapper.endEach(people.toArray(PersonId[]::new), ending.name(), ending.until());
    Map<String, List<HeldRow>> byLast =
        ended.stream()
            .collect(Collectors.groupingBy(row -> ENDED + last(row) + "/" + ending.until()));
    byLast.forEach((field, rows) -> note(batch, field, rows));
    return ended.size();
  }

  private static String last(HeldRow row) {
    return row.until() == null ? "" : row.until().toString();
  }

  private void note(long batch, String field, List<HeldRow> rows) {
    changes.noteEach(
        batch,
        rows.stream().map(HeldRow::personId).toList(),
        field,
        rows.stream().map(HeldRow::id).toList());
  }

  /** How many of these people hold an office on a day. */
  long holding(String office, LocalDate day, List<PersonId> people) {
    return mapper.holding(people.toArray(PersonId[]::new), office, day);
  }

  private String known(String name) {
    List<String> offices = names();
    if (name == null || !offices.contains(name)) {
      throw Problem.wrong(
          "name",
          offices.isEmpty()
              ? "There are no offices yet. They are named in the settings, under “Words of the"
                  + " house”."
              : "Choose one of the house's offices: " + String.join(", ", offices) + ".");
    }
    return name;
  }

  private static String words(String field, String text) {
    String words = text == null ? "" : text.strip();
    if (words.length() > LONGEST) {
      throw Problem.wrong(field, "At most " + LONGEST + " letters.");
    }
    return words.isEmpty() ? null : words;
  }

  /** Ends an office on a day; a null day lets it go on. */
  @Transactional
  void end(PersonId person, long id, LocalDate until) {
    accounts.currentWriter();
    LocalDate since = mapper.since(id);
    if (until != null && since != null && until.isBefore(since)) {
      throw Problem.wrong("until", "It cannot end before it began.");
    }
    if (mapper.end(person, id, until) == 0) {
      throw Problem.notFound("There is no such office any more.");
    }
  }

  /** The house's offices that are given, in their order. */
  List<String> names() {
    return workspace.given(StandingWord.About.OFFICE);
  }

  @Override
  public boolean takes(String field) {
    return field.equals(FIELD) || field.startsWith(ENDED);
  }

  @Override
  public void undo(String field, List<Noted> noted) {
    Long[] ids = noted.stream().map(n -> Long.valueOf(n.after())).toArray(Long[]::new);
    if (field.equals(FIELD)) {
      mapper.remove(ids);
    } else {
      String[] days = field.substring(ENDED.length()).split("/", 2);
      LocalDate last = days[0].isEmpty() ? null : LocalDate.parse(days[0]);
      mapper.endAgain(ids, last, LocalDate.parse(days[1]));
    }
  }
}
