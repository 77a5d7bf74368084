package app.jemble.filter;

import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.core.access.Right;
import app.jemble.core.record.Related;
import app.jemble.problem.Problem;
import app.jemble.storage.RenamedWord;
import app.jemble.workspace.WorkspaceService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.ObjectMapper;

/** Filters kept under a name, one's own or shared, and how each colleague has set up a list. */
@Service
class KeptFilters implements RenamedWord.Follower {

  /** The lists that have filters. */
  private static final Map<String, Related> SUBJECTS =
      Map.of("quotes", Related.QUOTE, "tasks", Related.TASK, "events", Related.EVENT);

  /**
   * How a list is set up.
   *
   * @param columns the names of the fields shown, in order
   * @param widths in pixels, by the name of the field
   * @param sortBy the name of a field; null sorts by name
   */
  @Schema(name = "Layout")
  record Layout(
      List<String> columns,
      Map<String, Integer> widths,
      @Schema(nullable = true) String sortBy,
      boolean descending) {}

  /**
   * A kept filter.
   *
   * @param mine whether the colleague who asks has kept it, and may change it
   */
  record Kept(
      long id,
      String name,
      FilterBody filter,
      @Schema(nullable = true) Layout layout,
      boolean shared,
      boolean mine,
      String by) {}

  /** What is kept. */
  record KeptDraft(
      String subject,
      String name,
      FilterBody filter,
      @Schema(nullable = true) Layout layout,
      boolean shared) {}

  private static final int LONGEST_NAME = 80;
  private static final int WIDEST = 1000;

  private final KeptFilterMapper mapper;
  private final AccountService accounts;
  private final WorkspaceService workspace;
  private final ObjectMapper json;
  private final Clock clock;

  KeptFilters(
      KeptFilterMapper mapper,
      AccountService accounts,
      WorkspaceService workspace,
      ObjectMapper json,
      Clock clock) {
    this.mapper = mapper;
    this.accounts = accounts;
    this.workspace = workspace;
    this.json = json;
    this.clock = clock;
  }

  /** One's own, and those that others share. */
  List<Kept> all(String subject) {
    long me = accounts.current().id();
    return mapper.all(subject, me).stream()
        .map(
            row ->
                new Kept(
                    row.id(),
                    row.name(),
                    json.readValue(row.filter(), FilterBody.class),
                    row.layout().equals("{}") ? null : json.readValue(row.layout(), Layout.class),
                    row.shared(),
                    row.ownerId() == me,
                    row.owner()))
        .toList();
  }

  /** Keeps a filter; one of the same name of one's own is replaced. */
  @Transactional
  long keep(KeptDraft draft) {
    Account me = accounts.current();
    return mapper.keep(
        new KeptFilterMapper.ToKeep(
            subject(draft.subject()),
            name(draft.name()),
            filter(draft),
            json.writeValueAsString(draft.layout() == null ? Map.of() : sound(draft.layout())),
            draft.shared() && me.may(Right.WORK)),
        me.id(),
        clock.instant());
  }

  @Transactional
  void rename(long id, String name, boolean shared) {
    Account me = accounts.current();
    try {
      if (mapper.rename(id, name(name), shared && me.may(Right.WORK), me.id()) == 0) {
        throw notMine(id);
      }
    } catch (DuplicateKeyException taken) {
      throw Problem.wrong("name", "You have already kept a filter named “" + name.strip() + "”.");
    }
  }

  @Transactional
  void remove(long id) {
    if (mapper.remove(id, accounts.current().id()) == 0) {
      throw notMine(id);
    }
  }

  private Problem notMine(long id) {
    if (!mapper.isShared(id)) {
      return Problem.notFound("There is no such filter any more.");
    }
    return Problem.forbidden("Only who kept a filter can change it. Keep it under another name.");
  }

  /** How the colleague who asks has set up a list; null when never. */
  Layout layout(String subject) {
    String layout = mapper.layout(accounts.current().id(), subject);
    return layout == null ? null : json.readValue(layout, Layout.class);
  }

  @Transactional
  void setLayout(String subject, Layout layout) {
    mapper.setLayout(
        accounts.current().id(), subject(subject), json.writeValueAsString(sound(layout)));
  }

  /** What the list of a subject holds; null for people. */
  static Related kindOf(String subject) {
    return SUBJECTS.get(subject(subject));
  }

  private static String subject(String subject) {
    if (subject == null || !(subject.equals("people") || SUBJECTS.containsKey(subject))) {
      throw Problem.wrong("subject", "There is no list of “" + subject + "”.");
    }
    return subject;
  }

  private static String name(String name) {
    String words = name == null ? "" : name.strip();
    if (words.isEmpty() || words.length() > LONGEST_NAME) {
      throw Problem.wrong(
          "name", "Give the filter a name of at most " + LONGEST_NAME + " letters.");
    }
    return words;
  }

  private String filter(KeptDraft draft) {
    if (draft.filter() == null) {
      throw Problem.wrong("filter", "There is no filter to keep.");
    }
    Related kind = SUBJECTS.get(draft.subject());
    if (kind == null) {
      draft.filter().toFilter(workspace.fields());
    } else {
      draft.filter().toFilter(kind, workspace.fields());
    }
    return json.writeValueAsString(draft.filter());
  }

  private static Layout sound(Layout layout) {
    if (layout.columns() == null || layout.columns().size() > ListService.MOST_COLUMNS) {
      throw Problem.wrong(
          "columns", "Between none and " + ListService.MOST_COLUMNS + " columns are shown.");
    }
    Map<String, Integer> widths = layout.widths() == null ? Map.of() : layout.widths();
    if (widths.values().stream().anyMatch(w -> w == null || w < 40 || w > WIDEST)) {
      throw Problem.wrong("widths", "A column is 40 to " + WIDEST + " pixels wide.");
    }
    return new Layout(layout.columns(), widths, layout.sortBy(), layout.descending());
  }

  @Override
  public void follow(RenamedWord word) {
    for (KeptFilterMapper.Stored kept : mapper.about(word.field())) {
      String renamed = word.in(kept.filter(), SUBJECTS.get(kept.subject()), json);
      if (!renamed.equals(kept.filter())) {
        mapper.write(kept.id(), renamed);
      }
    }
  }
}
