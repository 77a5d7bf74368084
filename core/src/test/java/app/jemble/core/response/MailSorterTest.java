package app.jemble.core.response;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;

public class MailSorterTest {

  /** The shape of RFC 3464 appendix E.1, with our addresses. */
  private static final String NO_SUCH_USER =
      """
      Reporting-MTA: dns; cs.quay.example

      Original-Recipient: rfc822;gus@arkwright.example
      Final-Recipient: rfc822;gus@arkwright.example
      Action: failed
      Status: 5.1.1
      Diagnostic-Code: smtp; 550 5.1.1
       no such user here
      """;

  @Test
  public void aFailedDeliveryIsReturnedForGood() {
    assertThat(MailSorter.sort(report(NO_SUCH_USER)))
        .isEqualTo(
            new SortedMail.Returned(
                true, List.of("gus@arkwright.example"), "5.1.1", "550 5.1.1 no such user here"));
  }

  @Test
  public void aFullMailboxIsReturnedForNow() {
    SortedMail sorted =
        MailSorter.sort(report(NO_SUCH_USER.replace("Status: 5.1.1", "Status: 5.2.2")));
    assertThat(((SortedMail.Returned) sorted).forGood()).isFalse();
  }

  @Test
  public void aDelayIsNoReturn() {
    String delayed =
        NO_SUCH_USER.replace("Action: failed", "Action: delayed").replace("5.1.1", "4.4.1");
    assertThat(MailSorter.sort(report(delayed)))
        .isEqualTo(new SortedMail.Delayed(List.of("gus@arkwright.example")));
  }

  @Test
  public void aReportMarkedAutomaticIsStillAReport() {
    InboundMail mail =
        mail(Map.of("auto-submitted", "auto-replied"), "multipart/report", NO_SUCH_USER, "");
    assertThat(MailSorter.sort(mail)).isInstanceOf(SortedMail.Returned.class);
  }

  @Test
  public void aReportOfUnknownFormIsLeftToAPerson() {
    assertThat(MailSorter.sort(mail(Map.of(), "multipart/report", null, "sorry")))
        .isInstanceOf(SortedMail.UnreadReturn.class);
    assertThat(
            MailSorter.sort(
                mail(
                    Map.of("from", "Mail <MAILER-DAEMON@quay.example>"),
                    "text/plain",
                    null,
                    "could not be delivered")))
        .isInstanceOf(SortedMail.UnreadReturn.class);
  }

  @Test
  public void automaticRepliesAreNoReplies() {
    List<Map<String, String>> automatic =
        List.of(
            Map.of("auto-submitted", "auto-replied"), // RFC 3834 section 5
            Map.of("auto-submitted", "auto-generated; type=x"),
            Map.of("x-auto-response-suppress", "All"), // common practice
            Map.of("x-autoreply", "yes"),
            Map.of("precedence", "auto_reply"),
            Map.of("return-path", "<>"),
            Map.of("subject", "Out of office: Re: hello"),
            Map.of("subject", "Automatic reply: hello"));
    for (Map<String, String> headers : automatic) {
      assertThat(MailSorter.sort(mail(headers, "text/plain", null, "away")))
          .as("%s", headers)
          .isInstanceOf(SortedMail.AutoReply.class);
    }
  }

  @Test
  public void aPersonsAnswerIsAReply() {
    assertThat(
            MailSorter.sort(
                mail(
                    Map.of("auto-submitted", "no", "subject", "Re: the office is out of coal"),
                    "text/plain; charset=utf-8",
                    null,
                    "Yes please")))
        .isEqualTo(new SortedMail.Reply());
  }

  @Test
  public void relatedIdsGoFromTheMostTelling() {
    InboundMail mail =
        new InboundMail(
            Map.of(
                "in-reply-to", List.of("<b@q.example>"),
                "references", List.of("<a@q.example>\r\n <b@q.example>")),
            "text/plain",
            null,
            null,
            Map.of("message-id", List.of("<c@q.example>")),
            "",
            "");
    assertThat(SortedMail.related(mail))
        .containsExactly("<c@q.example>", "<b@q.example>", "<a@q.example>");
  }

  private static InboundMail report(String status) {
    return mail(Map.of(), "multipart/report; report-type=delivery-status", status, "");
  }

  private static InboundMail mail(
      Map<String, String> headers, String type, String status, String text) {
    Map<String, List<String>> all = new HashMap<>();
    headers.forEach((name, value) -> all.put(name, List.of(value)));
    return new InboundMail(all, type, status, null, Map.of(), text, text);
  }
}
