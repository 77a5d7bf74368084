package app.jemble.conversation;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Eventually;
import app.jemble.ServerTest;
import app.jemble.inbound.Arrivals;
import app.jemble.inbound.InboundService;
import app.jemble.response.ResponseService;
import app.jemble.standins.PostOffice;
import jakarta.mail.internet.MimeMessage;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Reading replies with what they answer, saying what they are, answering by hand. */
public class ConversationTest extends ServerTest {

  private InboundService inbound;
  private int mails;

  private record Sent(long mailing, long message, long person, String address, String token) {}

  @Override
  protected int people() {
    return 1;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    api.signIn("orla", "lowen-quay");
    inbound = application.getBean(InboundService.class);
    placeAll();
  }

  @AfterMethod
  public void placeAll() {
    sql.sql("update inbound_mail set placed_at = now() where placed_at is null").update();
    sql.sql("update workspace set hold_seconds = 0").update();
  }

  private Sent send(String address, String name, String subject) {
    long person = addPerson("Bea", name, address);
    long mailing = draft(List.of(person), subject, "<p>The slipway opens.</p>");
    release(mailing);
    awaitSettled(mailing);
    return new Sent(
        mailing,
        Long.parseLong(messageValue(mailing, person, "id")),
        person,
        address,
        messageValue(mailing, person, "token"));
  }

  /** Answers the Message-ID. */
  private String receive(String from, String subject, String inReplyTo, String... text) {
    String id = "<mail" + ++mails + "@conversation.test>";
    String mail =
        "From: "
            + from
            + "\r\nTo: orla@ternquay.example\r\nSubject: "
            + subject
            + "\r\nMessage-ID: "
            + id
            + (inReplyTo == null ? "" : "\r\nIn-Reply-To: " + inReplyTo)
            + "\r\n\r\n"
            + String.join("\r\n", text)
            + "\r\n";
    inbound.receive(mail.getBytes(StandardCharsets.UTF_8));
    return id;
  }

  private String reply(Sent to, String... text) {
    return receive("Bea <" + to.address() + ">", "Re: Hello", id(to), text);
  }

  private static String id(Sent sent) {
    return "<" + sent.token() + "@ternquay.example>";
  }

  @Test
  public void aLetterIsLookedAtAsItLookedAndCountsNothing() {
    Sent sent = send("looked.at@conversation.test", "Looked", "Look");
    JsonNode letter = api.get("/api/messages/" + sent.message() + "/letter").json();
    assertThat(letter.get("subject").asString()).isEqualTo("Look");
    assertThat(letter.get("html").asString())
        .contains("The slipway opens.")
        .doesNotContain("href=")
        .doesNotContain("src=\"http");
    assertThat(letter.get("text").asString()).contains("The slipway opens.");
    assertThat(
            sql.sql("select count(*) from response where message_id = ?")
                .param(sent.message())
                .query(Long.class)
                .single())
        .isZero();
  }

  private JsonNode steps(Sent of) {
    return api.get("/api/conversations/" + of.message()).json().get("steps");
  }

  private static JsonNode last(JsonNode steps, String what) {
    JsonNode found = null;
    for (JsonNode step : steps) {
      found = step.get(what).isNull() ? found : step.get(what);
    }
    return found;
  }

  private long mailId(Sent of) {
    return last(steps(of), "theirs").get("mailId").asLong();
  }

  @Test
  public void aReplyStandsBelowWhatItAnswersAndItsQuotesApart() {
    Sent sent = send("read@conversation.test", "Read", "Hello");
    reply(sent, "Yes, gladly.", "", "On Tue, 23 Mar 2027, Orla wrote:", "> The slipway opens.");
    JsonNode steps = steps(sent);
    assertThat(steps.get(0).get("ours").get("text").asString()).startsWith("The slipway opens.");
    JsonNode theirs = last(steps, "theirs");
    assertThat(theirs.get("words").asString()).isEqualTo("Yes, gladly.");
    assertThat(theirs.get("quoted").asString()).startsWith("On Tue").contains("> The slipway");
    assertThat(theirs.get("kind").asString()).isEqualTo("REPLIED");
  }

  @Test
  public void whatAPersonWroteIsAnsweredThoughSoftwareWroteAfterIt() {
    Sent sent = send("twice@conversation.test", "Twice", "Hello");
    assertThat(answerable(sent).isNull()).isTrue();
    reply(sent, "Yes, gladly.");
    long mail = mailId(sent);
    reply(sent, "I am away.");
    readAs(mailId(sent), "AUTO_REPLY");
    assertThat(answerable(sent).asLong()).isEqualTo(mail);
  }

  private JsonNode answerable(Sent of) {
    return api.get("/api/conversations/" + of.message()).json().get("answerable");
  }

