package app.jemble.core.response;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Samples of each form of mail that comes back, written for this test. */
public class MailFormsTest {

  private static String status(String action, String code, String why) {
    return "Reporting-MTA: dns; mx.far.test\n\nFinal-Recipient: rfc822; kei@far.test\nAction: "
        + action
        + "\nStatus: "
        + code
        + "\nDiagnostic-Code: smtp; "
        + why
        + "\n";
  }

  /** RFC 3463: which codes mean that the address will never work. */
  @DataProvider
  public Object[][] codes() {
    return new Object[][] {
      {"5.1.1", true},
      {"5.1.2", true},
      {"5.1.10", true},
      {"5.2.1", true},
      // Says nothing; then the words decide, and these say nothing either.
      {"5.0.0", false},
      {"5.2.2", false},
      {"5.2.3", false},
      {"5.3.4", false},
      {"5.4.4", false},
      {"5.7.1", false},
      {"4.2.2", false},
    };
  }

  @Test(dataProvider = "codes")
  public void aCodeSaysWhetherItIsForGood(String code, boolean forGood) {
    SortedMail sorted = MailSorter.sort(report(status("failed", code, "550 " + code + " no")));
    assertThat(sorted)
        .isEqualTo(
            new SortedMail.Returned(forGood, List.of("kei@far.test"), code, "550 " + code + " no"));
  }

  @DataProvider
  public Object[][] reports() {
    return new Object[][] {
      {status("delayed", "4.4.1", "no answer"), SortedMail.Delayed.class},
      {status("delivered", "2.0.0", "fine"), SortedMail.UnreadReturn.class},
      {status("relayed", "2.0.0", "passed on"), SortedMail.UnreadReturn.class},
      {"", SortedMail.UnreadReturn.class},
      {"not a report at all", SortedMail.UnreadReturn.class},
      {"Action: failed\n", SortedMail.UnreadReturn.class},
    };
  }

  @Test(dataProvider = "reports")
  public void onlyAFailureOfSomebodyIsAReturn(String status, Class<?> expected) {
    assertThat(MailSorter.sort(report(status))).isInstanceOf(expected);
  }

  @Test
  public void theAddressAsItWasWrittenCountsNotWhereItWasForwardedTo() {
    String forwarded =
        "Reporting-MTA: dns; mx\n\nOriginal-Recipient: rfc822; <kei@far.test>\n"
            + "Final-Recipient: rfc822; box17@inner.test\nAction: failed\nStatus: 5.1.1\n";
    SortedMail.Returned back = (SortedMail.Returned) MailSorter.sort(report(forwarded));
    assertThat(back.addresses()).containsExactly("kei@far.test");
  }

  @Test
  public void ofSeveralRecipientsTheOneWhoFailedIsNamed() {
    String two =
        "Reporting-MTA: dns; mx\n\nFinal-Recipient: rfc822; a@far.test\nAction: delayed\n"
            + "Status: 4.4.1\n\nFinal-Recipient: rfc822; b@far.test\nAction: failed\n"
            + "Status: 5.1.1\n";
    SortedMail.Returned back = (SortedMail.Returned) MailSorter.sort(report(two));
    assertThat(back.addresses()).containsExactly("b@far.test");
  }

  @Test
  public void fieldsMayBeWrittenInAnyCaseAndFolded() {
    String odd =
        "REPORTING-MTA: dns; mx\r\n\r\nfinal-recipient: RFC822;\r\n kei@far.test\r\n"
            + "ACTION: Failed\r\nstatus: 5.1.1 (no such user)\r\n";
    assertThat(MailSorter.sort(report(odd)))
        .isEqualTo(new SortedMail.Returned(true, List.of("kei@far.test"), "5.1.1", ""));
  }

