package app.jemble.paper;

import com.ibm.icu.text.ArabicShaping;
import com.ibm.icu.text.ArabicShapingException;
import com.openhtmltopdf.bidi.BidiReorderer;
import com.openhtmltopdf.bidi.BidiSplitter;
import com.openhtmltopdf.bidi.BidiTextRun;
import java.text.Bidi;

/** Lines with words from right to left (Unicode Standard Annex 9, by the JDK). */
final class BidiLines implements BidiSplitter {

  private Bidi lines;

  @Override
  public void setParagraph(String paragraph, byte direction) {
    lines =
        new Bidi(
            paragraph,
            switch (direction) {
              case LTR -> Bidi.DIRECTION_LEFT_TO_RIGHT;
              case RTL -> Bidi.DIRECTION_RIGHT_TO_LEFT;
              default -> Bidi.DIRECTION_DEFAULT_LEFT_TO_RIGHT;
            });
  }

  @Override
  public int countTextRuns() {
    return lines.getRunCount();
  }

  @Override
  public BidiTextRun getVisualRun(int run) {
    int start = lines.getRunStart(run);
    byte direction = lines.getRunLevel(run) % 2 == 0 ? LTR : RTL;
    return new BidiTextRun(start, lines.getRunLimit(run) - start, direction);
  }

  @Override
  public byte getBaseDirection(String paragraph) {
    Bidi bidi = new Bidi(paragraph, Bidi.DIRECTION_DEFAULT_LEFT_TO_RIGHT);
    return bidi.baseIsLeftToRight() ? LTR : RTL;
  }

  /** Letters in the order in which they stand on paper, Arabic ones joined (by ICU). */
  static final class Reordering implements BidiReorderer {

    private static final ArabicShaping JOINED =
        new ArabicShaping(
            ArabicShaping.LETTERS_SHAPE
                | ArabicShaping.TEXT_DIRECTION_LOGICAL
                | ArabicShaping.LENGTH_GROW_SHRINK);

    private static final ArabicShaping APART =
        new ArabicShaping(
            ArabicShaping.LETTERS_UNSHAPE
                | ArabicShaping.TEXT_DIRECTION_LOGICAL
                | ArabicShaping.LENGTH_GROW_SHRINK);

    @Override
    public String reorderRTLTextToLTR(String text) {
      return com.ibm.icu.text.Bidi.writeReverse(
          text, com.ibm.icu.text.Bidi.DO_MIRRORING | com.ibm.icu.text.Bidi.KEEP_BASE_COMBINING);
    }

    @Override
    public String shapeText(String text) {
      return shaped(text, JOINED);
    }

    @Override
    public String deshapeText(String text) {
      return shaped(text, APART);
    }

    private static String shaped(String text, ArabicShaping how) {
      try {
        return how.shape(text);
      } catch (ArabicShapingException e) {
        throw new IllegalStateException("shaping may grow and shrink, so it has room", e);
      }
    }

    @Override
    public boolean isLiveImplementation() {
      return true;
    }
  }
}
