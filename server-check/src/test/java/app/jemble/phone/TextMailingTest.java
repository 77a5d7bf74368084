package app.jemble.phone;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Eventually;
import app.jemble.TextHouse;
import java.sql.Timestamp;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A mailing goes by text to those who have a number, by mail to the others, and is answered. */
public class TextMailingTest extends TextTrial {

  @Test
  public void eachIsReachedOnTheFirstWayThatReachesThem() {
    String ann = number();
    long texted = person("Ann", "ann@texts.example", "+44 " + ann.substring(3));
    long mailed = person("Bea", "bea@texts.example", null);
    long neither = person("Cal", null, null);
    long mailing = draftByText(List.of(texted, mailed, neither), "Dear {{first_name}}, by text");

    JsonNode check = check(mailing);
    assertThat(check.get("ready").asLong()).isEqualTo(2);
    assertThat(check.get("ways").get(0).get("channel").asString()).isEqualTo("TEXT");
    assertThat(check.get("ways").get(0).get("people").asLong()).isEqualTo(1);
    assertThat(check.get("ways").get(1).get("people").asLong()).isEqualTo(1);
    assertThat(check.get("cannot").get(0).get("words").asString()).isEqualTo("no address");

    JsonNode rows = api.get("/api/mailings/" + mailing + "/audience").json();
    List<String> shown = new ArrayList<>();
    rows.forEach(
        row -> shown.add(row.get("channel").asString() + " " + row.get("before").toString()));
    assertThat(shown)
        .containsExactlyInAnyOrder(
            "TEXT []",
            "EMAIL [\"Text message: no address\"]",
            "EMAIL [\"Text message: no address\"]");

    assertThat(release(mailing).status()).isEqualTo(200);
    awaitSettled(mailing);
    assertThat(textsTo(ann)).containsExactly("Dear Ann, by text");
    assertThat(messageValue(mailing, texted, "channel")).isEqualTo("TEXT");
    assertThat(messageValue(mailing, texted, "address")).isEqualTo(ann);
    assertThat(messageValue(mailing, mailed, "channel")).isEqualTo("EMAIL");
    assertThat(messageValue(mailing, mailed, "state || coalesce(': ' || reason, '')"))
        .startsWith("sent");
    assertThat(messageValue(mailing, neither, "channel")).isNull();
    assertThat(mailsTo("ann@texts.example")).isEmpty();
    JsonNode byWay = api.get("/api/responses/" + mailing + "/groups?by=WAY").json();
    assertThat(byWay.toString()).contains("Text message").contains("E-mail");
    JsonNode texts = api.get("/api/responses/" + mailing + "/messages?by=WAY&value=TEXT").json();
    assertThat(texts).hasSize(1);
  }

  @Test
  public void theProofIsThatOfTheWay() {
    long texted = person("Ann", "ann2@texts.example", number());
    long mailed = person("Bea", "bea2@texts.example", null);
    long mailing = draftByText(List.of(texted, mailed), "It’s on, {{first_name}}");
    sql.sql("delete from text_price").update();
    sql.sql("insert into text_price values ('44', 'United Kingdom', 0.04)").update();
    JsonNode phone = api.get("/api/mailings/" + mailing + "/proofs/" + texted).json().get("phone");
    assertThat(phone.get("words").asString()).isEqualTo("It’s on, Ann");
    assertThat(phone.get("parts").asInt()).isEqualTo(1);
    assertThat(phone.get("units").asInt()).isEqualTo(12);
    assertThat(phone.get("left").asInt()).isEqualTo(58);
    assertThat(phone.get("longer").get(0).get("likeness").asString()).isEqualTo("'");
    assertThat(phone.get("cost").asDouble()).isEqualTo(0.04);
    JsonNode mail = api.get("/api/mailings/" + mailing + "/proofs/" + mailed).json();
    assertThat(mail.get("phone").isNull()).isTrue();
    assertThat(mail.get("before").get(0).asString()).isEqualTo("Text message: no address");

    JsonNode texts = check(mailing).get("texts");
    assertThat(texts.get("sum").get("texts").asInt()).isEqualTo(1);
    assertThat(texts.get("sum").get("cost").asDouble()).isEqualTo(0.04);
    assertThat(texts.get("currency").asString()).isEqualTo("GBP");
  }

