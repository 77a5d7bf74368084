package app.jemble.core.message;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.merge.TemplateParser;
import app.jemble.core.message.Letters.Counting;
import app.jemble.core.message.MessageComposer.Own;
import app.jemble.core.message.MessageComposer.Shared;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.YardFields;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.testng.annotations.Test;

/** A text made ready once gives each person a whole message. */
public class LetterTextTest {

  private static final Counting ALL = new Counting(true, true);
  private static final Map<String, FieldValue> BEA =
      Map.of(
          "first_name", FieldValue.text("Bea"),
          "number", FieldValue.text("TQ 7"),
          "source", FieldValue.text("https://okonjo.example/boats?a=1&b=2"));

  @Test
  public void looksStandInTheElementsThemselves() {
    Document html =
        html(
            "<h2>Spring</h2><p style=\"text-align: center\">Hi</p><table><tr><td>a</td></tr></table>");
    assertThat(html.select("h2").attr("style")).contains("font-size:21px");
    assertThat(html.select(".paper p").get(1).attr("style"))
        .startsWith("margin:0 0 1em")
        .endsWith("text-align: center");
    assertThat(html.select("td td td").attr("style")).contains("border:1px solid");
    assertThat(html.select("[class]").eachAttr("class")).containsOnly("page", "paper");
  }

  @Test
  public void aButtonIsALinkThatLooksLikeOne() {
    Document html = html("<p><a class=\"button\" href=\"https://quay.example/book\">Book</a></p>");
    Element button = html.select(".paper a").first();
    assertThat(button.attr("href")).isEqualTo("https://jemble.example/l/tok/0");
    assertThat(button.attr("style")).contains("background-color:#1f474b");
  }

  @Test
  public void theSameAddressIsOneLinkAndEachPersonsOwnTargetIsKept() {
    OutgoingMessage message =
        compose(
            "<p><a href=\"https://quay.example/m/{{number}}\">a</a>"
                + "<a href=\"https://quay.example/m/{{number}}\">b</a><a href=\"{{source}}\">c</a>"
                + "<a href=\"{{plan}}\">d</a><a href=\"mailto:desk@quay.example\">e</a></p>",
            Optional.empty(),
            "tok");
    assertThat(message.links())
        .containsExactly(
            "https://quay.example/m/TQ%207", "https://okonjo.example/boats?a=1&b=2", "");
    assertThat(Jsoup.parse(message.html()).select("a").eachAttr("href"))
        .containsExactly(
            "https://jemble.example/l/tok/0",
            "https://jemble.example/l/tok/0",
            "https://jemble.example/l/tok/1",
            "#",
            "mailto:desk@quay.example",
            "https://jemble.example/leave/tok");
    assertThat(message.text()).contains("a (https://quay.example/m/TQ%207)");
  }

  @Test
  public void theLeavingLineStandsOnce() {
    String own = "<p><a href=\"{{leave_link}}\">No more of these</a></p>";
    OutgoingMessage byHand = compose(own, Optional.of(Letters.HOUSE), "tok");
    assertThat(byHand.html()).containsOnlyOnce("/leave/tok").contains("No more of these");
    OutgoingMessage byItself = compose("<p>Hi</p>", Optional.empty(), "tok");
    assertThat(byItself.html()).containsOnlyOnce("/leave/tok").contains("1 Quay Road");
    OutgoingMessage none = composed(text("<p>Hi</p>", Optional.empty(), false), false, "tok");
    assertThat(none.html()).doesNotContain("leave").doesNotContain("Quay Road");
    assertThat(none.leaveAddress()).isEmpty();
    assertThat(none.text()).isEqualTo("Hi\n");
  }

  @Test
  public void thePlainTextLeavesNoGapsWherePassagesDoNotShow() {
    OutgoingMessage message =
        composed(
            text(
                "<p>One</p>{{#plan}}<p>Never</p>{{/plan}}{{^plan}}<p>Two</p>{{/plan}}"
                    + "{{&gt; signature}}<p>Three</p>",
                Optional.empty(),
                false),
            false,
            "tok");
    assertThat(message.text()).isEqualTo("One\n\nTwo\n\nOrla Finch\n\nThree\n");
  }

