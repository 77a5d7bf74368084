package app.jemble.print;

import app.jemble.core.paper.LabelDesign;
import app.jemble.core.paper.LabelSetting;
import app.jemble.core.paper.LabelSetting.SetLabel;
import app.jemble.core.paper.Shaper;
import app.jemble.paper.PaperFonts;
import org.springframework.stereotype.Component;

/** Sets the words of labels into their places, in the fonts that ship. */
@Component
class LabelSetter {

  private final PaperFonts fonts;

  LabelSetter(PaperFonts fonts) {
    this.fonts = fonts;
  }

  SetLabel set(LabelDesign design, RunItem item) {
    Shaper shaper = fonts.shaper(design.face());
    return LabelSetting.of(design, item.lines().stream().map(shaper::shape).toList());
  }

  /** Letters of a label that no font has. */
  String lacking(LabelDesign design, RunItem item) {
    return fonts.shaper(design.face()).lacking(item.words());
  }
}
