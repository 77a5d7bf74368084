package app.jemble.exchange;

import app.jemble.core.exchange.ColumnMatch;
import app.jemble.core.record.DayOrder;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldType;
import app.jemble.pool.OnBehalf;
import app.jemble.problem.Problem;
import app.jemble.record.ChangeService;
import app.jemble.workspace.WorkspaceService;
import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.ObjectMapper;

/** The steps of an import: proposed, checked, run; each step works by itself and can be watched. */
@Service
class ImportService {

  private static final Logger LOG = LoggerFactory.getLogger(ImportService.class);
  private static final int SAMPLES = 50;

  private final ImportMapper mapper;
  private final OpenImports open;
  private final ImportChecker checker;
  private final ImportRunner runner;
  private final ChangeService changes;
  private final WorkspaceService workspace;
  private final ObjectMapper json;
  private final Clock clock;
  private final TransactionTemplate whole;
  private final TransactionTemplate apart;
  private final ExecutorService threads = Executors.newFixedThreadPool(1);

  ImportService(
      ImportMapper mapper,
      OpenImports open,
      ImportChecker checker,
      ImportRunner runner,
      ChangeService changes,
      WorkspaceService workspace,
      ObjectMapper json,
      Clock clock,
      PlatformTransactionManager transactions) {
    this.mapper = mapper;
    this.open = open;
    this.checker = checker;
    this.runner = runner;
    this.changes = changes;
    this.workspace = workspace;
    this.json = json;
    this.clock = clock;
    this.whole = new TransactionTemplate(transactions);
    this.apart = new TransactionTemplate(transactions);
    this.apart.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
  }

  @PreDestroy
  void stop() {
    threads.shutdownNow();
  }

  /** One's own import; a problem when there is none. */
  ImportRun find(long id) {
    return open.find(id);
  }

  /** What an import is likely to be: what was chosen before, else what the file looks like. */
  ImportChoices choices(ImportRun run) {
    if (run.choices() != null) {
      return json.readValue(run.choices(), ImportChoices.class);
    }
    List<List<String>> samples = samples(run);
    FieldCatalogue fields = workspace.fields();
    List<String> columns =
        run.form().equals("vcard")
            ? VcardFile.FIELDS
            : ColumnMatch.propose(run.headers(), samples, fields);
    boolean email = columns.contains("email");
    ImportChoices.SameBy sameBy =
        email || !columns.contains("number")
            ? ImportChoices.SameBy.EMAIL
            : ImportChoices.SameBy.NUMBER;
    return new ImportChoices(
        columns, sameBy, "contact", days(columns, samples, fields), null, null);
  }

  private static DayOrder days(
      List<String> columns, List<List<String>> samples, FieldCatalogue fields) {
    List<String> days = new ArrayList<>();
    for (int i = 0; i < columns.size(); i++) {
      FieldType type = columns.get(i) == null ? null : fields.find(columns.get(i)).get().type();
      if (type == FieldType.DAY || type == FieldType.INSTANT) {
        days.addAll(samples.get(i));
      }
    }
    return DayOrder.guess(days);
  }

  /** The first cells of each column. */
  List<List<String>> samples(ImportRun run) {
    List<List<String>> columns = new ArrayList<>();
    run.headers().forEach(h -> columns.add(new ArrayList<>()));
    for (ImportMapper.RawRow row : mapper.rawRows(run.id(), 0, SAMPLES)) {
      for (int i = 0; i < columns.size() && i < row.cells().size(); i++) {
        columns.get(i).add(row.cells().get(i));
      }
    }
    return columns;
  }

  /** Begins the dry run. */
  void check(long id, ImportChoices choices) {
    ImportRun run = find(id);
    ImportChoices sound = sound(run, choices);
    begin(id, "checking", json.writeValueAsString(sound));
    inBackground(
        id,
        () -> {
          checker.check(id, sound);
          mapper.end(id, "checked", "", null, clock.instant());
        });
  }

  private ImportChoices sound(ImportRun run, ImportChoices choices) {
    if (choices.columns() == null || choices.columns().size() != run.headers().size()) {
      throw Problem.wrong("columns", "Say of each column which field it is, or that it stays out.");
    }
    Set<String> seen = new HashSet<>();
    FieldCatalogue fields = workspace.fields();
    for (String column : choices.columns()) {
      if (column == null) {
        continue;
      }
      boolean known = fields.find(column).filter(ColumnMatch::mayBe).isPresent();
      if (!known) {
        throw Problem.wrong("columns", "There is no field named “" + column + "”.");
      }
      if (!seen.add(column)) {
        String label = fields.find(column).get().label();
        throw Problem.wrong("columns", "Two columns are both “" + label + "”.");
      }
    }
    if (seen.contains(ColumnMatch.WHOLE_ADDRESS)
        && seen.stream().anyMatch(ColumnMatch.PARTS_OF_ADDRESS::contains)) {
      throw Problem.wrong("columns", "The address is there as a whole and in parts; take one.");
    }
    if (seen.isEmpty()) {
      throw Problem.wrong("columns", "No column is a field yet.");
    }
    if (choices.sameBy() == null || choices.days() == null) {
      throw Problem.wrong("sameBy", "Say by what two records are the same person.");
    }
    if (!fields.find("kind").get().choices().contains(choices.kind())) {
      throw Problem.wrong("kind", "Say whether new people are contacts, leads or members.");
    }
    runner.mustBeOpen(choices);
    return choices;
  }

  /** Begins to take the rows in. */
  void run(long id) {
    ImportRun run = find(id);
    if (!run.state().equals("checked") && !run.state().equals("failed")) {
      throw Problem.conflict("Check the import first.");
    }
    begin(id, "running", null);
    ImportChoices choices = choices(run);
    inBackground(
        id,
        () ->
            whole.executeWithoutResult(
                tx -> {
                  long batch = changes.begin("Imported " + run.fileName());
                  runner.run(batch, run, choices, done -> progress(id, done));
                  mapper.end(id, "done", "", batch, clock.instant());
                }));
  }

  /** Seen at once, while the rows themselves are not. */
  private void progress(long id, int done) {
    apart.executeWithoutResult(tx -> mapper.progress(id, done, clock.instant()));
  }

  private void begin(long id, String state, String choices) {
    if (mapper.begin(id, state, choices, clock.instant()) == 0) {
      throw Problem.conflict("This import is under way, or done.");
    }
  }

  private void inBackground(long id, Runnable step) {
    SecurityContext who = SecurityContextHolder.getContext();
    threads.execute(
        OnBehalf.carried(
            () -> {
              SecurityContextHolder.setContext(who);
              try {
                step.run();
              } catch (RuntimeException failed) {
                LOG.error("import {} failed", id, failed);
                String trouble =
                    failed instanceof Problem known
                        ? known.getMessage()
                        : "Something went wrong, and nothing was changed. The server's log says what.";
                apart.executeWithoutResult(
                    tx -> mapper.end(id, "failed", trouble, null, clock.instant()));
              } finally {
                SecurityContextHolder.clearContext();
              }
            }));
  }
}