  @Test
  public void oneReadsOtherWordsByTextAndTheSharedOnesByMail() {
    String ann = number();
    String bea = number();
    long reworded = person("Ann", "ann3@texts.example", ann);
    long shared = person("Bea", "bea3@texts.example", bea);
    long mailing = draftByText(List.of(reworded, shared), "Dear {{first_name}}, the boats are in");
    String own = "/api/mailings/" + mailing + "/own-words/" + reworded;
    assertThat(api.put(own, ownText("Ann, yours is in: {{no_field}}", 0)).json().toString())
        .contains("no_field");
    String words = "{{first_name}}, yours is in: 1 < 2 & <b>first</b>";
    assertThat(api.put(own, ownText(words, 0)).status()).isEqualTo(200);
    assertThat(api.put(own, ownText("Something else", 0)).status())
        .as("over words that somebody wrote meanwhile")
        .isEqualTo(409);
    JsonNode kept = api.get("/api/mailings/" + mailing + "/own-words").json().get(0);
    assertThat(kept.get("channel").asString()).isEqualTo("TEXT");
    assertThat(kept.get("sharedBody").asString())
        .isEqualTo("Dear {{first_name}}, the boats are in");
    JsonNode proof = api.get("/api/mailings/" + mailing + "/proofs/" + reworded).json();
    assertThat(proof.get("ownWords").asBoolean()).isTrue();
    assertThat(proof.get("oldWords").asBoolean()).isFalse();
    assertThat(proof.get("phone").get("words").asString())
        .isEqualTo("Ann, yours is in: 1 < 2 & <b>first</b>");

    Map<String, Object> change = change(mailing, "By mail", "<p>By mail</p>");
    change.put("ways", List.of("TEXT", "EMAIL"));
    change.put("text", Map.of("words", "{{first_name}}, all boats", "likeness", "NOWHERE"));
    assertThat(api.put("/api/mailings/" + mailing, change).status()).isEqualTo(200);
    assertThat(
            api.get("/api/mailings/" + mailing + "/proofs/" + reworded)
                .json()
                .get("oldWords")
                .asBoolean())
        .as("the shared text has changed since")
        .isTrue();
    assertThat(release(mailing).status()).isEqualTo(200);
    awaitSettled(mailing);
    assertThat(textsTo(ann)).containsExactly("Ann, yours is in: 1 < 2 & <b>first</b>");
    assertThat(textsTo(bea)).containsExactly("Bea, all boats");
  }

  private static Map<String, Object> ownText(String words, int version) {
    return Map.of("channel", "TEXT", "subject", "", "body", words, "version", version);
  }

