package app.jemble.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Eventually;
import app.jemble.ServerTest;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/**
 * Imports that meet trouble: hostile cells, two at once, a process that dies, people gone
 * meanwhile.
 */
public class ImportSafetyTest extends ServerTest {

  @Override
  protected int people() {
    return 120;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    api.signIn("orla", "lowen-quay");
  }

  private long checked(Api colleague, String file) {
    long id =
        colleague
            .upload("/api/imports?name=x.csv", file.getBytes(StandardCharsets.UTF_8))
            .json()
            .get("id")
            .asLong();
    check(colleague, id);
    return id;
  }

  private void check(Api colleague, long id) {
    Map<String, Object> choices = new HashMap<>();
    for (Map.Entry<String, JsonNode> e :
        colleague.get("/api/imports/" + id).json().get("choices").properties()) {
      choices.put(e.getKey(), e.getValue());
    }
    colleague.put("/api/imports/" + id, choices);
    await(colleague, id, "checked");
  }

  private void await(Api colleague, long id, String state) {
    Eventually.holds(
        () ->
            assertThat(colleague.get("/api/imports/" + id).json().get("state").asString())
                .isEqualTo(state));
  }

  private long count(String where) {
    return sql.sql("select count(*) from person where " + where).query(Long.class).single();
  }

  @Test
  public void hostileCellsAreOnlyWords() {
    String file =
        "email,first name,last name,source,tags\n"
            + "harm@quay.example,\"Robert'); drop table person; --\",\"<script>alert(1)</script>\","
            + "\"line one\r\nBcc: all@quay.example\",\"a\"\"b, {x}, \\\\\"\n"
            + "apostrophe@quay.example,'=1+1,'+44 7700,'@home,\n"
            + "rtl@quay.example,\u202Eabc,שרה,🚤,\n";
    long id = checked(api, file);
    assertThat(api.post("/api/imports/" + id + "/run", Map.of()).status()).isEqualTo(200);
    await(api, id, "done");
    Map<String, Object> row =
        sql.sql(
                "select first_name, last_name, source, tags::text from person where email = 'harm@quay.example'")
            .query()
            .singleRow();
    assertThat(row.get("first_name")).isEqualTo("Robert'); drop table person; --");
    assertThat(row.get("last_name")).isEqualTo("<script>alert(1)</script>");
    assertThat(row.get("source")).isEqualTo("line one Bcc: all@quay.example");
    assertThat(row.get("tags").toString()).contains("a\\\"b");
    assertThat(count("email = 'apostrophe@quay.example' and first_name = '=1+1'")).isEqualTo(1);
    assertThat(count("email = 'rtl@quay.example' and last_name = 'שרה'")).isEqualTo(1);
  }

  /** What a file says of ways is noted, never taken back by another, and undone with its act. */
  @Test
  public void whoAskedForNoTextsIsNotReachedByThem() {
    long known = addPerson("Kay", "Known", "kay@ways.example");
    long said = addPerson("Sam", "Said", "sam@ways.example");
    sql.sql(
            """
            insert into way_closed (person_id, channel, closed_at, how)
            values (?, 'TEXT', now(), 'by a word that asks to stop')
            """)
        .param(said)
        .update();
    long id =
        checked(
            api,
            "E-mail,First name,No SMS\nkay@ways.example,Kay,yes\nsam@ways.example,Sam,no\n"
                + "new@ways.example,Nell,yes\nold@ways.example,Olaf,no\n");
    JsonNode state = api.get("/api/imports/" + id).json();
    assertThat(state.get("choices").get("columns").get(2).asString()).isEqualTo("no_texts");
    assertThat(state.get("counts").get("new").asLong()).isEqualTo(2);
    assertThat(state.get("counts").get("changed").asLong()).isEqualTo(1);
    assertThat(state.get("counts").get("same").asLong()).isEqualTo(1);
    api.post("/api/imports/" + id + "/run", Map.of());
    await(api, id, "done");
    String orlas = "brought in with x.csv, Orla Finch";
    assertThat(closedToTexts("kay@ways.example")).isEqualTo(orlas);
    assertThat(closedToTexts("new@ways.example")).isEqualTo(orlas);
    assertThat(closedToTexts("old@ways.example")).isNull();
    assertThat(closedToTexts("sam@ways.example"))
        .as("a file takes no wish back")
        .isEqualTo("by a word that asks to stop, themselves");
    assertThat(api.get("/api/people/" + known + "/consent").json().toString())
        .contains("brought in with x.csv");
    long act = api.get("/api/imports/" + id).json().get("act").asLong();
    assertThat(api.post("/api/changes/" + act + "/undo", Map.of()).status()).isEqualTo(200);
    assertThat(closedToTexts("kay@ways.example")).isNull();
    assertThat(closedToTexts("sam@ways.example")).isNotNull();
  }

