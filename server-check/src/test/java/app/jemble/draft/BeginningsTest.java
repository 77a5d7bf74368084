package app.jemble.draft;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Eventually;
import app.jemble.ServerTest;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.MimeMessage;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** What a mailing begins from: records, a mailing before, a template. */
public class BeginningsTest extends ServerTest {

  @Override
  protected int people() {
    return 10;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    api.signIn("orla", "lowen-quay");
  }

  @Test
  public void aMailingAboutQuotesCarriesEachOnesFields() {
    long two = addPerson("Bea", "Quotes", "quotes@okonjo.example");
    long one = addPerson("Dov", "Quotes", "one.quote@okonjo.example");
    quote(two, "T-1", "A mast", "2026-01-10");
    quote(two, "T-2", "Two sails", "2026-02-10");
    quote(one, "T-3", "An oar", "2026-01-20");
    assertThat(quoteSubjects(false)).containsExactlyInAnyOrder("T-2: Two sails", "T-3: An oar");
    assertThat(quoteSubjects(true))
        .containsExactlyInAnyOrder("T-1: A mast", "T-2: Two sails", "T-3: An oar");
  }

  @Test
  public void anEmptyMessageBeginsWithAGreetingAndTheSignature() {
    Map<String, Object> begin = new HashMap<>();
    begin.putAll(Map.of("parts", List.of(), "picks", List.of(), "leftOut", List.of()));
    long id = api.post("/api/mailings", begin).json().get("id").asLong();
    JsonNode begun = api.get("/api/mailings/" + id).json();
    assertThat(begun.get("body").asString())
        .startsWith("<p>Dear {{first_name")
        .contains("signature}}");
    assertThat(api.get("/api/templates/blank").json().get("body").asString())
        .isEqualTo(begun.get("body").asString());
  }

  @Test
  public void tasksThatWereWrittenAboutAreDone() {
    long bea = addPerson("Bea", "Tasks", "tasks@okonjo.example");
    long shy = addPerson("Shy", "Tasks", null);
    List<Long> tasks =
        sql.sql(
                """
                insert into task (person_id, kind, title, owner_id, created_by, created_at)
                select unnest(array[?, ?]), 'call', 'Ring about tasks', 1, 1, now()
                returning id
                """)
            .params(bea, shy)
            .query(Long.class)
            .list();
    Map<String, Object> begin = new HashMap<>();
    Map<String, Object> none = Map.of("match", "ALL", "conditions", List.of(), "groups", List.of());
    begin.put(
        "records",
        Map.of("kind", "TASK", "which", Map.of("filter", none, "picks", tasks, "archived", false)));
    begin.putAll(Map.of("parts", List.of(), "picks", List.of(), "leftOut", List.of()));
    long mailing = api.post("/api/mailings", begin).json().get("id").asLong();
    String act = "/api/mailings/" + mailing + "/tasks-done";
    assertThat(api.post(act, Map.of()).status()).as("not released").isEqualTo(409);
    assertThat(
            api.put("/api/mailings/" + mailing, change(mailing, "Tasks", "<p>Soon.</p>")).status())
        .isEqualTo(200);
    release(mailing);
    JsonNode done = api.post(act, Map.of()).json().get("tasks");
    assertThat(done.valueStream().map(JsonNode::asLong).toList())
        .as("only of whom it was written to")
        .containsExactly(tasks.get(0));
    assertThat(api.post(act, Map.of()).json().get("tasks").size()).as("once").isZero();
    long other = draft(List.of(bea), "No tasks", "<p>Hello</p>");
    assertThat(api.post("/api/mailings/" + other + "/tasks-done", Map.of()).status())
        .isEqualTo(409);
  }

  private void quote(long person, String number, String title, String sent) {
    sql.sql(
            """
            insert into quote (number, person_id, title, total, currency, stage, sent_on)
            values (?, ?, ?, 1042.50, 'GBP', 'open', ?::date)
            """)
        .params(List.of(number, person, title, sent))
        .update();
  }

