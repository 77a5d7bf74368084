package app.jemble.font;

import java.awt.Font;
import java.awt.FontFormatException;
import java.io.IOException;
import java.io.InputStream;

/** The fonts that ship, by name: TrueType, under the SIL Open Font License 1.1. */
public final class ShippedFonts {

  private ShippedFonts() {}

  /** The file of a font, such as {@code NotoSans_400Regular}. */
  public static InputStream open(String name) {
    InputStream file = ShippedFonts.class.getResourceAsStream("/fonts/" + name + ".ttf");
    if (file == null) {
      throw new IllegalStateException("the font " + name + " did not ship");
    }
    return file;
  }

  /** The same, to measure and to draw with, at one point. */
  public static Font read(String name) {
    try (InputStream file = open(name)) {
      return Font.createFont(Font.TRUETYPE_FONT, file);
    } catch (IOException | FontFormatException e) {
      throw new IllegalStateException("the font " + name + " cannot be read", e);
    }
  }
}
