package app.jemble.core.message;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.paper.Country;
import app.jemble.core.paper.LetterForm;
import app.jemble.core.paper.PostalLines.Postal;
import app.jemble.core.reach.Address;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.Values;
import app.jemble.core.record.YardFields;
import java.io.StringReader;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javax.xml.parsers.DocumentBuilderFactory;
import org.testng.annotations.Test;
import org.w3c.dom.Document;
import org.xml.sax.InputSource;

public class PaperLetterTest {

  private static final FieldCatalogue FIELDS = YardFields.standard();

  private static final PaperLetter.Shared SHARED =
      new PaperLetter.Shared(
          ZoneId.of("Europe/London"),
          new Country("GB"),
          Locale.UK,
          "Quay House, 1 Quay",
          Optional.empty());

  private static PaperLetter prepared(String subject, String body) {
    return PaperLetter.prepare(
            PaperWording.written(subject, body, LetterForm.DIN_B),
            new PaperLetter.Looks(Optional.empty(), "<p>Orla</p>"),
            FIELDS)
        .letter()
        .orElseThrow();
  }

  private static PaperLetter.Composed composed(String subject, String body, String first) {
    Values values =
        Values.of(first == null ? Map.of() : Map.of("first_name", FieldValue.text(first)));
    Address.Postal to =
        new Address.Postal(new Postal("4 Quay Lane", "TR19 6AB", "Lowen Quay", "").stored());
    return prepared(subject, body)
        .compose(
            SHARED,
            new PaperLetter.Own(to, "Bo Post", values, Locale.UK, LocalDate.of(2026, 11, 29), ""));
  }

  @Test
  public void aLetterHasItsReadersNameAddressDayAndWords() {
    OutgoingSheet sheet =
        composed("For {{first_name}}", "<p>Dear {{first_name}},</p>{{> signature}}", "Bo")
            .message();
    assertThat(sheet.address()).containsExactly("Bo Post", "4 Quay Lane", "LOWEN QUAY", "TR19 6AB");
    assertThat(sheet.dated()).isEqualTo("29 November 2026");
    assertThat(sheet.subject()).isEqualTo("For Bo");
    assertThat(sheet.text()).isEqualTo("Dear Bo,\n\nOrla");
  }

  @Test
  public void whatIsMissingIsSaidAndFallbacksStandIn() {
    assertThat(composed("x", "<p>{{first_name}}</p>", null).missing())
        .containsExactly("first_name");
    PaperLetter.Composed friend = composed("x", "<p>{{first_name or \"friend\"}}</p>", null);
    assertThat(friend.missing()).isEmpty();
    assertThat(friend.message().text()).isEqualTo("friend");
    assertThat(
            composed("x", "<p>a</p>{{#first_name}}<p>b</p>{{/first_name}}", null).message().text())
        .isEqualTo("a");
  }

  /** Hostile values are words, never marks of the document. */
  @Test
  public void theDocumentIsWellFormedWhateverTheValues() throws Exception {
    String hostile = "<script>x</script>&\"]]>\u0001\nBcc: a@b.example";
    OutgoingSheet sheet = composed("{{first_name}}", "<p>{{first_name}}</p>", hostile).message();
    assertThat(sheet.subject()).doesNotContain("\n");
    String html =
        PaperDocument.of(
            List.of(new PaperDocument.Page(sheet, 10), new PaperDocument.Page(sheet, 7)),
            hostile.replace("\u0001", ""),
            Locale.UK,
            List.of("Noto Sans"));
    Document read =
        DocumentBuilderFactory.newInstance()
            .newDocumentBuilder()
            .parse(new InputSource(new StringReader(html.replace("\u0001", ""))));
    assertThat(read.getElementsByTagName("script").getLength()).isZero();
    assertThat(read.getElementsByTagName("h1").getLength()).isEqualTo(2);
  }

  @Test
  public void onPaperALinkIsSpeltOut() {
    OutgoingSheet sheet =
        composed(
                "x",
                "<p><a href=\"https://quay.example/?a=1&amp;b=2\">Renew</a>, "
                    + "<a href=\"https://quay.example\">https://quay.example</a></p>",
                "Bo")
            .message();
    String html =
        PaperDocument.of(
            List.of(new PaperDocument.Page(sheet, 10)), "x", Locale.UK, List.of("Noto Sans"));
    assertThat(html)
        .contains("Renew</a> (https://quay.example/?a=1&amp;b=2)")
        .doesNotContain("(https://quay.example)");
    assertThat(sheet.text())
        .isEqualTo("Renew (https://quay.example/?a=1&b=2), https://quay.example");
  }
}
