package app.jemble.core.message;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.message.TextWording.Likeness;
import app.jemble.core.reach.Address;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.Values;
import app.jemble.core.record.YardFields;
import app.jemble.core.text.TextParts;
import java.time.ZoneId;
import java.util.Locale;
import java.util.Map;
import org.testng.annotations.Test;

/** A text message made ready once gives each person theirs. */
public class TextLetterTest {

  private static final TextLetter.Shared COUNTED =
      new TextLetter.Shared("+447700900000", ZoneId.of("UTC"), "https://jemble.example", true);
  private static final TextLetter.Shared UNCOUNTED =
      new TextLetter.Shared("Quay", ZoneId.of("UTC"), "https://jemble.example", false);
  private static final String TOKEN = "abcdefghijklmnopqrstuvwxyz012345";
  private static final Map<String, FieldValue> BEA =
      Map.of(
          "first_name", FieldValue.text("Bea"),
          "source", FieldValue.text("https://okonjo.example/boats?a=1&b=2"));

  private static TextLetter.Composed composed(
      String words, TextLetter.Shared shared, Map<String, FieldValue> values) {
    return TextLetter.prepare(TextWording.saying(words), YardFields.standard())
        .letter()
        .orElseThrow()
        .compose(
            shared,
            new TextLetter.Own(
                new Address.Phone("+447700900123"), Values.of(values), Locale.UK, TOKEN));
  }

  private static String text(String words) {
    return composed(words, COUNTED, BEA).message().text();
  }

  @Test
  public void valuesStandAsTheyAre() {
    assertThat(text("Dear {{first_name}}, R&D <soon>")).isEqualTo("Dear Bea, R&D <soon>");
  }

  @Test
  public void whatLacksAValueIsTold() {
    TextLetter.Composed composed = composed("Hi {{first_name}}", COUNTED, Map.of());
    assertThat(composed.missing()).containsExactly("first_name");
    assertThat(composed("Hi {{first_name or \"friend\"}}", COUNTED, Map.of()).message().text())
        .isEqualTo("Hi friend");
  }

  @Test
  public void linksAreShortenedThoseInValuesToo() {
    OutgoingText sent =
        composed("Book at https://quay.example/book?day=1. Yours: {{source}}!", COUNTED, BEA)
            .message();
    assertThat(sent.text())
        .isEqualTo(
            "Book at https://jemble.example/l/abcdefghijkl/0."
                + " Yours: https://jemble.example/l/abcdefghijkl/1!");
    assertThat(sent.links())
        .containsExactly("https://quay.example/book?day=1", "https://okonjo.example/boats?a=1&b=2");
  }

  @Test
  public void uncountedLinksStayAsWritten() {
    OutgoingText sent = composed("At https://quay.example/a", UNCOUNTED, BEA).message();
    assertThat(sent.text()).isEqualTo("At https://quay.example/a");
    assertThat(sent.links()).isEmpty();
  }

  @Test
  public void theLinkToLeaveIsShortAndNotCounted() {
    OutgoingText sent = composed("Leave: {{leave_link}}", COUNTED, BEA).message();
    assertThat(sent.text()).isEqualTo("Leave: https://jemble.example/leave/abcdefghijkl");
    assertThat(sent.links()).isEmpty();
  }

  /** What is only looked at is as long as what leaves, so that its parts can be counted. */
  @Test
  public void whatDoesNotLeaveIsAsLong() {
    String words = "https://quay.example/a and {{leave_link}}";
    String proof =
        TextLetter.prepare(TextWording.saying(words), YardFields.standard())
            .letter()
            .orElseThrow()
            .compose(
                COUNTED,
                new TextLetter.Own(new Address.Phone("+4477"), Values.of(BEA), Locale.UK, ""))
            .message()
            .text();
    assertThat(TextParts.of(proof).units()).isEqualTo(TextParts.of(text(words)).units());
    assertThat(ShortName.isOne(ShortName.of(""))).isTrue();
  }

  @Test
  public void whatCannotBeReadIsSaidWhereItStands() {
    TextLetter.Prepared wrong =
        TextLetter.prepare(TextWording.saying("Dear {{nobody}}"), YardFields.standard());
    assertThat(wrong.letter()).isEmpty();
    assertThat(wrong.errors()).hasSize(1);
    assertThat(wrong.errors().get(0).sentence()).contains("nobody");
  }

  @Test
  public void charactersThatMakeItLongerBecomePlainWhereAsked() {
    assertThat(said(Likeness.NOWHERE)).isEqualTo("It’s on, Zoë");
    assertThat(said(Likeness.VALUES)).isEqualTo("It’s on, Zoe");
    assertThat(said(Likeness.EVERYWHERE)).isEqualTo("It's on, Zoe");
  }

  private static String said(Likeness likeness) {
    return TextLetter.prepare(
            new TextWording("It’s on, {{first_name}}", likeness), YardFields.standard())
        .letter()
        .orElseThrow()
        .compose(
            COUNTED,
            new TextLetter.Own(
                new Address.Phone("+4477"),
                Values.of(Map.of("first_name", FieldValue.text("Zoë"))),
                Locale.UK,
                TOKEN))
        .message()
        .text();
  }

  /** A plain likeness of an address would lead elsewhere. */
  @Test
  public void addressesStayAsTheyAre() {
    OutgoingText sent =
        TextLetter.prepare(
                new TextWording("“Č” at https://quay.example/č–x.", Likeness.EVERYWHERE),
                YardFields.standard())
            .letter()
            .orElseThrow()
            .compose(
                COUNTED,
                new TextLetter.Own(new Address.Phone("+4477"), Values.of(BEA), Locale.UK, TOKEN))
            .message();
    assertThat(sent.text()).isEqualTo("\"C\" at https://jemble.example/l/abcdefghijkl/0.");
    assertThat(sent.links()).containsExactly("https://quay.example/%C4%8D%E2%80%93x");
  }

  @Test
  public void lineEndsAreThoseOfPhones() {
    assertThat(text("One\r\n\r\n\r\n\r\nTwo\r\n")).isEqualTo("One\n\nTwo");
  }
}
