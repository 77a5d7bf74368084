package app.jemble.core.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import app.jemble.core.check.Finding.Code;
import app.jemble.core.check.Finding.Severity;
import app.jemble.core.message.OutgoingNotice;
import app.jemble.core.reach.Address;
import app.jemble.core.record.PersonId;
import java.util.List;
import org.testng.annotations.Test;

/** What is too long for a phone stops a release, and names its people. */
public class NoticeCheckTest {

  private static final PersonId ANN = new PersonId(1);
  private static final PersonId BEA = new PersonId(2);

  private static OutgoingNotice notice(String title, String words, String link) {
    return new OutgoingNotice(
        "t", Address.Device.of(1), List.of(), title, words, link, "", List.of());
  }

  @Test
  public void whatFitsIsNotSpokenOf() {
    NoticeCheck check = new NoticeCheck(false);
    check.add(ANN, notice("x".repeat(60), "x".repeat(180), ""));
    check.add(BEA, notice("⛵".repeat(60), "⛵".repeat(180), ""));
    assertThat(check.findings()).isEmpty();
  }

  @Test
  public void whatIsTooLongStopsTheReleaseForThoseItIs() {
    NoticeCheck check = new NoticeCheck(false);
    check.add(ANN, notice("x".repeat(61), "short", ""));
    check.add(BEA, notice("x".repeat(70), "x".repeat(181), ""));
    assertThat(check.findings())
        .extracting(Finding::severity, Finding::code, Finding::about, Finding::people)
        .containsExactly(
            tuple(Severity.BLOCKER, Code.LONG_NOTICE, "title", List.of(ANN, BEA)),
            tuple(Severity.BLOCKER, Code.LONG_NOTICE, "text", List.of(BEA)));
    assertThat(check.findings().get(0).sentence())
        .isEqualTo(
            "The title of the notice is longer than 60 characters for 2 people, by 10 at most;"
                + " shorten it.");
  }

  @Test
  public void aLinkThatLeadsNowhereWantsALook() {
    NoticeCheck check = new NoticeCheck(true);
    check.add(ANN, notice("a", "b", "https://quay.example"));
    check.add(BEA, notice("a", "b", ""));
    assertThat(check.findings())
        .extracting(Finding::code, Finding::people)
        .containsExactly(tuple(Code.ODD_LINK, List.of(BEA)));
  }
}