  @Test
  public void aPrivateMailingIsItsSendersAlone() {
    Sent sent = send("private@conversation.test", "Private", "Hello");
    reply(sent, "Between us.");
    long mail = mailId(sent);
    sql.sql("update cause set private = true where id = ?").param(sent.mailing()).update();
    Api tomas = new Api("http://127.0.0.1:" + port);
    tomas.signIn("tomas", "lowen-quay");
    assertThat(tomas.get("/api/conversations/" + sent.message()).status()).isEqualTo(404);
    assertThat(tomas.post("/api/mail/" + mail + "/answer", Map.of("text", "Hi")).status())
        .isEqualTo(404);
    assertThat(tomas.put("/api/mail/" + mail + "/as", Map.of("what", "REPLY")).status())
        .isEqualTo(404);
    assertThat(steps(sent).size()).isGreaterThan(1);
  }

  @Test
  public void whatAMailIsCanBeSaidAnewAndItsMessageStandsAccordingly() {
    Sent sent = send("said@conversation.test", "Said", "Hello");
    reply(sent, "I am at sea.");
    long mail = mailId(sent);
    assertThat(readAs(mail, "AUTO_REPLY")).isEqualTo(204);
    assertThat(messageValue(sent.mailing(), sent.person(), "standing")).isEqualTo("AUTO_REPLIED");
    assertThat(messageValue(sent.mailing(), sent.person(), "replied")).isEqualTo("f");
    assertThat(api.put("/api/mail/" + mail + "/as", Map.of()).status()).isEqualTo(422);
    assertThat(readAs(mail, "REPLY")).isEqualTo(204);
    assertThat(messageValue(sent.mailing(), sent.person(), "standing")).isEqualTo("REPLIED");
    assertThat(messageValue(sent.mailing(), sent.person(), "replied")).isEqualTo("t");
  }

  @Test
  public void aReturnThatWasNoneLiftsWhatItPutOnTheDoNotWriteList() {
    Sent sent = send("notgone@conversation.test", "Notgone", "Hello");
    String token = messageValue(sent.mailing(), sent.person(), "token");
    Arrivals arrivals = new Arrivals(application);
    arrivals.returned("notgone@conversation.test", token);
    arrivals.returned("notgone@conversation.test", token);
    assertThat(reachOf(sent)).isEqualTo("DO_NOT_WRITE");
    List<Long> mails =
        sql.sql("select mail_id from response where message_id = ? order by id")
            .param(sent.message())
            .query(Long.class)
            .list();
    assertThat(readAs(mails.get(0), "AUTO_REPLY")).isEqualTo(204);
    assertThat(reachOf(sent)).as("the other return still says so").isEqualTo("DO_NOT_WRITE");
    assertThat(readAs(mails.get(1), "NOT_AN_ANSWER")).isEqualTo(204);
    assertThat(reachOf(sent)).isEqualTo("READY");
    JsonNode lifted = api.get("/api/do-not-write/summary").json().get("lifted").get(0);
    assertThat(lifted.get("address").asString()).isEqualTo("notgone@conversation.test");
    assertThat(lifted.get("by").asString()).isEqualTo("Orla Finch");
  }

  private String reachOf(Sent sent) {
    return sql.sql("select reach from person where id = ?")
        .param(sent.person())
        .query(String.class)
        .single();
  }

  private int readAs(long mail, String what) {
    return api.put("/api/mail/" + mail + "/as", Map.of("what", what)).status();
  }

  @Test
  public void aMailThatAnswersSomethingElseIsPlacedByHand() {
    Sent wrong = send("wrong@conversation.test", "Wrong", "Hello");
    Sent right = send("right@conversation.test", "Right", "Hello");
    receive("Bea <right@conversation.test>", "Re: Hello", id(wrong), "For the other one.");
    long mail = mailId(wrong);
    readAs(mail, "NOT_AN_ANSWER");
    assertThat(messageValue(wrong.mailing(), wrong.person(), "standing")).isEqualTo("NOTHING");
    assertThat(last(steps(wrong), "theirs")).isNull();
    assertThat(unplaced()).containsExactly(mail);
    assertThat(api.get("/api/mail/unplaced/count").json().get("mails").asLong()).isEqualTo(1);
    JsonNode candidates = api.get("/api/mail/unplaced/" + mail).json().get("candidates");
    assertThat(candidates.get(0).get("messageId").asLong()).isEqualTo(right.message());
    JsonNode found = api.get("/api/mail/unplaced/" + mail + "?find=bea%20wro").json();
    assertThat(found.get("candidates").get(0).get("messageId").asLong())
        .as("found by name")
        .isEqualTo(wrong.message());
    Map<String, Object> place = Map.of("messageId", right.message(), "kind", "REPLIED");
    assertThat(api.post("/api/mail/unplaced/" + mail + "/place", place).status()).isEqualTo(204);
    assertThat(messageValue(right.mailing(), right.person(), "standing")).isEqualTo("REPLIED");
    assertThat(unplaced()).isEmpty();
    assertThat(api.post("/api/mail/unplaced/" + mail + "/place", place).status())
        .as("twice")
        .isEqualTo(404);
  }

