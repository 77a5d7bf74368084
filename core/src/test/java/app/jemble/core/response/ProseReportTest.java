package app.jemble.core.response;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * Returns in prose, in the shapes of common practice with words and addresses of our own. Returns
 * that others collected are read by ForeignReturnsTest.
 */
public class ProseReportTest {

  private static final String DAEMON = "Mail Delivery Subsystem <mailer-daemon@mx.far.example>";

  private static InboundMail mail(String from, String subject, String said) {
    return mail(Map.of("from", from, "subject", subject, "to", "orla@ternquay.example"), said);
  }

  private static InboundMail mail(Map<String, String> headers, String said) {
    Map<String, List<String>> all = new HashMap<>();
    headers.forEach((name, value) -> all.put(name, List.of(value)));
    return new InboundMail(all, "text/plain", null, null, Map.of(), said, said);
  }

  @DataProvider
  public Object[][] returns() {
    return Stream.of(longOnes(), shapes(), shortOnes())
        .flatMap(Arrays::stream)
        .toArray(Object[][]::new);
  }

  private static Object[][] longOnes() {
    return new Object[][] {
      {
        "address, colon, reason",
        """
        Hi. This is the mail program at mx.far.example. I could not deliver your
        message. This is a permanent error; I've given up.

        <gus@arkwright.example>:
        Sorry, no mailbox here by that name. (#5.1.1)

        --- Below this line is a copy of the message.

        Return-Path: <return+x@ternquay.example>
        To: someone.else@arkwright.example
        """,
        "gus@arkwright.example",
        "5.1.1",
        true
      },
      {
        "an indented list and the server's answer below",
        """
        A message that you sent could not be delivered to one or more of its
        recipients. The following address failed:

          bea@okonjo.example
            SMTP error from remote mail server after RCPT TO:<bea@okonjo.example>:
            host mx.okonjo.example [192.0.2.7]: 552 mailbox is full

        ------ This is a copy of the message, including all the headers. ------
        """,
        "bea@okonjo.example",
        "5.2.2",
        false
      },
    };
  }

  private static Object[][] shapes() {
    return new Object[][] {
      {
        "a transcript",
        """
           ----- The following addresses had permanent fatal errors -----
        <kei@far.test>
            (reason: 550 5.7.1 blocked by policy)

           ----- Transcript of session follows -----
        ... while talking to mx.far.test.:
        >>> MAIL From:<return+x@ternquay.example>
        <<< 550 5.7.1 blocked by policy
        """,
        "kei@far.test",
        "5.7.1",
        false
      },
      {
        "to whom it was written is not who failed",
        """
        Your message
          To:      members@ternquay.example
          Subject: The slipway opens
        did not reach the following recipient:
        nell@harbour.example on Tue, 23 Mar 2027 11:08:59
            The recipient name is not recognised
        """,
        "nell@harbour.example",
        "5.1.1",
        true
      },
    };
  }

  private static Object[][] shortOnes() {
    return new Object[][] {
      {
        "in one sentence",
        "Your mail to ivo@quay.example was not delivered: unknown host.",
        "ivo@quay.example",
        "5.1.2",
        true
      },
      {
        "the help desk is not who failed",
        """
        Delivery to the following recipient failed permanently:
             ana@lisboa.example
        The account is disabled.
        For help write to help@far.example.
        """,
        "ana@lisboa.example",
        "5.2.1",
        true
      },
      {
        "in German",
        """
        Ihre Nachricht konnte nicht zugestellt werden:
        <uwe@hafen.example>: Empfänger unbekannt
        """,
        "uwe@hafen.example",
        "5.1.1",
        true
      },
    };
  }

