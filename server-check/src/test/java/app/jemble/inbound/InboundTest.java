package app.jemble.inbound;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.ServerTest;
import app.jemble.core.message.PublicToken;
import app.jemble.workspace.WorkspaceService;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** Mail that arrives: matched to its message, counted once. */
public class InboundTest extends ServerTest {

  private InboundService inbound;

  /** A message that has been sent. */
  private record Sent(long mailing, long person, String token) {
    String id() {
      return "<" + token + "@ternquay.example>";
    }
  }

  @Override
  protected int people() {
    return 10;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    api.signIn("orla", "lowen-quay");
    inbound = application.getBean(InboundService.class);
  }

  private Sent send(String address, String subject) {
    long person = addPerson("Ann", "Other", address);
    return send(person, subject);
  }

  private Sent send(long person, String subject) {
    long mailing = draft(List.of(person), subject, "<p>Hello</p>");
    release(mailing);
    awaitSettled(mailing);
    return new Sent(mailing, person, messageValue(mailing, person, "token"));
  }

  private void receive(String... lines) {
    inbound.receive(String.join("\r\n", lines).getBytes(StandardCharsets.UTF_8));
  }

  private List<String> kinds(Sent sent) {
    return sql.sql("select kind from response where cause_id = ? order by id")
        .param(sent.mailing())
        .query(String.class)
        .list();
  }

  private String standing(Sent sent) {
    return messageValue(sent.mailing(), sent.person(), "standing");
  }

  @Test
  public void aReplyIsMatchedByItsThreadWhoeverSendsItAndWhateverTheSubject() {
    Sent sent = send("thread@reply.test", "Thread");
    receive(
        "From: Someone Else <other@home.test>",
        "To: orla@ternquay.example",
        "Subject: quite another thing",
        "Message-ID: <1@reply.test>",
        "In-Reply-To: <unknown@elsewhere.test>",
        "References: " + sent.id() + " <unknown@elsewhere.test>",
        "",
        "I answer for her.",
        "> quoted");
    assertThat(kinds(sent)).containsExactly("REPLIED");
    assertThat(standing(sent)).isEqualTo("REPLIED");
  }

  @Test
  public void theSameMailAgainChangesNothing() {
    Sent sent = send("twice@reply.test", "Twice");
    String[] mail = {
      "From: twice@reply.test",
      "Message-ID: <2@reply.test>",
      "In-Reply-To: " + sent.id(),
      "",
      "Yes."
    };
    receive(mail);
    receive(mail);
    assertThat(kinds(sent)).containsExactly("REPLIED");
  }

  @Test
  public void withoutAThreadTheReplyAddressTells() {
    Sent sent = send("address@reply.test", "Address");
    receive(
        "From: address@reply.test",
        "To: return+" + sent.token() + "@ternquay.example",
        "Subject: hello",
        "Message-ID: <3@reply.test>",
        "",
        "Yes.");
    assertThat(kinds(sent)).containsExactly("REPLIED");
  }

  @Test
  public void elseSenderAndSubjectTellAndTheNewestMailingOfThatSubjectIsMeant() {
    Sent first = send("subject@reply.test", "Zwei Plätze");
    Sent second = send(first.person(), "Another");
    receive(
        "From: \"Ann\" <SUBJECT@reply.test>",
        "Subject: AW: Re: zwei platze",
        "Message-ID: <4@reply.test>",
        "",
        "Ja.");
    assertThat(kinds(first)).containsExactly("REPLIED");
    assertThat(kinds(second)).isEmpty();
  }

  @Test
  public void anAutomaticReplyIsNoReply() {
    Sent sent = send("away@reply.test", "Away");
    receive(
        "From: away@reply.test",
        "Auto-Submitted: auto-replied",
        "Message-ID: <5@reply.test>",
        "In-Reply-To: " + sent.id(),
        "",
        "I am away.");
    assertThat(kinds(sent)).containsExactly("AUTO_REPLIED");
    assertThat(standing(sent)).isEqualTo("AUTO_REPLIED");
  }

  @Test
  public void aMailboxThatDoesNotExistIsNeverWrittenToAgain() {
    Sent sent = send("nobody@gone.test", "Gone");
    report(sent, "nobody@gone.test", "5.1.1", "550 no such mailbox", 6);
    assertThat(kinds(sent)).containsExactly("RETURNED_HARD");
    assertThat(standing(sent)).isEqualTo("RETURNED");
    assertThat(doNotWrite("nobody@gone.test")).isEqualTo("hard return");
  }

  @Test
  public void aFullMailboxIsGivenUpAfterThreeReturnsIn30Days() {
    Sent first = send("full@gone.test", "Full 1");
    report(first, "full@gone.test", "5.2.2", "552 mailbox is full", 7);
    Sent second = send(first.person(), "Full 2");
    report(second, "full@gone.test", "5.2.2", "552 mailbox is full", 8);
    assertThat(doNotWrite("full@gone.test")).isNull();
    Sent third = send(first.person(), "Full 3");
    report(third, "full@gone.test", "5.2.2", "552 mailbox is full", 9);
    assertThat(doNotWrite("full@gone.test")).isEqualTo("soft returns");
  }

