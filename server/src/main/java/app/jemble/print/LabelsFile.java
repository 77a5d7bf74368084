package app.jemble.print;

import app.jemble.core.paper.Box;
import app.jemble.core.paper.LabelDesign;
import app.jemble.core.paper.LabelRun;
import app.jemble.core.paper.LabelRun.Spot;
import app.jemble.core.paper.LabelSetting.PlacedLine;
import app.jemble.core.paper.LabelSetting.SetLabel;
import app.jemble.paper.PaperFonts;
import app.jemble.paper.PaperPdf;
import java.io.IOException;
import java.io.OutputStream;
import java.util.Locale;

/** The file of a run's labels, one after another. */
final class LabelsFile implements AutoCloseable {

  /** Long strokes of the rulers, in millimetres; every other one is half as long. */
  private static final double STROKE = 4;

  private static final int CENTIMETRE = 10;

  private final LabelDesign design;
  private final LabelRun run;
  private final PaperPdf pdf;

  LabelsFile(LabelDesign design, LabelRun run, String title, Locale language) {
    this.design = design;
    this.run = run;
    this.pdf = new PaperPdf(title, language, PaperFonts.names(design.face()));
  }

  /**
   * Adds somebody's labels.
   *
   * @param item whose, from 0; they come in this order
   */
  void add(int item, SetLabel label) {
    for (int copy = 0; copy < run.copies(); copy++) {
      Spot spot = run.spot(item, copy);
      while (pdf.pages() <= spot.page()) {
        pdf.begin(design.sheet().paper());
      }
      draw(spot.box(), label);
    }
  }

  private void draw(Box place, SetLabel label) {
    for (PlacedLine line : label.lines()) {
      pdf.line(
          line.line(),
          place.left() + line.left(),
          place.top() + line.baseline(),
          label.fit().points());
    }
  }

  /** A page of outlines and rulers, to lay on a sheet and see how far a printer is off. */
  void addTestPage() {
    pdf.begin(design.sheet().paper());
    for (int i = 0; i < design.sheet().labels(); i++) {
      pdf.outline(design.sheet().label(i).moved(run.offsetAcross(), run.offsetDown()));
    }
    double width = design.sheet().paper().width();
    double height = design.sheet().paper().height();
    for (int mm = 0; mm <= width; mm++) {
      pdf.stroke(mm, 0, mm, length(mm));
    }
    for (int mm = 0; mm <= height; mm++) {
      pdf.stroke(0, mm, length(mm), mm);
    }
  }

  private static double length(int millimetre) {
    return millimetre % CENTIMETRE == 0 ? STROKE : STROKE / 2;
  }

  int pages() {
    return pdf.pages();
  }

  void save(OutputStream out) throws IOException {
    pdf.save(out);
  }

  @Override
  public void close() throws IOException {
    pdf.close();
  }
}
