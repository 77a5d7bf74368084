package app.jemble.print;

import app.jemble.account.AccountService;
import app.jemble.audience.AudienceParts;
import app.jemble.audience.AudienceView.ShownPart;
import app.jemble.core.paper.LabelDesign;
import app.jemble.core.paper.LabelRun;
import app.jemble.core.paper.LabelRun.Spot;
import app.jemble.core.paper.LabelSetting.SetLabel;
import app.jemble.core.reach.Reach;
import app.jemble.print.ItemMapper.Printed;
import app.jemble.print.RunView.LabelReason;
import app.jemble.print.sheet.DesignBody;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Shows runs: drafts as they would be printed now, the others as they were. */
@Component
class RunViews {

  private static final int MOST_FINDINGS = 200;

  private final RunLayouts layouts;
  private final LabelSetter setter;
  private final ItemMapper items;
  private final AudienceParts parts;
  private final AccountService accounts;

  RunViews(
      RunLayouts layouts,
      LabelSetter setter,
      ItemMapper items,
      AudienceParts parts,
      AccountService accounts) {
    this.layouts = layouts;
    this.setter = setter;
    this.items = items;
    this.parts = parts;
    this.accounts = accounts;
  }

  RunView view(PrintRun run) {
    boolean draft = run.state() == RunState.DRAFT;
    LaidRun laid =
        draft
            ? layouts.of(run)
            : new LaidRun(
                layouts.design(run),
                layouts.labels(run),
                List.of(),
                Map.of(),
                List.of(),
                List.of());
    int people = draft ? laid.items().size() : run.toPrint();
    List<LabelFinding> findings = laid.findings();
    return new RunView(
        run.id(),
        run.name(),
        accounts.find(run.madeBy()).name(),
        run.version(),
        run.state(),
        parts.read(run.parts()).stream()
            .map(part -> new ShownPart(part.name(), part.filter(), parts.words(part)))
            .toList(),
        List.of(run.picks()),
        List.of(run.leftOut()),
        DesignBody.of(laid.design()),
        run.start(),
        run.copies(),
        run.offsetAcross(),
        run.offsetDown(),
        tally(laid),
        people,
        laid.run().pages(people),
        laid.errors(),
        findings.subList(0, Math.min(findings.size(), MOST_FINDINGS)),
        findings.size(),
        run.toPrint(),
        run.done(),
        run.trouble(),
        run.printedAt(),
        run.postedOn());
  }

  private static List<LabelReason> tally(LaidRun laid) {
    List<LabelReason> tally = new ArrayList<>();
    laid.without().forEach((reach, people) -> tally.add(reason(reach, people.size())));
    if (!laid.items().isEmpty()) {
      tally.add(reason(Reach.READY, laid.items().size()));
    }
    return tally;
  }

  private static LabelReason reason(Reach reach, int people) {
    return new LabelReason(reach, words(reach), people);
  }

  /** Who gets no label for a reason; the first of them, in order of name. */
  List<RunPeople.Without> without(PrintRun run, Reach reason) {
    List<RunPeople.Without> people = layouts.of(run).without().getOrDefault(reason, List.of());
    return people.subList(0, Math.min(people.size(), MOST_FINDINGS));
  }

  private static String words(Reach reach) {
    return switch (reach) {
      case READY -> "to print";
      case NO_ADDRESS -> "no postal address";
      case NOT_VALID -> "a letter came back from there";
      default -> reach.words();
    };
  }

  /**
   * @param page from 0; the last one where there are fewer
   */
  SheetPage page(PrintRun run, int page) {
    if (run.state() == RunState.DRAFT) {
      LaidRun laid = layouts.of(run);
      int shown = within(page, laid.pages());
      return page(laid.design(), laid.run(), shown, laid.items().size(), laid.items()::get);
    }
    LabelRun labels = layouts.labels(run);
    int shown = within(page, labels.pages(run.toPrint()));
    int first = firstItem(labels, shown);
    List<Printed> printed =
        items.printed(run.id(), first, labels.sheet().labels() / labels.copies() + 2);
    return page(
        layouts.design(run), labels, shown, run.toPrint(), i -> RunItem.of(printed.get(i - first)));
  }

  private static int within(int page, int pages) {
    return Math.max(0, Math.min(page, pages - 1));
  }

  private static int firstItem(LabelRun labels, int page) {
    long place = (long) page * labels.sheet().labels() - labels.start();
    return place <= 0 ? 0 : (int) (place / labels.copies());
  }

  private interface Items {
    RunItem get(int item);
  }

  private SheetPage page(LabelDesign design, LabelRun labels, int page, int people, Items ofRun) {
    List<SheetPage.SheetLabel> shown = new ArrayList<>();
    for (int item = firstItem(labels, page); item < people; item++) {
      for (int copy = 0; copy < labels.copies(); copy++) {
        Spot spot = labels.spot(item, copy);
        if (spot.page() == page) {
          shown.add(label(design, spot, ofRun.get(item)));
        } else if (spot.page() > page) {
          return new SheetPage(page, labels.pages(people), shown);
        }
      }
    }
    return new SheetPage(page, labels.pages(people), shown);
  }

  private SheetPage.SheetLabel label(LabelDesign design, Spot spot, RunItem item) {
    SetLabel set = setter.set(design, item);
    return new SheetPage.SheetLabel(
        spot.label(),
        spot.box().left(),
        spot.box().top(),
        item.personId(),
        item.name(),
        String.join("\n", item.lines()),
        item.own(),
        set.fit().points(),
        set.fit().fits(),
        set.fit().shrunk(),
        item.returnedOn(),
        set.lines().stream()
            .map(
                line ->
                    new SheetPage.SheetLine(
                        line.line().text(),
                        line.left(),
                        line.baseline(),
                        line.width(),
                        line.line().rightToLeft()))
            .toList());
  }
}
