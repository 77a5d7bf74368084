package app.jemble.card;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Eventually;
import app.jemble.Mails;
import app.jemble.core.card.CardDrawing;
import app.jemble.core.card.CardWords;
import app.jemble.core.card.CardWords.Align;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.Values;
import app.jemble.occasion.OccasionTrial;
import jakarta.mail.internet.MimeMessage;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Cards drawn for people of seven scripts: nothing is cut, and they travel light. */
public class CardsTest extends OccasionTrial {

  /** Names are made up of common parts (from memory). */
  private static final Map<String, List<String>> PARTS =
      Map.of(
          "Latin", List.of("Ann", "Þórbjörg", "Wolfeschlegelstein", "Đặng", "O’Shaughnessy-Vane"),
          "Greek", List.of("Ελένη", "Παπαδοπούλου", "Κωνσταντίνος", "Χατζηγεωργίου"),
          "Cyrillic", List.of("Анна", "Вознесенская", "Константинопольский", "Їжакевич"),
          "Arabic", List.of("فاطمة", "عبد الرحمن", "القحطاني", "محمد"),
          "Hebrew", List.of("רחל", "אברהמוביץ", "בן־שמעון", "שושנה"),
          "Devanagari", List.of("अनुराधा", "चक्रवर्ती", "श्रीनिवासन", "राम"),
          "Japanese", List.of("山田", "勅使河原", "さくら", "タナカ・マリア"));

  private Cards cards;
  private CardBoard board;

  @BeforeClass(dependsOnMethods = "signIn")
  public void findTheCards() {
    cards = application.getBean(Cards.class);
    board = application.getBean(CardBoard.class);
  }

