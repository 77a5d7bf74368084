package app.jemble.card;

import app.jemble.core.card.CardDrawing;
import app.jemble.core.card.CardFonts;
import app.jemble.core.message.InlinePicture;
import app.jemble.font.ShippedFonts;
import app.jemble.picture.PictureService;
import app.jemble.problem.Problem;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.awt.Font;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.imageio.ImageIO;
import net.coobird.thumbnailator.Thumbnails;
import org.springframework.stereotype.Component;

/**
 * What cards are drawn on and with: the pictures and fonts that ship, and the house's own pictures.
 */
@Component
public class CardBoard {

  /** Drawn for Jemble; their sources (SVG) stand beside them. */
  public static final List<String> SHIPPED =
      List.of("pennants", "hills", "leaves", "candles", "boats", "lanterns");

  private static final List<String> FONTS =
      List.of(
          "NotoSans",
          "NotoSansArabic",
          "NotoSansHebrew",
          "NotoSansDevanagari",
          "NotoSansThai",
          "NotoSansJP");

  /** Mail shows them 600 wide; on finer screens each point is one and two thirds. */
  private static final int WIDEST = 1000;

  private static final int MOST_KEPT = 12;

  private final PictureService pictures;
  private final Cache<String, BufferedImage> read =
      Caffeine.newBuilder().maximumSize(MOST_KEPT).build();
  private CardFonts fonts;

  CardBoard(PictureService pictures) {
    this.pictures = pictures;
  }

  /** Read when the first card is drawn: they take a moment and a few megabytes. */
  public synchronized CardFonts fonts() {
    if (fonts == null) {
      List<Font> all = new ArrayList<>();
      for (String name : FONTS) {
        all.add(ShippedFonts.read(name + "_600SemiBold"));
      }
      fonts = new CardFonts(all);
    }
    return fonts;
  }

  /** A picture to draw on; a problem when there is none of that name or key. */
  BufferedImage picture(String picture) {
    return read.get(picture == null ? "" : picture, this::load);
  }

  /** The file of a picture that ships. */
  Optional<byte[]> file(String name) {
    if (!SHIPPED.contains(name)) {
      return Optional.empty();
    }
    try (InputStream file = shipped("pictures/" + name + ".png")) {
      return Optional.of(file.readAllBytes());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private BufferedImage load(String picture) {
    byte[] octets =
        file(picture)
            .or(() -> pictures.find(picture).map(InlinePicture.Stored::octets))
            .orElseThrow(() -> Problem.wrong("picture", "This picture is not there any more."));
    try {
      return asCardsAre(ImageIO.read(new ByteArrayInputStream(octets)));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** As wide as cards are, and points as cards have them, so that each card need not turn them. */
  private static BufferedImage asCardsAre(BufferedImage picture) throws IOException {
    BufferedImage fitting =
        picture.getWidth() <= WIDEST
            ? picture
            : Thumbnails.of(picture).width(WIDEST).asBufferedImage();
    return CardDrawing.draw(fitting, List.of(), new CardFonts(List.of()));
  }

  private static InputStream shipped(String path) throws IOException {
    InputStream file = CardBoard.class.getResourceAsStream("/cards/" + path);
    if (file == null) {
      throw new IOException("cards/" + path + " did not ship");
    }
    return file;
  }
}