  /**
   * The subjects of what arrives when one writes about the three quotes, in the list and in mail.
   */
  private List<String> quoteSubjects(boolean each) {
    int before = office.delivered().size();
    Map<String, Object> begin = new HashMap<>();
    begin.put(
        "records",
        Map.of("kind", "QUOTE", "which", Map.of("filter", numbered("T-"), "archived", false)));
    begin.put("recordEach", each);
    begin.put("parts", List.of());
    begin.put("picks", List.of());
    begin.put("leftOut", List.of());
    begin.put("templateId", null);
    begin.put("mailingId", null);
    long mailing = api.post("/api/mailings", begin).json().get("id").asLong();
    String path = "/api/mailings/" + mailing;
    api.put(
        path,
        change(mailing, "{{quote.number}}: {{quote.title}}", "<p>{{quote.total as money}}</p>"));
    JsonNode listed = api.get(path + "/audience").json();
    for (JsonNode row : listed) {
      String proof =
          path + "/proofs/" + row.get("id").asLong() + "?record=" + row.get("recordId").asLong();
      assertThat(api.get(proof).json().get("subject").asString())
          .isEqualTo(row.get("line").asString().replaceFirst(" ", ": "));
    }
    assertThat(release(mailing).status()).isEqualTo(200);
    awaitSettled(mailing);
    Eventually.holds(() -> assertThat(office.delivered()).hasSize(before + listed.size()));
    return office.delivered().stream().skip(before).map(d -> subject(d.message())).toList();
  }

  @Test
  public void aMailingBeginsOnceMoreFromOneThatWasSent() {
    long person = addPerson("A", "Again", "again@okonjo.example");
    long first = draft(List.of(person), "Every spring", "<p>Again</p>");
    api.upload("/api/mailings/" + first + "/files?name=a.txt&type=text/plain", new byte[3]);
    Map<String, Object> uncounted = change(first, "Every spring", "<p>Again</p>");
    uncounted.put("countOpens", false);
    api.put("/api/mailings/" + first, uncounted);
    release(first);
    Map<String, Object> again = new HashMap<>();
    again.put("parts", List.of());
    again.put("picks", List.of());
    again.put("leftOut", List.of());
    again.put("templateId", null);
    again.put("mailingId", first);
    long second = api.post("/api/mailings", again).json().get("id").asLong();
    JsonNode bench = api.get("/api/mailings/" + second).json();
    assertThat(bench.get("subject").asString()).isEqualTo("Every spring");
    assertThat(bench.get("picks")).hasSize(1);
    assertThat(bench.get("files")).hasSize(1);
    assertThat(bench.get("countOpens").asBoolean()).isFalse();
    assertThat(bench.get("state").asString()).isEqualTo("DRAFT");
  }

  @Test
  public void wordsGoBackToTheirTemplateOrBecomeANewOne() {
    long person = addPerson("A", "Template", "template@okonjo.example");
    JsonNode template = api.get("/api/templates").json().get(0);
    long templateId = template.get("id").asLong();
    Map<String, Object> begin = new HashMap<>();
    begin.put("parts", List.of());
    begin.put("picks", List.of(person));
    begin.put("leftOut", List.of());
    begin.put("templateId", templateId);
    begin.put("mailingId", null);
    long mailing = api.post("/api/mailings", begin).json().get("id").asLong();
    api.put("/api/mailings/" + mailing, change(mailing, "Changed here", "<p>Changed</p>"));
    assertThat(api.get("/api/templates/" + templateId).json().get("subject"))
        .as("a change stays with its mailing")
        .isEqualTo(template.get("subject"));

    Map<String, Object> named = new HashMap<>();
    named.put("name", null);
    api.post("/api/mailings/" + mailing + "/template", named);
    assertThat(api.get("/api/templates/" + templateId).json().get("subject").asString())
        .isEqualTo("Changed here");
    JsonNode versions = api.get("/api/templates/" + templateId + "/versions").json();
    assertThat(versions.get(0).get("subject")).isEqualTo(template.get("subject"));

    named.put("name", "A new one");
    JsonNode made = api.post("/api/mailings/" + mailing + "/template", named).json();
    assertThat(made.get("id").asLong()).isNotEqualTo(templateId);
    assertThat(api.get("/api/mailings?template=" + templateId).json()).isNotEmpty();
  }

  private static Map<String, Object> numbered(String beginning) {
    return Map.of(
        "match",
        "ALL",
        "conditions",
        List.of(Map.of("field", "number", "operator", "STARTS_WITH", "values", List.of(beginning))),
        "groups",
        List.of());
  }

  private static String subject(MimeMessage mail) {
    try {
      return mail.getSubject();
    } catch (MessagingException e) {
      throw new IllegalStateException(e);
    }
  }
}