  /** The run sheet says what binds, and what it says is what happens. */
  @Test
  public void aCapOfTextsHoldsUpNoMailAndNightsAreSaid() {
    // One more than have left today.
    sql.sql(
            """
            insert into way_cap
            select 'TEXT', 1 + count(*) from message
            where channel = 'TEXT' and sent_at >= date_trunc('day', ?::timestamptz)
            """)
        .param(Timestamp.from(clock.instant()))
        .update();
    try {
      long first = person("Ann", null, number());
      long second = person("Bea", null, number());
      long mailed = person("Cal", "cal4@texts.example", null);
      long mailing = draftByText(List.of(first, second, mailed), "Dear {{first_name}}");
      assertThat(release(mailing).status()).isEqualTo(200);
      Eventually.holds(() -> assertThat(messageValue(mailing, mailed, "state")).isEqualTo("sent"));
      Eventually.holds(() -> assertThat(messageValue(mailing, first, "state")).isEqualTo("sent"));
      assertThat(dueOn(mailing, second))
          .as("tomorrow, once it is morning there")
          .isEqualTo(
              clock.instant().atZone(ZoneId.of(PLACE)).toLocalDate().plusDays(1).atTime(8, 0));
      JsonNode sheet =
          api.post(
                  "/api/mailings/" + mailing + "/plan",
                  api.get("/api/mailings/" + mailing).json().get("plan"))
              .json();
      assertThat(sheet.get("days").toString()).contains("the text service").contains("quiet hours");
    } finally {
      sql.sql("delete from way_cap").update();
      // What is asked at the hand-over is known for a second.
      LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(1100));
    }
  }

  private LocalDateTime dueOn(long mailing, long person) {
    return sql.sql("select due_at from message where cause_id = ? and person_id = ?")
        .params(mailing, person)
        .query(Timestamp.class)
        .single()
        .toInstant()
        .atZone(ZoneId.of(PLACE))
        .toLocalDateTime();
  }

  @Test
  public void whatComesBackStandsInTheThread() {
    String ann = number();
    long texted = person("Ann", null, ann);
    long mailing = draftByText(List.of(texted), "Are you coming?");
    release(mailing);
    awaitSettled(mailing);
    centre.receipts(ann, true);
    Eventually.holds(
        () ->
            assertThat(
                    sql.sql(
                            """
                            select count(*) from text_receipt r join message m on m.id = r.message_id
                            where m.cause_id = ? and r.state = 'DELIVERED'
                            """)
                        .param(mailing)
                        .query(Integer.class)
                        .single())
                .isEqualTo(1));
    centre.writes(ann, TextHouse.NUMBER.substring(1), List.of("Yes, with ", "three friends ж"));
    Eventually.holds(() -> assertThat(standing(mailing, texted)).isEqualTo("REPLIED"));
    String message = messageValue(mailing, texted, "id");
    JsonNode talk = api.get("/api/conversations/" + message).json();
    assertThat(talk.toString()).contains("Yes, with three friends ж").contains(ann);
    assertThat(talk.get("steps").get(0).get("ours").get("text").asString())
        .isEqualTo("Are you coming?");
    assertThat(talk.get("steps").get(0).get("ours").get("receipts").asString())
        .isEqualTo("delivered");
    assertThat(talk.get("answersTo").get("channel").asString()).isEqualTo("TEXT");
    assertThat(talk.get("answersTo").get("known").asBoolean()).isTrue();
    String mail = talk.get("answerable").asString();
    Api.Answer answered =
        api.post("/api/mail/" + mail + "/answer", Map.of("text", "Lovely, Ann’s & co."));
    assertThat(answered.status()).as(answered.text()).isEqualTo(200);
    Eventually.holds(() -> assertThat(textsTo(ann)).contains("Lovely, Ann’s & co."));
    assertThat(api.post("/api/mail/" + mail + "/answer", Map.of("text", "x".repeat(1601))).status())
        .isEqualTo(422);
  }

  @Test
  public void whatCannotBeDeliveredCountsAsReturned() {
    String ann = number();
    long texted = person("Ann", null, ann);
    long mailing = draftByText(List.of(texted), "Hello");
    release(mailing);
    awaitSettled(mailing);
    centre.receipts(ann, false);
    Eventually.holds(() -> assertThat(standing(mailing, texted)).isEqualTo("RETURNED"));
    assertThat(
            sql.sql("select reason from do_not_write where address_key = ?")
                .param(ann)
                .query(String.class)
                .single())
        .isEqualTo("hard return");
    long next = draftByText(List.of(texted), "Hello again");
    assertThat(check(next).get("ready").asLong()).isZero();
  }

  @Test
  public void aStopWordClosesTheWayAndIsConfirmedOnce() {
    String ann = number();
    long texted = person("Ann", "ann4@texts.example", ann);
    long mailing = draftByText(List.of(texted), "Hello");
    release(mailing);
    awaitSettled(mailing);
    centre.writes(ann, TextHouse.NUMBER.substring(1), List.of(" stop. "));
    Eventually.holds(
        () -> assertThat(textsTo(ann)).contains("You will get no more texts from us."));
    centre.writes(ann, TextHouse.NUMBER.substring(1), List.of("STOP"));
    Eventually.holds(
        () ->
            assertThat(
                    sql.sql(
                            "select count(*) from text_arrival where sender = ? and taken_at is not null")
                        .param(ann)
                        .query(Integer.class)
                        .single())
                .isEqualTo(2));
    assertThat(textsTo(ann)).hasSize(2);
    assertThat(standing(mailing, texted)).isEqualTo("LEFT");
    long next = draftByText(List.of(texted), "Hello again");
    JsonNode row = api.get("/api/mailings/" + next + "/audience").json().get(0);
    assertThat(row.get("channel").asString()).as("by mail then").isEqualTo("EMAIL");
    assertThat(row.get("before").get(0).asString()).isEqualTo("Text message: left this topic");
  }

  @Test
  public void aColleagueNotesThatAWayIsClosedAndTakesThatBack() {
    long ann = person("Ann", "ann6@texts.example", number());
    String path = "/api/people/" + ann + "/consent";
    assertThat(api.put(path + "/TEXT", Map.of("how", " ")).status()).isEqualTo(422);
    JsonNode closed = api.put(path + "/TEXT", Map.of("how", "on the telephone")).json();
    JsonNode text = closed.get(1);
    assertThat(text.get("channel").asString()).isEqualTo("TEXT");
    assertThat(text.get("how").asString()).isEqualTo("on the telephone");
    assertThat(text.get("by").asString()).isEqualTo("Orla Finch");
    assertThat(api.put(path + "/TEXT", Map.of("how", "again")).status()).isEqualTo(409);
    long mailing = draftByText(List.of(ann), "Hello");
    JsonNode row = api.get("/api/mailings/" + mailing + "/audience").json().get(0);
    assertThat(row.get("channel").asString()).isEqualTo("EMAIL");
    assertThat(api.delete(path + "/TEXT").json().get(1).get("closedAt").isNull()).isTrue();
    assertThat(api.delete(path + "/TEXT").status()).isEqualTo(404);
    sql.sql(
            "insert into way_closed (person_id, channel, closed_at, how) values (?, 'TEXT', now(), 'STOP')")
        .param(ann)
        .update();
    assertThat(api.delete(path + "/TEXT").text()).contains("only they come back");
    assertThat(api.put("/api/people/999999/consent/TEXT", Map.of("how", "x")).status())
        .isEqualTo(404);
  }

  /** Between release and hand-over; nobody gets both. */
  @Test
  public void whenTheWayClosesTheNextIsTakenOnce() {
    String ann = number();
    long texted = person("Ann", "ann5@texts.example", ann);
    sql.sql("update workspace set hold_seconds = 3600").update();
    long mailing = draftByText(List.of(texted), "Hello {{first_name}}");
    release(mailing);
    Eventually.holds(() -> assertThat(messageValue(mailing, texted, "channel")).isEqualTo("TEXT"));
    sql.sql(
            "insert into way_closed (person_id, channel, closed_at, how) values (?, 'TEXT', now(), 'said so')")
        .param(texted)
        .update();
    clock.advance(Duration.ofHours(1).plusMinutes(1));
    awaitSettled(mailing);
    sql.sql("update workspace set hold_seconds = 0").update();
    assertThat(messageValue(mailing, texted, "channel")).isEqualTo("EMAIL");
    assertThat(messageValue(mailing, texted, "state")).isEqualTo("sent");
    Eventually.holds(() -> assertThat(mailsTo("ann5@texts.example")).hasSize(1));
    assertThat(textsTo(ann)).isEmpty();
  }

  /** Released at night: planned for the morning, and held to it as it leaves. */
  @Test(
      dependsOnMethods = {
        "eachIsReachedOnTheFirstWayThatReachesThem",
        "whatComesBackStandsInTheThread",
        "whatCannotBeDeliveredCountsAsReturned",
        "aStopWordClosesTheWayAndIsConfirmedOnce",
        "whenTheWayClosesTheNextIsTakenOnce"
      })
  public void nobodysPhoneRingsAtNight() {
    clock.toMonday(ZoneId.of(PLACE));
    clock.advance(Duration.ofHours(12));
    String ann = number();
    String bea = number();
    long planned = person("Ann", null, ann);
    long mailing = draftByText(List.of(planned), "Good morning");
    release(mailing);
    Eventually.holds(
        () ->
            assertThat(
                    sql.sql(
                            "select cast(due_at at time zone 'Europe/London' as time)::text from message where cause_id = ?")
                        .param(mailing)
                        .query(String.class)
                        .optional())
                .contains("08:00:00"));
    long late = person("Bea", null, bea);
    long other = draftByText(List.of(late), "Good night");
    release(other);
    Eventually.holds(() -> assertThat(messageValue(other, late, "state")).isEqualTo("waiting"));
    sql.sql("update message set due_at = now() - interval '1 hour' where cause_id = ?")
        .param(other)
        .update();
    Eventually.holds(
        () ->
            assertThat(messageValue(other, late, "reason"))
                .isEqualTo("it is night where its reader is"));
    assertThat(textsTo(ann)).isEmpty();
    assertThat(textsTo(bea)).isEmpty();
    clock.advance(Duration.ofHours(10));
    Eventually.holds(() -> assertThat(textsTo(ann)).containsExactly("Good morning"));
    Eventually.holds(() -> assertThat(textsTo(bea)).containsExactly("Good night"));
  }

  @Test
  public void whatMayNotLeaveIsSaid() {
    long texted = person("Ann", null, number());
    long mailing = draftByText(List.of(texted), " ");
    assertThat(release(mailing).text()).contains("The text message is empty.");
    long wrong = draftByText(List.of(texted), "Dear {{nobody}}");
    assertThat(release(wrong).text()).contains("Text message: ");
    Map<String, Object> change = change(wrong, "x", "<p>x</p>");
    change.put("ways", List.of());
    assertThat(api.put("/api/mailings/" + wrong, change).status()).isEqualTo(422);
    change.put("ways", List.of("TEXT", "TEXT"));
    assertThat(api.put("/api/mailings/" + wrong, change).status()).isEqualTo(422);
    change.put("ways", List.of("TEXT"));
    change.put("text", Map.of("words", "x".repeat(5001), "likeness", "NOWHERE"));
    assertThat(api.put("/api/mailings/" + wrong, change).status()).isEqualTo(422);
  }

  @Test
  public void theServiceCanBeTried() {
    api.signIn("wilma", "lowen-quay");
    assertThat(api.post("/api/text-service/try", Map.of()).json().get("failed").isNull()).isTrue();
    JsonNode service = api.get("/api/services").json().get(2);
    assertThat(service.get("isSet").asBoolean()).isTrue();
    assertThat(service.get("setOutside").asString()).isEqualTo("JEMBLE_TEXT_HOST");
    assertThat(api.get("/api/ways").text()).contains("TEXT");
    api.signIn("orla", "lowen-quay");
  }

  @Test
  public void theRulesOfPhonesAreSoundAndChangedByOneAtATime() {
    api.signIn("wilma", "lowen-quay");
    ObjectNode rules = (ObjectNode) api.get("/api/phone-rules").json();
    rules.put("quietFrom", "22:30");
    rules.putArray("stopWords").add(" Nope ").add("Nope");
    Api.Answer changed = api.put("/api/phone-rules", rules);
    assertThat(changed.status()).as(changed.text()).isEqualTo(200);
    assertThat(changed.json().get("quietFrom").asString()).isEqualTo("22:30");
    assertThat(changed.json().get("stopWords").toString()).isEqualTo("[\"Nope\"]");
    assertThat(api.put("/api/phone-rules", rules).status()).as("seen before").isEqualTo(409);
    ObjectNode now = (ObjectNode) changed.json();
    assertThat(api.put("/api/phone-rules", now.deepCopy().put("quietTo", "24:00")).status())
        .isEqualTo(422);
    assertThat(api.put("/api/phone-rules", now.deepCopy().put("mostADay", -1)).status())
        .isEqualTo(422);
    ObjectNode twice = now.deepCopy();
    for (int i = 0; i < 2; i++) {
      twice
          .withArray("prices")
          .addObject()
          .put("prefix", "999")
          .put("where", "Nowhere")
          .put("each", 1);
    }
    assertThat(api.put("/api/phone-rules", twice).text()).contains("two prices");
    now.put("quietFrom", "21:00");
    assertThat(api.put("/api/phone-rules", now).status()).isEqualTo(200);
    api.signIn("orla", "lowen-quay");
  }

  @Test
  public void anAllowanceBinds() {
    sql.sql("insert into text_price values ('4477', 'Allowance', 0.5) on conflict do nothing")
        .update();
    sql.sql("update phone_rules set most_a_month = 0.7").update();
    long one = person("Ann", null, number());
    long two = person("Bea", null, number());
    long mailing = draftByText(List.of(one, two), "Hello");
    assertThat(release(mailing).text()).contains("The texts cost GBP 1.00");
    sql.sql("update phone_rules set most_a_month = null, most_a_day = 0.7").update();
    assertThat(release(mailing).text()).contains("On one day the texts cost GBP 1.00");
    sql.sql("update phone_rules set most_a_day = null").update();
    sql.sql("delete from text_price where prefix = '4477'").update();
  }
}
