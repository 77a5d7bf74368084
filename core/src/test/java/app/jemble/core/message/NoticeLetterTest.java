package app.jemble.core.message;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.reach.Address;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.Values;
import app.jemble.core.record.YardFields;
import java.time.ZoneId;
import java.util.Locale;
import java.util.Map;
import org.testng.annotations.Test;

/** A notice made ready once gives each person theirs. */
public class NoticeLetterTest {

  private static final String TOKEN = "abcdefghijklmnopqrstuvwxyz012345";
  private static final Map<String, FieldValue> BEA =
      Map.of(
          "first_name", FieldValue.text("Bea"),
          "source", FieldValue.text("https://okonjo.example/boats?a=1&b=2"));

  private static NoticeLetter.Composed composed(
      NoticeWording wording, boolean counted, Map<String, FieldValue> values) {
    return NoticeLetter.prepare(wording, YardFields.standard())
        .letter()
        .orElseThrow()
        .compose(
            new NoticeLetter.Shared(ZoneId.of("UTC"), "https://jemble.example", counted),
            new NoticeLetter.Own(Address.Device.of(7), Values.of(values), Locale.UK, TOKEN));
  }

  private static OutgoingNotice notice(String title, String words, String link) {
    return composed(new NoticeWording(title, words, link), true, BEA).message();
  }

  @Test
  public void valuesStandAsTheyAreAndATitleHasOneLine() {
    OutgoingNotice notice = notice(" Dear\n{{first_name}} ", "R&D <soon>\nor later\n", "");
    assertThat(notice.title()).isEqualTo("Dear Bea");
    assertThat(notice.words()).isEqualTo("R&D <soon>\nor later");
    assertThat(notice.subject()).isEqualTo("Dear Bea");
    assertThat(notice.to().stored()).isEqualTo("app-7");
  }

  @Test
  public void itsLinkIsCountedAndKnowsWhereItLeads() {
    OutgoingNotice notice = notice("a", "b", "{{source}}");
    assertThat(notice.link()).isEqualTo("https://jemble.example/l/" + TOKEN + "/0");
    assertThat(notice.links()).containsExactly("https://okonjo.example/boats?a=1&b=2");
    OutgoingNotice uncounted =
        composed(new NoticeWording("a", "b", "https://quay.example/"), false, BEA).message();
    assertThat(uncounted.link()).isEqualTo("https://quay.example/");
    assertThat(uncounted.links()).isEmpty();
  }

  @Test
  public void aLinkThatIsNoneLeadsNowhere() {
    for (String none : new String[] {"", "boats", "javascript:alert(1)", "{{first_name}}"}) {
      assertThat(notice("a", "b", none).link()).as(none).isEmpty();
      assertThat(notice("a", "b", none).links()).isEmpty();
    }
  }

  @Test
  public void itsLinkMayBeWhereItsReaderLeaves() {
    OutgoingNotice notice = notice("a", "b", "{{leave_link}}");
    assertThat(notice.link()).isEqualTo("https://jemble.example/leave/" + TOKEN);
    assertThat(notice.leave()).isEqualTo(notice.link());
    assertThat(notice.links()).as("nobody counts who leaves").isEmpty();
  }

  @Test
  public void whatLacksAValueIsToldOfAllItsParts() {
    NoticeLetter.Composed composed =
        composed(new NoticeWording("{{first_name}}", "{{plan}}", "{{source}}"), true, Map.of());
    assertThat(composed.missing()).containsExactly("first_name", "plan", "source");
  }

  @Test
  public void faultsOfAllItsPartsAreToldTogether() {
    assertThat(
            NoticeLetter.prepare(
                    new NoticeWording("{{nobody}}", "{{#plan}}", "{{nothing}}"),
                    YardFields.standard())
                .errors())
        .hasSize(3);
  }

  @Test
  public void itsFieldsAreThoseOfAllItsParts() {
    NoticeLetter letter =
        NoticeLetter.prepare(
                new NoticeWording("{{first_name}}", "{{plan}} {{leave_link}}", "{{source}}"),
                YardFields.standard())
            .letter()
            .orElseThrow();
    assertThat(letter.fields()).containsExactly("first_name", "plan", "source");
  }
}
