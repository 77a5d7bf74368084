package app.jemble.card;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Eventually;
import app.jemble.Mails;
import app.jemble.core.card.CardDrawing;
import app.jemble.core.card.CardWords;
import app.jemble.core.card.CardWords.Align;
import app.jemble.occasion.OccasionTrial;
import jakarta.mail.internet.MimeMessage;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Cards drawn for people of seven scripts: nothing is cut, and they travel light. */
public class CardsTest extends OccasionTrial {

  private Cards cards;
  private CardBoard board;

  @BeforeClass(dependsOnMethods = "signIn")
  public void findTheCards() {
    cards = application.getBean(Cards.class);
    board = application.getBean(CardBoard.class);
  }

  @DataProvider
  public Object[][] scripts() {
    return CardTrial.PARTS.keySet().stream()
        .sorted()
        .map(s -> new Object[] {s})
        .toArray(Object[][]::new);
  }

  /** The longest and the shortest of a thousand, in every place, large and small. */
  @Test(dataProvider = "scripts")
  public void wordsStayInTheirPlaceAndNothingIsCut(String script) {
    List<String> names = CardTrial.names(script, 1000);
    Comparator<String> byLength = Comparator.comparingInt(String::length);
    String longest = names.stream().max(byLength).orElseThrow();
    String shortest = names.stream().min(byLength).orElseThrow();
    for (String name : List.of(longest, shortest, longest.replace(" ", ""), longest.repeat(12))) {
      assertThat(board.fonts().lacking(name)).as("letters without a font").isEmpty();
      for (Align align : Align.values()) {
        for (int size : new int[] {24, 300}) {
          CardWords words = new CardWords(name, 0.68, 0.8, 0.3, 0.18, size, "#000000", align);
          assertInPlace(words, script + " " + name.length() + " " + align + " " + size);
        }
      }
    }
  }

  private void assertInPlace(CardWords words, String what) {
    BufferedImage blank = new BufferedImage(1200, 750, BufferedImage.TYPE_INT_RGB);
    int[] white = new int[1200 * 750];
    Arrays.fill(white, 0xffffff);
    blank.setRGB(0, 0, 1200, 750, white, 0, 1200);
    BufferedImage drawn = CardDrawing.draw(blank, List.of(words), board.fonts());
    Rectangle2D place = CardDrawing.place(words, 1200, 750);
    int[] points = drawn.getRGB(0, 0, 1200, 750, null, 0, 1200);
    int inside = 0;
    int outside = 0;
    for (int at = 0; at < points.length; at++) {
      if ((points[at] & 0xffffff) != 0xffffff) {
        int x = at % 1200;
        int y = at / 1200;
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
    assertThat(outside).as(what + ": outside of its place").isZero();
    assertThat(inside).as(what + ": something is drawn").isPositive();
  }

  /** How long a thousand take is measured by {@code ./jemble bench cards}. */
  @Test
  public void manyAreDrawnByAllHandsAndReadBack() {
    CardTrial.Outcome drawn = CardTrial.draw(cards, 70);
    assertThat(drawn.largest()).isBetween(20_000, 140_000);
    assertThat(drawn.readBack()).isEqualTo(70);
    assertThat(drawn.words()).hasSize(70).allMatch(w -> w.matches("(?s)Dear .+ [0-9]+ years"));
  }

  @Test
  public void everyPictureThatShipsIsLight() {
    for (String picture : CardBoard.SHIPPED) {
      Cards.Drawn drawn =
          cards.draw(
              cards.prepare(CardTrial.card(picture)), CardTrial.values("Bea", 36), Locale.UK);
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
