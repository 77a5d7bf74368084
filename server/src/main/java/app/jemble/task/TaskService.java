package app.jemble.task;

import app.jemble.account.AccountService;
import app.jemble.core.house.StandingWord;
import app.jemble.core.record.PersonId;
import app.jemble.core.record.Related;
import app.jemble.problem.Problem;
import app.jemble.record.ChangeService;
import app.jemble.record.Undoing;
import app.jemble.storage.RenamedWord;
import app.jemble.workspace.WorkspaceService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Tasks: made for many people at once, done, moved and handed over, many at once. */
@Service
public class TaskService implements Undoing, RenamedWord.Follower {

  private static final String FIELD = "task";
  private static final String KIND = StandingWord.About.TASK.field();

  /**
   * A task to make.
   *
   * @param kind one of the house's; empty for the first of them
   * @param dueOn its day; null for none
   * @param owner a colleague by login; null for the owner of each person
   */
  @Schema(name = "TaskDraft")
  public record Draft(
      String kind,
      String title,
      @Schema(nullable = true) LocalDate dueOn,
      @Schema(nullable = true) String owner) {}

  private final TaskMapper mapper;
  private final ChangeService changes;
  private final AccountService accounts;
  private final WorkspaceService workspace;
  private final Clock clock;

  TaskService(
      TaskMapper mapper,
      ChangeService changes,
      AccountService accounts,
      WorkspaceService workspace,
      Clock clock) {
    this.mapper = mapper;
    this.changes = changes;
    this.accounts = accounts;
    this.workspace = workspace;
    this.clock = clock;
  }

  /** What a task is of that nobody makes by hand. */
  public String usualKind() {
    return workspace.usualKindOfTask();
  }

  /** Tasks of a kind follow when it is renamed. */
  @Override
  public void follow(RenamedWord word) {
    if (word.isOf(StandingWord.About.TASK)) {
      mapper.renameKind(word.before(), word.after());
    }
  }

  /** Makes one task a person; answers how many. */
  public long make(long batch, Draft draft, List<PersonId> people) {
    return makeFor(accounts.currentWriter().id(), batch, draft, people);
  }

  /** The same for a colleague, who is not there; tasks of people without an owner are theirs. */
  public long makeFor(long account, long batch, Draft draft, List<PersonId> people) {
    List<TaskMapper.MadeRow> made =
        mapper.make(sound(draft), people.toArray(PersonId[]::new), clock.instant(), account);
    changes.noteEach(
        batch,
        made.stream().map(TaskMapper.MadeRow::personId).toList(),
        FIELD,
        made.stream().map(TaskMapper.MadeRow::id).toList());
    return made.size();
  }

  /** Marks tasks done, or not done; answers those that changed. */
  @Transactional
  public List<Long> setDone(List<Long> tasks, boolean done) {
    accounts.currentWriter();
    return mapper.setDone(tasks.toArray(Long[]::new), done ? clock.instant() : null);
  }

  /** Gives tasks another day. */
  @Transactional
  public int move(List<Long> tasks, LocalDate day) {
    accounts.currentWriter();
    if (day == null) {
      throw Problem.wrong("dueOn", "Say to which day the tasks are moved.");
    }
    return mapper.move(tasks.toArray(Long[]::new), day);
  }

  /** Gives tasks to a colleague. */
  @Transactional
  public int handOver(List<Long> tasks, String login) {
    accounts.currentWriter();
    known(login);
    return mapper.handOver(tasks.toArray(Long[]::new), login);
  }

  @Override
  public boolean takes(String field) {
    return field.equals(FIELD);
  }

  @Override
  public void undo(String field, List<Noted> changes) {
    mapper.takeBack(changes.stream().map(c -> Long.valueOf(c.after())).toArray(Long[]::new));
  }

  /** The draft as it is made; a problem when it cannot be. */
  public Draft sound(Draft draft) {
    List<String> kinds = workspace.fields().around(Related.TASK).find(KIND).orElseThrow().choices();
    String kind = draft.kind() == null || draft.kind().isEmpty() ? usualKind() : draft.kind();
    if (!kinds.contains(kind)) {
      throw Problem.wrong("kind", "A task is one of " + String.join(", ", kinds) + ".");
    }
    String title = draft.title() == null ? "" : draft.title().strip();
    if (title.isEmpty() || title.length() > 200) {
      throw Problem.wrong("title", "Say in at most 200 letters what is to be done.");
    }
    if (draft.owner() != null) {
      known(draft.owner());
    }
    return new Draft(kind, title, draft.dueOn(), draft.owner());
  }

  private void known(String login) {
    if (!accounts.isThere(login)) {
      throw Problem.wrong("owner", "There is no colleague named “" + login + "”.");
    }
  }
}
