package app.jemble.print;

import app.jemble.core.paper.LabelDesign;
import app.jemble.print.ItemMapper.Printed;
import app.jemble.workspace.WorkspaceService;
import java.io.BufferedOutputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.springframework.stereotype.Component;

/** Writes the labels or envelopes of a run. */
@Component
class LabelWriter implements RunWriter {

  private static final int CHUNK = 500;

  private final ItemMapper items;
  private final RunLayouts layouts;
  private final LabelSetter setter;
  private final WorkspaceService workspace;

  LabelWriter(
      ItemMapper items, RunLayouts layouts, LabelSetter setter, WorkspaceService workspace) {
    this.items = items;
    this.layouts = layouts;
    this.setter = setter;
    this.workspace = workspace;
  }

  @Override
  public boolean writes(PrintRun run) {
    return !run.isOfLetters();
  }

  @Override
  public int write(PrintRun run, Path file, Progress progress) throws IOException {
    LabelDesign design = layouts.design(run);
    try (LabelsFile pdf = begin(run, design, run.name())) {
      if (!addAll(run, design, pdf, progress)) {
        return STOPPED;
      }
      int pages = pdf.pages();
      try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file))) {
        pdf.save(out);
      }
      return pages;
    }
  }

  private LabelsFile begin(PrintRun run, LabelDesign design, String title) {
    return new LabelsFile(design, layouts.labels(run), title, workspace.current().locale());
  }

  /** Whether all are in it; not when it was stopped meanwhile. */
  private boolean addAll(PrintRun run, LabelDesign design, LabelsFile pdf, Progress progress) {
    int done = 0;
    while (done < run.toPrint()) {
      List<Printed> chunk = items.printed(run.id(), done, CHUNK);
      if (chunk.isEmpty()) {
        return false;
      }
      for (Printed item : chunk) {
        pdf.add(item.place(), setter.set(design, RunItem.of(item)));
      }
      done += chunk.size();
      if (!progress.at(done)) {
        return false;
      }
    }
    return true;
  }

  /** A page of outlines and rulers. */
  byte[] testPage(PrintRun run) {
    try (LabelsFile pdf = begin(run, layouts.design(run), "Test page");
        ByteArrayOutputStream out = new ByteArrayOutputStream()) {
      pdf.addTestPage();
      pdf.save(out);
      return out.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
