package app.jemble.print;

import app.jemble.core.paper.LabelDesign;
import app.jemble.core.paper.LabelFit;
import app.jemble.core.paper.LabelRun;
import app.jemble.print.sheet.DesignBody;
import app.jemble.problem.Problem;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import tools.jackson.databind.ObjectMapper;

/** Lays the labels of a draft on their sheets, as they would be printed now. */
@Component
class RunLayouts {

  /** Whoever turns the pages of a run looks at everyone once; what is mended is seen soon. */
  private static final Duration KEPT = Duration.ofSeconds(3);

  private static final int MOST_KEPT = 4;

  private record Key(long run, int version) {}

  private final RunPeople people;
  private final LabelSetter setter;
  private final ObjectMapper json;
  private final Cache<Key, LaidRun> laid =
      Caffeine.newBuilder().maximumSize(MOST_KEPT).expireAfterWrite(KEPT).build();

  RunLayouts(RunPeople people, LabelSetter setter, ObjectMapper json) {
    this.people = people;
    this.setter = setter;
    this.json = json;
  }

  LaidRun of(PrintRun run) {
    return laid.get(new Key(run.id(), run.version()), key -> lay(run));
  }

  /** Who is to be printed for as things stand now. */
  RunPeople.Found people(PrintRun run) {
    return people.of(run, design(run));
  }

  LabelDesign design(PrintRun run) {
    return json.readValue(run.design(), DesignBody.class).sound();
  }

  /** Which label is where; a problem when it cannot be printed so. */
  LabelRun labels(PrintRun run) {
    return labels(design(run), run.start(), run.copies(), run.offsetAcross(), run.offsetDown());
  }

  static LabelRun labels(
      LabelDesign design, int start, int copies, double offsetAcross, double offsetDown) {
    try {
      return new LabelRun(design.sheet(), start, copies, offsetAcross, offsetDown);
    } catch (IllegalArgumentException e) {
      throw Problem.wrong("start", e.getMessage());
    }
  }

  private LaidRun lay(PrintRun run) {
    LabelDesign design = design(run);
    LabelRun labels = labels(run);
    RunPeople.Found found = people.of(run, design);
    List<LabelFinding> findings = new ArrayList<>();
    for (int i = 0; i < found.items().size(); i++) {
      find(design, found.items().get(i), labels.spot(i, 0).page(), findings);
    }
    findings.sort((one, other) -> one.kind().compareTo(other.kind()));
    return new LaidRun(design, labels, found.items(), found.without(), found.errors(), findings);
  }

  private void find(LabelDesign design, RunItem item, int page, List<LabelFinding> findings) {
    LabelFit.Fit fit = setter.set(design, item).fit();
    if (!fit.fits()) {
      add(findings, item, LabelFinding.Kind.TOO_LONG, page, "does not fit, even at 7 points");
    } else if (fit.shrunk()) {
      String size =
          fit.points() == (int) fit.points() ? "" + (int) fit.points() : "" + fit.points();
      add(findings, item, LabelFinding.Kind.SHRUNK, page, "is printed at " + size + " points");
    }
    String lacking = setter.lacking(design, item);
    if (!lacking.isEmpty()) {
      add(findings, item, LabelFinding.Kind.LETTERS, page, "has letters no font has: " + lacking);
    }
    if (item.lines().isEmpty()) {
      add(findings, item, LabelFinding.Kind.EMPTY, page, "has nothing on it");
    } else if (!item.missing().isEmpty()) {
      String missing = item.missing().stream().sorted().collect(Collectors.joining(", "));
      add(
          findings,
          item,
          LabelFinding.Kind.MISSING,
          page,
          "has a gap: no " + missing.toLowerCase(Locale.ROOT));
    }
  }

  private static void add(
      List<LabelFinding> findings, RunItem item, LabelFinding.Kind kind, int page, String words) {
    findings.add(new LabelFinding(item.personId(), item.name(), kind, page, words));
  }
}
