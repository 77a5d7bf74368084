package app.jemble.card;

import app.jemble.core.card.CardWords.Align;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.Values;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;

/** Cards for people with long and short names in seven scripts. */
public final class CardTrial {

  /**
   * What came of drawing.
   *
   * @param largest octets
   * @param readBack how many are a picture of the size that mails have
   * @param words the alternative text of each
   */
  public record Outcome(double seconds, int largest, int readBack, List<String> words) {}

  /** Names are made up of common parts (from memory). */
  static final Map<String, List<String>> PARTS =
      Map.of(
          "Latin", List.of("Ann", "Þórbjörg", "Wolfeschlegelstein", "Đặng", "O’Shaughnessy-Vane"),
          "Greek", List.of("Ελένη", "Παπαδοπούλου", "Κωνσταντίνος", "Χατζηγεωργίου"),
          "Cyrillic", List.of("Анна", "Вознесенская", "Константинопольский", "Їжакевич"),
          "Arabic", List.of("فاطمة", "عبد الرحمن", "القحطاني", "محمد"),
          "Hebrew", List.of("רחל", "אברהמוביץ", "בן־שמעון", "שושנה"),
          "Devanagari", List.of("अनुराधा", "चक्रवर्ती", "श्रीनिवासन", "राम"),
          "Japanese", List.of("山田", "勅使河原", "さくら", "タナカ・マリア"));

  private CardTrial() {}

  static List<String> names(String script, int count) {
    Random random = new Random(7);
    List<String> parts = PARTS.get(script);
    List<String> names = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      StringBuilder name = new StringBuilder();
      for (int part = 0; part <= random.nextInt(5); part++) {
        name.append(part == 0 ? "" : " ").append(parts.get(random.nextInt(parts.size())));
      }
      names.add(name.toString());
    }
    return names;
  }

  static CardBody card(String picture) {
    return new CardBody(
        picture,
        List.of(
            new CardBody.PlacedWords(
                "Dear {{first_name}}", 0.1, 0.08, 0.8, 0.2, 80, "#24271f", Align.CENTRE),
            new CardBody.PlacedWords(
                "{{years}} years", 0.3, 0.3, 0.4, 0.12, 48, "#8a2e5a", Align.CENTRE)));
  }

  static Values values(String name, int years) {
    return Values.of(
        Map.of(
            "first_name",
            FieldValue.text(name),
            "years",
            new FieldValue.Amount(BigDecimal.valueOf(years))));
  }

  /** Draws so many by as many hands as the machine has. */
  public static Outcome draw(Cards cards, int count) {
    List<String> scripts = PARTS.keySet().stream().sorted().toList();
    List<List<String>> names = scripts.stream().map(script -> names(script, count)).toList();
    Cards.Prepared card = cards.prepare(card("leaves"));
    cards.draw(card, values("Warm", 1), Locale.UK);
    AtomicInteger largest = new AtomicInteger();
    long begun = System.nanoTime();
    List<Cards.Drawn> drawn =
        IntStream.range(0, count)
            .parallel()
            .mapToObj(i -> cards.draw(card, values(names.get(i % 7).get(i), i % 90 + 1), Locale.UK))
            .peek(d -> largest.accumulateAndGet(d.jpeg().length, Math::max))
            .toList();
    double seconds = (System.nanoTime() - begun) / 1e9;
    int readBack = (int) drawn.stream().filter(CardTrial::isOfTheSizeOfMails).count();
    return new Outcome(
        seconds, largest.get(), readBack, drawn.stream().map(Cards.Drawn::words).toList());
  }

  private static boolean isOfTheSizeOfMails(Cards.Drawn drawn) {
    try {
      BufferedImage read = ImageIO.read(new ByteArrayInputStream(drawn.jpeg()));
      return read.getWidth() == 1000 && read.getHeight() == 625;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
