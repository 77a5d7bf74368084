package app.jemble.paper;

import app.jemble.core.paper.LabelDesign.Face;
import app.jemble.core.paper.Shaper;
import app.jemble.font.ShippedFonts;
import java.awt.Font;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** The fonts of paper: of each face the letters of many scripts, read when they are first asked. */
@Component
public class PaperFonts {

  private static final List<String> SCRIPTS =
      List.of(
          "NotoSans_400Regular",
          "NotoSansArabic_400Regular",
          "NotoSansHebrew_400Regular",
          "NotoSansThai_400Regular",
          "NotoSansJP_400Regular",
          "NotoSansSC_400Regular",
          "NotoSansKR_400Regular");

  private final Map<Face, Shaper> shapers = new EnumMap<>(Face.class);

  /** The names of a face's fonts, in the order in which its {@link #shaper} counts them. */
  public static List<String> names(Face face) {
    return switch (face) {
      case SANS -> SCRIPTS;
      case SERIF -> Stream.concat(Stream.of("Literata_400Regular"), SCRIPTS.stream()).toList();
    };
  }

  public synchronized Shaper shaper(Face face) {
    return shapers.computeIfAbsent(face, PaperFonts::read);
  }

  private static Shaper read(Face face) {
    List<Font> fonts = names(face).stream().map(ShippedFonts::read).toList();
    return new Shaper(fonts);
  }
}
