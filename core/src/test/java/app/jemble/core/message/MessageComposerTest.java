package app.jemble.core.message;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.message.Letters.Counting;
import app.jemble.core.message.MessageComposer.Composed;
import app.jemble.core.message.MessageComposer.Own;
import app.jemble.core.message.MessageComposer.Shared;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.Values;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.testng.annotations.Test;

public class MessageComposerTest {

  private static final String BODY =
      "<p>Dear {{first_name or \"friend\"}},</p><p>See <a href=\"https://quay.example/times\">the"
          + " times</a> and <a href=\"mailto:desk@quay.example\">write</a>.</p>";

  @Test
  public void marksAndLinksLeadThroughTheToken() {
    Composed composed = compose(new Counting(true, true), "tok");
    Document html = Jsoup.parse(composed.message().html());
    assertThat(html.select("a").eachAttr("href"))
        .containsExactly(
            "https://jemble.example/l/tok/0",
            "mailto:desk@quay.example",
            "https://jemble.example/leave/tok");
    assertThat(html.select("img").attr("src")).isEqualTo("https://jemble.example/o/tok.gif");
    assertThat(composed.message().links()).containsExactly("https://quay.example/times");
    assertThat(composed.message().messageId()).isEqualTo("<tok@quay.example>");
    assertThat(composed.message().returnAddress()).isEqualTo("return+tok@quay.example");
    assertThat(composed.message().leaveAddress()).contains("https://jemble.example/leave/tok");
  }

  @Test
  public void countingCanBeSwitchedOff() {
    Document html = Jsoup.parse(compose(new Counting(false, false), "tok").message().html());
    assertThat(html.select("img")).isEmpty();
    assertThat(html.select("a").attr("href")).isEqualTo("https://quay.example/times");
  }

  @Test
  public void aProofCountsNothing() {
    Document html = Jsoup.parse(compose(new Counting(true, true), "").message().html());
    assertThat(html.select("img")).isEmpty();
    assertThat(html.select("a").attr("href")).isEqualTo("https://quay.example/times");
  }

  @Test
  public void theTextPartNamesTrueAddressesAndTheWayToLeave() {
    String text = compose(new Counting(true, true), "tok").message().text();
    assertThat(text)
        .startsWith("Dear Bea,\n\nSee the times (https://quay.example/times) and write")
        .contains("\n-- \nTern Quay Boatyard\n1 Quay Road, Lowen Quay\n")
        .endsWith("You can leave this list at any time: https://jemble.example/leave/tok\n");
  }

  @Test
  public void aHostileNameStaysAName() {
    String name = "Zoë <b>O'Neil</b> {{last_name}}\r\nBcc: all@quay.example";
    Values values = Letters.with(Map.of("first_name", FieldValue.text(name)));
    Composed composed =
        MessageComposer.compose(
            shared(new Counting(true, true)),
            new Own(
                new Mailbox(name, "zoe@oneil.example"),
                values,
                Locale.UK,
                Instant.EPOCH,
                "tok",
                ThreadPlace.NEW));
    assertThat(composed.message().subject())
        .isEqualTo("Ready, Zoë <b>O'Neil</b> {{last_name}} Bcc: all@quay.example?");
    assertThat(composed.message().to().name()).doesNotContain("\n").doesNotContain("\r");
    Document html = Jsoup.parse(composed.message().html());
    assertThat(html.select("b")).isEmpty();
    assertThat(html.select("p").get(1).text())
        .isEqualTo("Dear Zoë <b>O'Neil</b> {{last_name}} Bcc: all@quay.example,");
  }

  @Test
  public void threadsGrowByTheMessageTheyFollow() {
    ThreadPlace first = ThreadPlace.following("<a@x.example>", List.of());
    ThreadPlace second = ThreadPlace.following("<b@x.example>", first.references());
    assertThat(second.inReplyTo()).isEqualTo("<b@x.example>");
    assertThat(second.references()).containsExactly("<a@x.example>", "<b@x.example>");
    ThreadPlace longOne = ThreadPlace.NEW;
    for (int i = 0; i < 50; i++) {
      longOne = ThreadPlace.following("<" + i + "@x.example>", longOne.references());
    }
    assertThat(longOne.references())
        .hasSize(20)
        .startsWith("<0@x.example>")
        .endsWith("<49@x.example>");
  }

  private static Composed compose(Counting counting, String token) {
    return MessageComposer.compose(
        shared(counting),
        new Own(
            new Mailbox("Bea Okonjo", "bea@okonjo.example"),
            Letters.with(Map.of("first_name", FieldValue.text("Bea"))),
            Locale.UK,
            Instant.EPOCH,
            token,
            ThreadPlace.NEW));
  }

  private static Shared shared(Counting counting) {
    return Letters.shared(Letters.text("Ready, {{first_name}}?", BODY, counting), counting);
  }
}