  @Test
  public void softReturnsFurtherApartThan30DaysGiveUpNothing() {
    Sent first = send("often@gone.test", "Often 1");
    report(first, "often@gone.test", "5.2.2", "552 mailbox is full", 10);
    Sent second = send(first.person(), "Often 2");
    report(second, "often@gone.test", "5.2.2", "552 mailbox is full", 11);
    sql.sql(
            """
            update response r set at = r.at - interval '31 days'
            from message m where m.id = r.message_id and m.token = ?
            """)
        .param(first.token())
        .update();
    Sent third = send(first.person(), "Often 3");
    report(third, "often@gone.test", "5.2.2", "552 mailbox is full", 12);
    assertThat(doNotWrite("often@gone.test")).as("two within 30 days").isNull();
    Sent fourth = send(first.person(), "Often 4");
    report(fourth, "often@gone.test", "5.2.2", "552 mailbox is full", 13);
    assertThat(doNotWrite("often@gone.test")).isEqualTo("soft returns");
  }

  private String doNotWrite(String address) {
    return sql.sql("select reason from do_not_write where address_key = ?")
        .param(address)
        .query(String.class)
        .optional()
        .orElse(null);
  }

  /** In the form of RFC 3464 appendix E. */
  private void report(Sent sent, String address, String code, String why, int number) {
    receive(
        "From: mailer-daemon@gone.test",
        "To: return+" + sent.token() + "@ternquay.example",
        "Subject: Undelivered",
        "Auto-Submitted: auto-replied",
        "Message-ID: <" + number + "@gone.test>",
        "MIME-Version: 1.0",
        "Content-Type: multipart/report; report-type=delivery-status; boundary=\"b\"",
        "",
        "--b",
        "",
        "It did not work.",
        "--b",
        "Content-Type: message/delivery-status",
        "",
        "Reporting-MTA: dns; gone.test",
        "",
        "Final-Recipient: rfc822; " + address,
        "Action: failed",
        "Status: " + code,
        "Diagnostic-Code: smtp; " + why,
        "",
        "--b--");
  }

  /** A copy in the mailbox that is read, and what answers it, is nothing to decide about. */
  @Test
  public void whatTheHouseWroteItselfIsKnownWhenItComesBack() {
    Sent sent = send("house@reply.test", "House");
    WorkspaceService workspace = application.getBean(WorkspaceService.class);
    String copy = workspace.newToken();
    String summary = PublicToken.named("summary.1", workspace.secret());
    fromOrla("House", "<" + copy + "@ternquay.example>", "X-Copy: yes");
    fromOrla("House", sent.id(), "X-Message: itself");
    fromOrla("Away", "<house-away@x.example>", "In-Reply-To: <" + summary + "@ternquay.example>");
    receive(
        "From: mailer-daemon@far.example",
        "To: return+" + copy + "@ternquay.example",
        "Subject: Undeliverable",
        "Message-ID: <house-back@far.example>",
        "",
        "The mailbox is full.");
    assertThat(toPlace("House")).isEmpty();
    assertThat(toPlace("Away")).isEmpty();
    assertThat(toPlace("Undeliverable")).isEmpty();
    assertThat(kinds(sent)).isEmpty();
    receive(
        "From: A Stranger <stranger@far.example>",
        "Subject: Re: House",
        "Message-ID: <house-stranger@far.example>",
        "In-Reply-To: <" + copy + "@ternquay.example>",
        "",
        "Orla showed me this; may I come too?");
    assertThat(toPlace("Re: House")).as("what a person says is for a person to read").hasSize(1);
  }

  private void fromOrla(String subject, String id, String more) {
    receive(
        "From: Orla Finch <orla@ternquay.example>",
        "Subject: " + subject,
        "Message-ID: " + id,
        more,
        "",
        "Written by the house, or by Orla.");
  }

  private List<String> toPlace(String subject) {
    return sql.sql(
            """
            select identity from inbound_mail
            where placed_at is null and subject = ?
              and (identity like '<house-%' or sender like '%orla@%')
            """)
        .param(subject)
        .query(String.class)
        .list();
  }

  @Test
  public void strangersAndRubbishDoNoHarm() {
    receive("From: stranger@far.test", "Subject: offer", "Message-ID: <10@far.test>", "", "Buy.");
    inbound.receive(new byte[] {0, 1, 2, (byte) 0xff, 13, 10});
    receive("From: (((", "Content-Type: multipart/mixed; boundary=", "Subject: =?x?q?", "", "x");
    assertThat(
            sql.sql(
                    "select count(*) from response where mail_id in (select id from inbound_mail where sender like '%stranger%')")
                .query(Long.class)
                .single())
        .isZero();
  }
}