  private List<Long> unplaced() {
    return api.get("/api/mail/unplaced")
        .json()
        .valueStream()
        .map(m -> m.get("id").asLong())
        .toList();
  }

  @Test
  public void aReturnInUnknownWordsWaitsForAPersonAndIsPutAside() {
    receive("Mail Delivery System <mailer-daemon@far.test>", "Hm", null, "Something happened.");
    JsonNode mail = api.get("/api/mail/unplaced").json().get(0);
    assertThat(mail.get("sortedAs").asString()).isEqualTo("UnreadReturn");
    long id = mail.get("id").asLong();
    Map<String, Object> opened = Map.of("messageId", 1, "kind", "OPENED");
    assertThat(api.post("/api/mail/unplaced/" + id + "/place", opened).status()).isEqualTo(422);
    assertThat(api.post("/api/mail/unplaced/" + id + "/aside", Map.of()).status()).isEqualTo(204);
    assertThat(unplaced()).isEmpty();
  }

  @Test
  public void aReturnWithoutOurTokenIsAProposalThatAPersonConfirms() {
    Sent sent = send("prose@conversation.test", "Prose", "Hello");
    receive(
        "mailer-daemon@far.test",
        "failure notice",
        null,
        "<prose@conversation.test>:",
        "Sorry, no mailbox here by that name. (#5.1.1)");
    assertThat(messageValue(sent.mailing(), sent.person(), "standing")).isEqualTo("NOTHING");
    assertThat(reachOf(sent)).as("anybody could have written it").isEqualTo("READY");
    long mail = unplaced().get(0);
    JsonNode candidates = api.get("/api/mail/unplaced/" + mail).json().get("candidates");
    assertThat(candidates.get(0).get("messageId").asLong()).isEqualTo(sent.message());
    Map<String, Object> place = Map.of("messageId", sent.message(), "kind", "RETURNED_HARD");
    assertThat(api.post("/api/mail/unplaced/" + mail + "/place", place).status()).isEqualTo(204);
    assertThat(messageValue(sent.mailing(), sent.person(), "standing")).isEqualTo("RETURNED");
    assertThat(reachOf(sent)).isEqualTo("DO_NOT_WRITE");
  }

  @Test
  public void aComplaintOrThreeFullMailboxesWithoutOurTokenHarmNobody() {
    Sent sent = send("forged@conversation.test", "Forged", "Hello");
    for (int i = 0; i < 3; i++) {
      receive(
          "mailer-daemon@far.test",
          "failure notice",
          null,
          "<forged@conversation.test>: mailbox full");
    }
    inbound.receive(
        ("""
            From: abuse@far.test
            Content-Type: multipart/report; report-type=feedback-report; boundary=b

            --b
            Content-Type: message/feedback-report

            Feedback-Type: abuse
            Original-Rcpt-To: forged@conversation.test
            --b--
            """)
            .replace("\n", "\r\n")
            .getBytes(StandardCharsets.UTF_8));
    assertThat(reachOf(sent)).isEqualTo("READY");
    assertThat(unplaced()).hasSize(4);
  }

  @Test
  public void aReturnAtOurReturnAddressThatNobodyCanReadWaitsAndShowsOnItsMessage() {
    Sent sent = send("unread@conversation.test", "Unread", "Hello");
    inbound.receive(
        ("From: mailer-daemon@far.test\r\nTo: return+"
                + sent.token()
                + "@ternquay.example\r\nSubject: Hm\r\n\r\nSomething happened.\r\n")
            .getBytes(StandardCharsets.UTF_8));
    assertThat(unplaced()).hasSize(1);
    JsonNode theirs = last(steps(sent), "theirs");
    assertThat(theirs.get("kind").isNull()).isTrue();
    assertThat(theirs.get("words").asString()).contains("Something happened.");
  }

