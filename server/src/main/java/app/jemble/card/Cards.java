package app.jemble.card;

import app.jemble.core.card.CardDrawing;
import app.jemble.core.card.CardWords;
import app.jemble.core.merge.Renderer;
import app.jemble.core.merge.Template;
import app.jemble.core.merge.TemplateParser;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.Values;
import app.jemble.picture.PictureService;
import app.jemble.problem.Problem;
import app.jemble.workspace.WorkspaceService;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageOutputStream;
import javax.imageio.stream.MemoryCacheImageOutputStream;
import org.springframework.stereotype.Service;

/** Draws a card for each person. */
@Service
public class Cards {

  /** What merge fields call the picture, and the words on it. */
  public static final String CARD = "card";

  public static final String CARD_WORDS = "card_words";

  private static final float QUALITY = 0.86f;
  private static final int MOST_WORDS = 12;
  private static final int LONGEST = 500;

  /**
   * A card as one person gets it.
   *
   * @param words all that stands on it, for those who do not see it
   * @param missing fields without a value and without a fallback
   */
  public record Drawn(byte[] jpeg, int width, int height, String words, Set<String> missing) {}

  /** A card whose texts are read once, for however many people. */
  public record Prepared(CardBody card, List<Template> texts, ZoneId zone) {}

  private final CardBoard board;
  private final PictureService pictures;
  private final WorkspaceService workspace;

  Cards(CardBoard board, PictureService pictures, WorkspaceService workspace) {
    this.board = board;
    this.pictures = pictures;
    this.workspace = workspace;
  }

  /** A problem at the first thing that cannot be as it is wanted. */
  public void check(CardBody card) {
    board.picture(card.picture());
    if (card.words().size() > MOST_WORDS) {
      throw Problem.wrong("card", "A card has at most 12 pieces of text.");
    }
    for (CardBody.PlacedWords words : card.words()) {
      try {
        words.placed();
      } catch (IllegalArgumentException wrong) {
        throw Problem.wrong("card", wrong.getMessage());
      }
      if (words.text() == null || words.text().length() > LONGEST) {
        throw Problem.wrong("card", "A text on a card has at most 500 letters.");
      }
    }
    errors(card).stream()
        .findFirst()
        .ifPresent(
            sentence -> {
              throw Problem.wrong("card", sentence);
            });
  }

  private List<String> errors(CardBody card) {
    FieldCatalogue fields = workspace.fields();
    return card.words().stream()
        .flatMap(w -> parsed(w.text(), fields).errors().stream())
        .map(error -> error.sentence())
        .toList();
  }

  private static TemplateParser.Parsed parsed(String text, FieldCatalogue fields) {
    return TemplateParser.parse(text, TemplateParser.Kind.PLAIN_TEXT, fields);
  }

  /** Reads what stands on a card that {@link #check} found sound. */
  public Prepared prepare(CardBody card) {
    FieldCatalogue fields = workspace.fields();
    List<Template> texts =
        card.words().stream()
            .map(words -> parsed(words.text(), fields).template().orElseThrow())
            .toList();
    return new Prepared(card, texts, workspace.current().zoneId());
  }

  /** The card with somebody's values in their language. */
  public Drawn draw(Prepared prepared, Values values, Locale language) {
    CardBody card = prepared.card();
    Set<String> missing = new TreeSet<>();
    List<CardWords> said = new ArrayList<>();
    for (int i = 0; i < card.words().size(); i++) {
      Renderer.Rendered rendered =
          Renderer.render(prepared.texts().get(i), values, language, prepared.zone());
      missing.addAll(rendered.missing());
      said.add(card.words().get(i).placed().saying(rendered.text()));
    }
    BufferedImage drawn = CardDrawing.draw(board.picture(card.picture()), said, board.fonts());
    String words =
        String.join(" ", said.stream().map(w -> w.text().strip().replaceAll("\\s+", " ")).toList());
    return new Drawn(jpeg(drawn), drawn.getWidth(), drawn.getHeight(), words.strip(), missing);
  }

  /**
   * What merge fields say of a card drawn for somebody: its picture, kept, and the words on it. A
   * card with a gap in it is none.
   *
   * @param by the colleague whose it is
   */
  public Map<String, FieldValue> fields(Prepared card, Values values, Locale language, long by) {
    Drawn drawn = draw(card, values, language);
    if (!drawn.missing().isEmpty()) {
      return Map.of();
    }
    String key = pictures.keep("card.jpeg", drawn.jpeg(), drawn.width(), drawn.height(), by);
    return Map.of(CARD, FieldValue.picture(key), CARD_WORDS, FieldValue.text(drawn.words()));
  }

  private static byte[] jpeg(BufferedImage drawn) {
    ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
    ByteArrayOutputStream octets = new ByteArrayOutputStream();
    // In memory: what is asked of ImageIO otherwise goes by way of a file.
    try (ImageOutputStream out = new MemoryCacheImageOutputStream(octets)) {
      ImageWriteParam how = writer.getDefaultWriteParam();
      how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
      how.setCompressionQuality(QUALITY);
      writer.setOutput(out);
      writer.write(null, new IIOImage(drawn, null, null), how);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } finally {
      writer.dispose();
    }
    return octets.toByteArray();
  }
}