  /** Headers of common practice that mark a mail as written by software. */
  @DataProvider
  public Object[][] automatic() {
    return new Object[][] {
      {"auto-submitted", "auto-replied"},
      {"auto-submitted", "auto-generated"},
      {"x-autoreply", "yes"},
      {"x-autorespond", "away"},
      {"x-auto-response-suppress", "All"},
      {"precedence", "auto_reply"},
      {"precedence", "junk"},
      {"return-path", "<>"},
      {"subject", "Out of office: Re: Spring"},
      {"subject", "Automatic reply: Spring"},
      {"subject", "Auto-Response"},
      {"subject", "Abwesenheitsnotiz: Frühling"},
      {"subject", "Réponse automatique : Printemps"},
      {"subject", "Автоответ: весна"},
      {"x-vacation", "yes"},
    };
  }

  @Test(dataProvider = "automatic")
  public void softwareIsKnownByItsHeaders(String header, String value) {
    assertThat(MailSorter.sort(mail(Map.of(header, value), "text/plain", null, null)))
        .isInstanceOf(SortedMail.AutoReply.class);
  }

  @DataProvider
  public Object[][] replies() {
    return new Object[][] {
      {Map.of("subject", "Re: Spring")},
      {Map.of("auto-submitted", "no", "subject", "Re: Spring")},
      {Map.of("subject", "I was out of the office yesterday, but yes")},
      {Map.of("precedence", "normal")},
      {
        Map.of(
            "from", "Postmaster <postmaster@small.test>",
            "subject", "Re: Spring",
            "in-reply-to", "<a@ternquay.example>")
      },
      {Map.of("return-path", "<bea@okonjo.example>")},
      {Map.of()},
    };
  }

  @Test(dataProvider = "replies")
  public void aPersonIsNeverTakenForSoftware(Map<String, String> headers) {
    assertThat(MailSorter.sort(mail(headers, "text/plain", null, null)))
        .isInstanceOf(SortedMail.Reply.class);
  }

  @Test
  public void aComplaintIsAComplaintWhoeverSendsIt() {
    String feedback = "Feedback-Type: abuse\nUser-Agent: Far/1.0\nVersion: 1\n";
    assertThat(
            MailSorter.sort(
                mail(Map.of("from", "postmaster@far.test"), "multipart/report", null, feedback)))
        .isEqualTo(new SortedMail.Complaint(List.of()));
  }

  /** The shape of RFC 5965 appendix B.2, with our addresses. */
  @Test
  public void aComplaintNamesItsReaderWhereTheReportDoes() {
    String feedback =
        "Feedback-Type: abuse\nUser-Agent: Far/1.0\nVersion: 1\n"
            + "Original-Rcpt-To: <bea@okonjo.example>\nRemoval-Recipient: bea@okonjo.example\n";
    assertThat(MailSorter.sort(mail(Map.of(), "multipart/report", null, feedback)))
        .isEqualTo(new SortedMail.Complaint(List.of("bea@okonjo.example")));
  }

  /** RFC 8098: such a report says that a message was shown. */
  @Test
  public void aReceiptOfReadingIsNoReturnAndNoReply() {
    assertThat(
            MailSorter.sort(
                mail(
                    Map.of("from", "Postmaster <postmaster@far.test>", "subject", "Read: Spring"),
                    "multipart/report; report-type=disposition-notification",
                    null,
                    null)))
        .isInstanceOf(SortedMail.AutoReply.class);
  }

  @Test
  public void proseFromTheReporterIsForAPersonNotAReply() {
    for (String from :
        List.of("MAILER-DAEMON@far.test", "Mail Host <postmaster@far.test>", "<mailer-daemon@x>")) {
      assertThat(MailSorter.sort(mail(Map.of("from", from), "text/plain", null, null)))
          .isInstanceOf(SortedMail.UnreadReturn.class);
    }
  }

  private static InboundMail report(String status) {
    return mail(Map.of("from", "mailer-daemon@far.test"), "multipart/report", status, null);
  }

  private static InboundMail mail(
      Map<String, String> headers, String type, String status, String feedback) {
    Map<String, List<String>> all = new HashMap<>();
    headers.forEach((name, value) -> all.put(name, List.of(value)));
    return new InboundMail(all, type, status, feedback, Map.of(), "words", "words");
  }
}