  private String closedToTexts(String address) {
    return sql.sql(
            """
            select w.how || ', ' || coalesce(a.name, 'themselves')
            from way_closed w
            join person p on p.id = w.person_id
            left join account a on a.id = w.by_id
            where p.email = ? and w.channel = 'TEXT'
            """)
        .param(address)
        .query(String.class)
        .optional()
        .orElse(null);
  }

  @Test
  public void twoColleaguesImportTheSamePeopleAndNobodyIsThereTwice() {
    Api tomas = new Api("http://127.0.0.1:" + port);
    tomas.signIn("tomas", "lowen-quay");
    String file = "email,source\nboth@quay.example,Fair\nalso@quay.example,Fair\n";
    long orlas = checked(api, file);
    api.post("/api/imports/" + orlas + "/run", Map.of());
    await(api, orlas, "done");
    long second = checked(tomas, file);
    JsonNode counts = tomas.get("/api/imports/" + second).json().get("counts");
    assertThat(counts.get("same").asLong()).isEqualTo(2);
    assertThat(count("email in ('both@quay.example', 'also@quay.example')")).isEqualTo(2);
  }

  @Test
  public void anImportIsRunOnce() {
    long id = checked(api, "email,source\nonce@quay.example,Fair\n");
    assertThat(api.post("/api/imports/" + id + "/run", Map.of()).status()).isEqualTo(200);
    await(api, id, "done");
    assertThat(api.post("/api/imports/" + id + "/run", Map.of()).status()).isEqualTo(409);
    assertThat(count("email = 'once@quay.example'")).isEqualTo(1);
  }

  /** A process that dies in the middle leaves nothing half done; the step can be taken again. */
  @Test
  public void aStepThatStoodStillIsTakenAgain() {
    long id = checked(api, "email,source\nagain@quay.example,Fair\n");
    sql.sql(
            "update import_run set state = 'running', touched_at = touched_at - interval '5 minutes' where id = ?")
        .param(id)
        .update();
    assertThat(api.get("/api/imports/" + id).json().get("stopped").asBoolean()).isTrue();
    check(api, id);
    api.post("/api/imports/" + id + "/run", Map.of());
    await(api, id, "done");
    assertThat(count("email = 'again@quay.example'")).isEqualTo(1);
  }

  @Test
  public void aFailureChangesNothingAndSaysSo() {
    long id = checked(api, "email,number\nfails@quay.example,F-1\nfails2@quay.example,F-2\n");
    // Between the check and the run somebody else took the number.
    long other = addPerson("Number", "Taker", "taker@quay.example");
    sql.sql("update person set number = 'F-2' where id = ?").param(other).update();
    api.post("/api/imports/" + id + "/run", Map.of());
    await(api, id, "failed");
    JsonNode failed = api.get("/api/imports/" + id).json();
    assertThat(failed.get("trouble").asString()).contains("nothing was changed");
    assertThat(count("email like 'fails%'")).isZero();
    check(api, id);
    assertThat(api.get("/api/imports/" + id).json().get("counts").get("bad").asLong()).isEqualTo(1);
  }

  @Test
  public void whoWasWrittenToIsArchivedWhenTheImportIsTakenBack() {
    long id =
        checked(api, "email,first name\nwritten@quay.example,Wren\nquiet@quay.example,Quill\n");
    api.post("/api/imports/" + id + "/run", Map.of());
    await(api, id, "done");
    long wren =
        sql.sql("select id from person where email = 'written@quay.example'")
            .query(Long.class)
            .single();
    long mailing = draft(List.of(wren), "Hello {{first_name}}", "<p>Hello</p>");
    release(mailing);
    awaitSettled(mailing);
    long act = api.get("/api/imports/" + id).json().get("act").asLong();
    api.post("/api/changes/" + act + "/undo", Map.of());
    assertThat(count("email = 'quiet@quay.example'")).isZero();
    assertThat(count("id = " + wren + " and archived_at is not null")).isEqualTo(1);
    assertThat(api.get("/api/people/" + wren + "/between").json().size()).isPositive();
  }
}
