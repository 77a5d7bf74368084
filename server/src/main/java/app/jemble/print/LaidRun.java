package app.jemble.print;

import app.jemble.core.paper.LabelDesign;
import app.jemble.core.paper.LabelRun;
import app.jemble.core.reach.Reach;
import java.util.List;
import java.util.Map;

/**
 * A run as its labels lie on their sheets.
 *
 * @param without who gets no label, by the first reason
 */
record LaidRun(
    LabelDesign design,
    LabelRun run,
    List<RunItem> items,
    Map<Reach, List<RunPeople.Without>> without,
    List<String> errors,
    List<LabelFinding> findings) {

  int pages() {
    return run.pages(items.size());
  }
}