  @Test
  public void picturesTravelInsideTheMessage() {
    byte[] octets = {1, 2, 3};
    Pictures stored =
        key ->
            key.equals("gone")
                ? Optional.empty()
                : Optional.of(new InlinePicture.Stored("image/png", octets));
    Shared shared = Letters.shared(text(PICTURES, Optional.empty(), false), ALL);
    Shared withPictures =
        new Shared(
            shared.text(),
            shared.from(),
            shared.replyTo(),
            shared.zone(),
            shared.publicUrl(),
            shared.returnDomain(),
            shared.counting(),
            false,
            stored,
            List.of(
                new AttachedFile.Named(
                    TemplateParser.parse(
                            "times for {{first_name}}/{{number}}.pdf",
                            TemplateParser.Kind.HEADER,
                            YardFields.standard())
                        .template()
                        .orElseThrow(),
                    "application/pdf",
                    octets)));
    Map<String, FieldValue> person =
        Map.of("first_name", FieldValue.text("B/ea"), "picture", FieldValue.picture("k2"));
    OutgoingMessage message = MessageComposer.compose(withPictures, own(person, "tok")).message();
    assertThat(Jsoup.parse(message.html()).select("img[alt]").eachAttr("src"))
        .startsWith(
            "cid:picture.k1@quay.example",
            "cid:picture.k2@quay.example",
            "cid:picture.k1@quay.example",
            "/pictures/gone");
    assertThat(message.pictures())
        .extracting(InlinePicture::contentId)
        .containsExactly("picture.k1@quay.example", "picture.k2@quay.example");
    assertThat(message.files().get(0).name()).isEqualTo("times for B-ea-.pdf");
  }

  private static final String PICTURES =
      "<p><img src=\"/pictures/k1\" alt=\"a\"><img src=\"{{picture}}\" alt=\"b\">"
          + "<img src=\"/pictures/k1\" alt=\"c\"><img src=\"/pictures/gone\" alt=\"d\"></p>";

  /** Property: no value changes the shape of the whole message, its headers or its targets. */
  @Test
  public void anyValueLeavesTheWholeMessageAsItWas() {
    LetterText text =
        Letters.text(
            "To {{first_name}}",
            "<p>Dear {{first_name}},</p><p><a href=\"{{first_name}}\">{{first_name}}</a>"
                + "<a href=\"https://quay.example/{{first_name}}\">b</a></p>{{&gt; signature}}",
            ALL);
    String shape = shape(text, "Bea");
    Random random = new Random(11);
    for (int round = 0; round < 2000; round++) {
      StringBuilder value = new StringBuilder();
      for (int piece = 1 + random.nextInt(4); piece > 0; piece--) {
        value.append(HOSTILE.get(random.nextInt(HOSTILE.size())));
      }
      assertThat(shape(text, "x" + value)).as("%s", value).isEqualTo(shape);
    }
  }

  private static final List<String> HOSTILE =
      List.of(
          "<script>alert(1)</script>",
          "</td></table>",
          "\"",
          "'",
          "src=\"/pictures/k1\"",
          "cid:x",
          "&",
          "<!--",
          "javascript:alert(1)",
          "https://x.example/",
          "{{leave_link}}",
          "\r\nBcc: all@x.example",
          "\u2028",
          "👩‍🚀",
          "نور",
          "\u0000");

  private static String shape(LetterText text, String firstName) {
    OutgoingMessage message =
        MessageComposer.compose(
                Letters.shared(text, ALL),
                own(Map.of("first_name", FieldValue.text(firstName)), "tok"))
            .message();
    assertThat(message.subject()).doesNotContainPattern("[\\p{Cntrl}\\u2028]");
    assertThat(message.links().get(0)).matches("|https?://\\S*");
    assertThat(message.links().get(1)).matches("https://quay\\.example/[\\x21-\\x7e]+");
    assertThat(message.pictures()).isEmpty();
    StringBuilder shape = new StringBuilder();
    for (Element element : Jsoup.parse(message.html()).getAllElements()) {
      shape.append(element.normalName()).append(element.attributesSize()).append(' ');
    }
    return shape.toString();
  }

  private static LetterText text(String body, Optional<Letterhead> head, boolean leaving) {
    return Letters.text("Hello", body, head, true, leaving);
  }

  private static Document html(String body) {
    return Jsoup.parse(compose(body, Optional.of(Letters.HOUSE), "tok").html());
  }

  private static OutgoingMessage compose(String body, Optional<Letterhead> head, String token) {
    return composed(text(body, head, true), true, token);
  }

  private static OutgoingMessage composed(LetterText text, boolean mayLeave, String token) {
    Shared shared = Letters.shared(text, new Counting(false, true));
    Shared sent =
        new Shared(
            text,
            shared.from(),
            shared.replyTo(),
            shared.zone(),
            shared.publicUrl(),
            shared.returnDomain(),
            shared.counting(),
            mayLeave,
            shared.pictures(),
            shared.files());
    return MessageComposer.compose(sent, own(BEA, token)).message();
  }

  private static Own own(Map<String, FieldValue> person, String token) {
    return new Own(
        new Mailbox("Bea Okonjo", "bea@okonjo.example"),
        Letters.with(person),
        Locale.UK,
        Instant.EPOCH,
        token,
        ThreadPlace.NEW);
  }
}