  @Test(dataProvider = "returns")
  public void whoFailedAndWhyIsRead(
      String shape, String said, String address, String code, boolean forGood) {
    SortedMail sorted = MailSorter.sort(mail(DAEMON, "Undelivered mail", said));
    assertThat(sorted).as(shape).isInstanceOf(SortedMail.Returned.class);
    SortedMail.Returned back = (SortedMail.Returned) sorted;
    assertThat(back.addresses()).as(shape).containsExactly(address);
    assertThat(back.code()).as(shape).isEqualTo(code);
    assertThat(back.forGood()).as(shape).isEqualTo(forGood);
    assertThat(back.why()).as(shape).isNotBlank().doesNotContain("\n");
  }

  @Test
  public void severalWhoFailedAreAllNamed() {
    SortedMail sorted =
        MailSorter.sort(
            mail(
                DAEMON,
                "Returned mail",
                """
                These could not be delivered:
                <a@far.test>: user unknown
                <b@far.test>: user unknown
                """));
    assertThat(((SortedMail.Returned) sorted).addresses())
        .containsExactly("a@far.test", "b@far.test");
  }

  @Test
  public void whoFailedIsTakenFromTheHeaderWhereThereIsOne() {
    SortedMail sorted =
        MailSorter.sort(
            mail(
                Map.of("from", "robot@far.test", "x-failed-recipients", "gus@arkwright.example"),
                "no such user"));
    assertThat(((SortedMail.Returned) sorted).addresses()).containsExactly("gus@arkwright.example");
  }

  @DataProvider
  public Object[][] delays() {
    return new Object[][] {
      {
        "Your message to <gus@arkwright.example> has not yet been delivered. You need not resend it."
      },
      {"gus@arkwright.example: connection timed out. Delivery attempts will continue for 4 days."},
      {"Delivery to gus@arkwright.example is delayed; we will keep trying."},
    };
  }

  @Test(dataProvider = "delays")
  public void aDelayIsNoReturn(String said) {
    assertThat(MailSorter.sort(mail(DAEMON, "Warning: message delayed", said)))
        .isEqualTo(new SortedMail.Delayed(List.of("gus@arkwright.example")));
  }

  @DataProvider
  public Object[][] noReturns() {
    return new Object[][] {
      {"Re: Your renewal", "My old address gus@arkwright.example failed; user unknown. Use this."},
      {"Re: Undelivered mail", "Did you get my mail? bea@okonjo.example could not be delivered."},
      {"Question", "I could not open the attachment, error 550. Write to me at gus@quay.example."},
    };
  }

  @Test(dataProvider = "noReturns")
  public void aPersonWhoWritesOfFailureReplies(String subject, String said) {
    assertThat(MailSorter.sort(mail("Gus <gus@arkwright.example>", subject, said)))
        .isEqualTo(new SortedMail.Reply());
  }

  @Test
  public void aReportInUnknownWordsIsForAPersonToRead() {
    assertThat(MailSorter.sort(mail(DAEMON, "Hm", "Something happened to your message.")))
        .isInstanceOf(SortedMail.UnreadReturn.class);
  }

  /** What no server writes, but anybody can: patterns must not be led round in circles by it. */
  @DataProvider
  public Object[][] madeUp() {
    return new Object[][] {
      {"-", "<a@far.test>: user unknown"},
      {" ", "user unknown"},
      {"x", "@far.test unknown"},
      {"a@", ""},
      {"<a@b", ""},
      {"user unknown ", ""},
      {"could not be delivered to ", "a@far.test"},
      {"\n", "a@far.test"},
      {"<a@far.test>: user unknown\n", ""},
    };
  }

  @Test(dataProvider = "madeUp", timeOut = 20_000)
  public void madeUpWordsTakeNoLongerThanOthers(String again, String end) {
    String said = again.repeat(200_000 / again.length()) + "\n" + end;
    for (String subject : List.of("failure notice", "delivery ".repeat(10_000))) {
      SortedMail sorted = MailSorter.sort(mail(DAEMON, subject, said));
      assertThat(sorted).isNotInstanceOf(SortedMail.Reply.class);
    }
  }
}