  @Test
  public void fromAnotherAddressTheNameAndTheSubjectTell() {
    Sent sent = send("office@conversation.test", "Wainwright-Holt", "Your berth in April");
    receive("Bea Wainwright-Holt <bea.private@home.test>", "Re: Your berth in April", null, "Yes.");
    assertThat(messageValue(sent.mailing(), sent.person(), "standing")).isEqualTo("REPLIED");
    JsonNode conversation = api.get("/api/conversations/" + sent.message()).json();
    assertThat(last(conversation.get("steps"), "theirs").get("unsure").asBoolean()).isTrue();
    assertThat(conversation.get("answersTo").get("sender").asString())
        .contains("bea.private@home.test");
    assertThat(conversation.get("answersTo").get("known").asBoolean()).isFalse();
    assertThat(unplaced()).as("a person says whether it was her").hasSize(1);
  }

  @Test
  public void aReplyNobodyVouchesForCountsForAWeekAndOnlyThenWhenSomebodySaysSo() {
    Sent left = send("left@conversation.test", "Left", "Hello");
    Sent said = send("vouched@conversation.test", "Vouched", "Hello");
    receive("Bea <somewhere@else.test>", "Re: Hello", id(left), "It is me.");
    receive("Bea <somewhere@else.test>", "Re: Hello", id(said), "It is me.");
    assertThat(readAs(mailId(said), "REPLY")).isEqualTo(204);
    ResponseService responses = application.getBean(ResponseService.class);
    clock.advance(java.time.Duration.ofDays(6));
    responses.forgetUnsure();
    assertThat(messageValue(left.mailing(), left.person(), "replied")).isEqualTo("t");
    clock.advance(java.time.Duration.ofDays(2));
    responses.forgetUnsure();
    assertThat(messageValue(left.mailing(), left.person(), "replied")).isEqualTo("f");
    assertThat(messageValue(left.mailing(), left.person(), "standing")).isEqualTo("NOTHING");
    assertThat(messageValue(said.mailing(), said.person(), "replied")).isEqualTo("t");
    assertThat(unplaced()).as("it still waits").hasSize(1);
  }

  @Test
  public void anAnswerByHandGoesIntoTheThreadThoughTheyReplied() throws Exception {
    Sent sent = send("answer@conversation.test", "Answer", "Hello");
    String theirId = reply(sent, "May I bring a guest?");
    Api.Answer held =
        api.post(
            "/api/mail/" + mailId(sent) + "/answer",
            Map.of("text", "Of course <both> of you.\n\nSee you & your guest then."));
    assertThat(held.status()).as(held.json().toString()).isEqualTo(200);
    awaitSettled(held.json().get("mailingId").asLong());
    Eventually.holds(
        () -> assertThat(last(steps(sent), "ours").get("text").asString()).contains("<both>"));

    MimeMessage mail = lastTo("answer@conversation.test");
    assertThat(mail.getSubject()).isEqualTo("Re: Hello");
    assertThat(mail.getHeader("In-Reply-To", null)).isEqualTo(theirId);
    assertThat(mail.getHeader("References", null)).contains(id(sent)).endsWith(theirId);
    assertThat(mail.getHeader("List-Unsubscribe")).isNull();
    assertThat(api.get("/api/mailings").json().toString()).doesNotContain("Answer to Bea");
  }

  private MimeMessage lastTo(String address) {
    MimeMessage found = null;
    for (PostOffice.Delivered delivered : office.delivered()) {
      found = delivered.to().contains(address) ? delivered.message() : found;
    }
    return found;
  }

  @Test
  public void aHeldAnswerIsTakenBackAsIfNeverWritten() {
    Sent sent = send("back@conversation.test", "Back", "Hello");
    reply(sent, "Well?");
    sql.sql("update workspace set hold_seconds = 600").update();
    long answer =
        api.post("/api/mail/" + mailId(sent) + "/answer", Map.of("text", "Too soon"))
            .json()
            .get("mailingId")
            .asLong();
    assertThat(last(steps(sent), "ours").get("state").asString()).isEqualTo("waiting");
    assertThat(api.post("/api/answers/" + answer + "/take-back", Map.of()).status()).isEqualTo(204);
    assertThat(last(steps(sent), "ours").get("messageId").asLong()).isEqualTo(sent.message());
    assertThat(api.post("/api/answers/" + sent.mailing() + "/take-back", Map.of()).status())
        .as("a mailing is no answer")
        .isEqualTo(404);
  }

  @Test
  public void anAnswerThatCannotBeIsRefusedWithItsReason() {
    Sent sent = send("bad@conversation.test", "Bad", "Hello");
    reply(sent, "Well?");
    String path = "/api/mail/" + mailId(sent) + "/answer";
    for (String text : List.of("", "  ", "Dear {{first_name}}", "x".repeat(100_001))) {
      assertThat(api.post(path, Map.of("text", text)).status()).isEqualTo(422);
    }
    assertThat(api.post("/api/mail/999999/answer", Map.of("text", "Yes")).status()).isEqualTo(404);
  }
}
