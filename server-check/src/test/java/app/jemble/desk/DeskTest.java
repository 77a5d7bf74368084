package app.jemble.desk;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.ServerTest;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Every number of the desk, the outbox and the responses is what the tables hold. */
public class DeskTest extends ServerTest {

  @Override
  protected int people() {
    return 600;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    api.signIn("orla", "lowen-quay");
  }

  private long count(String question) {
    return sql.sql("select count(*) from " + question).query(Long.class).single();
  }

  @Test
  public void theCountsAreThoseOfTheTables() {
    JsonNode counts = api.get("/api/desk/counts").json();
    assertThat(counts.get("drafts").asLong())
        .isEqualTo(count("cause where state = 'draft' and kind = 'MAILING'"));
    assertThat(counts.get("toDepart").asLong())
        .isEqualTo(count("message where state in ('waiting', 'deferred')"));
  }

  @Test
  public void whatWantsADecisionIsNamedAndLeadsSomewhere() {
    JsonNode decisions = api.get("/api/desk").json().get("decisions");
    Map<String, Long> kinds =
        StreamSupport.stream(decisions.spliterator(), false)
            .collect(
                java.util.stream.Collectors.groupingBy(
                    d -> d.get("kind").asString(),
                    java.util.stream.Collectors.summingLong(d -> d.get("people").asLong())));
    assertThat(kinds).containsEntry("in_doubt", 2L).containsEntry("refused", 1L);
    assertThat(kinds).containsEntry("unplaced", 2L);
    for (JsonNode decision : decisions) {
      if (decision.get("kind").asString().equals("unplaced")) {
        continue;
      }
      assertThat(decision.get("mailing").asString()).isNotBlank();
      assertThat(api.get("/api/mailings/" + decision.get("mailingId").asLong()).status())
          .isEqualTo(200);
    }
  }

  @Test
  public void theOutboxTallyOfOneMailingCountsItsMessagesAlone() {
    List<Long> causes = sql.sql("select distinct cause_id from message").query(Long.class).list();
    long whole = inOutbox("");
    List<Long> each = causes.stream().map(cause -> inOutbox("?mailingId=" + cause)).toList();
    assertThat(each.stream().mapToLong(n -> n).sum()).isEqualTo(whole).isPositive();
    assertThat(each).as("not all of them are one mailing's").contains(0L);
  }

  private long inOutbox(String of) {
    JsonNode parts = api.get("/api/outbox/tally" + of).json().get("parts");
    return StreamSupport.stream(parts.spliterator(), false)
        .mapToLong(part -> part.get("messages").asLong())
        .sum();
  }

  @Test
  public void theOutboxTallyOpensItsMessages() {
    JsonNode parts = api.get("/api/outbox/tally").json().get("parts");
    for (JsonNode part : parts) {
      String state = part.get("state").asString();
      long listed = 0;
      JsonNode page = api.get("/api/outbox?state=" + state).json();
      while (page.size() > 0) {
        listed += page.size();
        JsonNode last = page.get(page.size() - 1);
        page =
            api.get(
                    "/api/outbox?state="
                        + state
                        + "&afterDue="
                        + last.get("dueAt").asString()
                        + "&afterId="
                        + last.get("id").asLong())
                .json();
      }
      assertThat(listed).as(state).isEqualTo(part.get("messages").asLong());
    }
  }

  @Test
  public void aMailingsResponsesAddUpToWhatWasSentAndOpenTheirPeople() {
    for (JsonNode mailing : api.get("/api/responses").json()) {
      long id = mailing.get("id").asLong();
      JsonNode summary = api.get("/api/responses/" + id).json();
      long all = 0;
      for (JsonNode part : summary.get("parts")) {
        all += part.get("messages").asLong();
        String standing = part.get("standing").asString();
        int first =
            api.get("/api/responses/" + id + "/messages?standings=" + standing).json().size();
        assertThat(first)
            .as(standing)
            .isEqualTo((int) Math.min(100, part.get("messages").asLong()));
      }
      assertThat(all).isEqualTo(summary.get("sent").asLong());
      assertRatesAreShares(summary);
    }
  }

  private static void assertRatesAreShares(JsonNode summary) {
    for (JsonNode rate : summary.get("rates")) {
      double share = rate.get("count").asDouble() / summary.get("delivered").asDouble();
      assertThat(rate.get("share").asDouble()).isEqualTo(share);
      assertThat(rate.get("low").asDouble()).isLessThanOrEqualTo(share);
      assertThat(rate.get("high").asDouble()).isGreaterThanOrEqualTo(share);
    }
  }

  @Test
  public void aSentMessageCanBeHadAsItLeft() {
    long message =
        sql.sql("select min(id) from message where state = 'sent'").query(Long.class).single();
    var answer = api.get("/api/messages/" + message + "/eml").raw();
    assertThat(answer.headers().firstValue("Content-Type")).contains("message/rfc822");
    assertThat(answer.headers().firstValue("Content-Disposition").orElse(""))
        .contains("attachment");
    assertThat(answer.body()).contains("Message-ID: <", "multipart/alternative");
    long waiting =
        sql.sql("select min(id) from message where state = 'waiting'").query(Long.class).single();
    assertThat(api.get("/api/messages/" + waiting + "/eml").status()).isEqualTo(404);
  }

  @Test
  public void aPersonsPageTellsWhatPassedBetweenUs() {
    long person =
        sql.sql("select person_id from response where kind = 'REPLIED' limit 1")
            .query(Long.class)
            .single();
    assertThat(api.get("/api/people/" + person).status()).isEqualTo(200);
    JsonNode between = api.get("/api/people/" + person + "/between").json();
    assertThat(between.toString()).contains("\"REPLIED\"").contains("\"SENT\"");
    assertThat(api.get("/api/people/99999999").status()).isEqualTo(404);
    assertThat(api.get("/api/people/abc").status()).isEqualTo(400);
  }
}