  private static List<String> names(String script, int count) {
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

  private static CardBody card(String picture) {
    return new CardBody(
        picture,
        List.of(
            new CardBody.PlacedWords(
                "Dear {{first_name}}", 0.1, 0.08, 0.8, 0.2, 80, "#24271f", Align.CENTRE),
            new CardBody.PlacedWords(
                "{{years}} years", 0.3, 0.3, 0.4, 0.12, 48, "#8a2e5a", Align.CENTRE)));
  }

  private static Values values(String name, int years) {
    return Values.of(
        Map.of(
            "first_name",
            FieldValue.text(name),
            "years",
            new FieldValue.Amount(java.math.BigDecimal.valueOf(years))));
  }

  @DataProvider
  public Object[][] scripts() {
    return PARTS.keySet().stream().sorted().map(s -> new Object[] {s}).toArray(Object[][]::new);
  }

  /** The longest and the shortest of a thousand, in every place, large and small. */
  @Test(dataProvider = "scripts")
  public void wordsStayInTheirPlaceAndNothingIsCut(String script) {
    List<String> names = names(script, 1000);
    Comparator<String> byLength = Comparator.comparingInt(String::length);
    String longest = names.stream().max(byLength).orElseThrow();
    String shortest = names.stream().min(byLength).orElseThrow();
    for (String name : List.of(longest, shortest, longest.replace(" ", ""), longest.repeat(12))) {
      assertThat(board.fonts().lacking(name)).as("letters without a font").isEmpty();
      for (Align align : Align.values()) {
        for (int size : new int[] {24, 120, 300}) {
          CardWords words = new CardWords(name, 0.68, 0.8, 0.3, 0.18, size, "#000000", align);
          assertInPlace(words, script + " " + name.length() + " " + align + " " + size);
        }
      }
    }
  }

  private void assertInPlace(CardWords words, String what) {
    BufferedImage blank = new BufferedImage(1200, 750, BufferedImage.TYPE_INT_RGB);
    for (int y = 0; y < 750; y++) {
      for (int x = 0; x < 1200; x++) {
        blank.setRGB(x, y, 0xffffff);
      }
    }
    BufferedImage drawn = CardDrawing.draw(blank, List.of(words), board.fonts());
    Rectangle2D place = CardDrawing.place(words, 1200, 750);
    int inside = 0;
    int outside = 0;
    for (int y = 0; y < 750; y++) {
      for (int x = 0; x < 1200; x++) {
        if ((drawn.getRGB(x, y) & 0xffffff) != 0xffffff) {
          // A point at the very edge may be touched by the smoothing of the letters.
          if (place.getMinX() - 1 <= x
              && x <= place.getMaxX()
              && place.getMinY() - 1 <= y
              && y <= place.getMaxY()) {
            inside++;
          } else {
            outside++;
          }
        }
      }
    }
    assertThat(outside).as(what + ": outside of its place").isZero();
    assertThat(inside).as(what + ": something is drawn").isPositive();
  }

  @Test
  public void aThousandAreDrawnInTwentySecondsAndReadBack() {
    List<String> scripts = PARTS.keySet().stream().sorted().toList();
    Cards.Prepared card = cards.prepare(card("leaves"));
    cards.draw(card, values("Warm", 1), Locale.UK);
    List<List<String>> names = scripts.stream().map(script -> names(script, 1000)).toList();
    AtomicInteger largest = new AtomicInteger();
    long begun = System.nanoTime();
    // By as many hands as the machine has.
    IntStream.range(0, 1000)
        .parallel()
        .forEach(
            i -> {
              String name = names.get(i % 7).get(i);
              Cards.Drawn drawn = cards.draw(card, values(name, i % 90 + 1), Locale.UK);
              largest.accumulateAndGet(drawn.jpeg().length, Math::max);
              if (i % 250 == 0) {
                assertReadBack(drawn, "Dear " + name + " " + (i % 90 + 1) + " years");
              }
            });
    double seconds = (System.nanoTime() - begun) / 1e9;
    System.out.printf(
        Locale.ROOT, "1,000 cards in %.1f s, the largest %,d octets.%n", seconds, largest.get());
    assertThat(seconds).isLessThan(20);
    assertThat(largest.get()).isLessThan(140_000);
  }

  private static void assertReadBack(Cards.Drawn drawn, String words) {
    try {
      BufferedImage read = ImageIO.read(new ByteArrayInputStream(drawn.jpeg()));
      assertThat(read.getWidth()).isEqualTo(1000);
      assertThat(read.getHeight()).isEqualTo(625);
      assertThat(drawn.words()).isEqualTo(words);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Test
  public void everyPictureThatShipsIsLight() {
    for (String picture : CardBoard.SHIPPED) {
      Cards.Drawn drawn = cards.draw(cards.prepare(card(picture)), values("Bea", 36), Locale.UK);
      assertThat(drawn.jpeg().length).as(picture).isLessThan(140_000);
      assertThat(api.get("/api/card-pictures/" + picture).status()).isEqualTo(200);
    }
    assertThat(api.get("/api/card-pictures/..%2Ffonts").status()).isGreaterThanOrEqualTo(400);
  }

  private Map<String, Object> withCard(String text, String picture) {
    Map<String, Object> words = new HashMap<>();
    words.put("text", text);
    words.put("left", 0.1);
    words.put("top", 0.1);
    words.put("width", 0.8);
    words.put("height", 0.3);
    words.put("size", 72);
    words.put("colour", "#24271f");
    words.put("align", "CENTRE");
    Map<String, Object> body = body("ITSELF");
    body.put("card", Map.of("picture", picture, "words", List.of(words)));
    return body;
  }

  @Test
  public void theCardArrivesAboveTheLetterWithItsWords() {
    LocalDate today = LocalDate.ofInstant(clock.toMonday(HOUSE), HOUSE);
    long ida = addPerson("Ida", "Carder", "ida@cards.example");
    sql.sql("update person set birthday = ? where id = ?")
        .params(today.minusYears(40), ida)
        .update();
    Api.Answer made =
        api.post("/api/occasions", withCard("{{first_name}}, {{years}} \"years\"!", "boats"));
    assertThat(made.status()).as(made.text()).isEqualTo(200);
    long id = made.json().get("id").asLong();
    assertThat(made.json().get("occasion").get("body").asString()).doesNotContain("card");
    Api.Answer proof =
        api.get("/api/mailings/" + made.json().get("causeId").asLong() + "/proofs/" + ida);
    assertThat(proof.json().get("html").asString()).contains("/pictures/");
    api.post("/api/occasions/" + id + "/activate", Map.of());
    run.say(id);
    Eventually.holds(() -> assertThat(mails("ida@cards.example")).hasSize(1));
    MimeMessage mail = mails("ida@cards.example").get(0);
    String whole = Mails.whole(mail);
    System.out.printf(Locale.ROOT, "A mail with a card: %,d octets.%n", whole.length());
    assertThat(whole.length()).isLessThan(200_000);
    assertThat(whole).contains("image/jpeg");
    Element picture = Jsoup.parse(Mails.html(mail)).selectFirst("img[src^=cid:]");
    assertThat(picture).isNotNull();
    assertThat(picture.attr("alt")).isEqualTo("Ida, 40 \"years\"!");
  }

  @Test
  public void aCardThatCannotBeIsSaid() {
    assertThat(api.post("/api/occasions", withCard("{{frist_name}}", "boats")).status())
        .isEqualTo(422);
    assertThat(api.post("/api/occasions", withCard("Hi", "no-picture")).status()).isEqualTo(422);
    Api.Answer proofs = api.post("/api/occasions/card-proof", withCard("{{first_name}}", "hills"));
    assertThat(proofs.status()).as(proofs.text()).isEqualTo(200);
    assertThat(proofs.json()).hasSize(2);
    assertThat(proofs.json().get(0).get("name").asString().length())
        .isGreaterThanOrEqualTo(proofs.json().get(1).get("name").asString().length());
    assertThat(proofs.json().get(0).get("picture").asString())
        .startsWith("data:image/jpeg;base64,");
  }
}
