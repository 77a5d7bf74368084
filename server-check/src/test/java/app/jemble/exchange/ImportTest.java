package app.jemble.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Eventually;
import app.jemble.ServerTest;
import ezvcard.VCard;
import ezvcard.VCardVersion;
import ezvcard.io.text.VCardReader;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** People out of a file: proposed, checked, taken in, taken back; and out into one. */
public class ImportTest extends ServerTest {

  private static final int MANY = 20_000;

  @Override
  protected int people() {
    return 200;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    api.signIn("orla", "lowen-quay");
  }

  private long upload(byte[] file) {
    Api.Answer answer = api.upload("/api/imports?name=people.csv", file);
    assertThat(answer.status()).as(answer.json().toString()).isEqualTo(200);
    return answer.json().get("id").asLong();
  }

  private long upload(String file) {
    return upload(file.getBytes(StandardCharsets.UTF_8));
  }

  private JsonNode state(long id) {
    return api.get("/api/imports/" + id).json();
  }

  /** Checks with what was proposed, but for what is given otherwise. */
  private JsonNode check(long id, Object... other) {
    Map<String, Object> choices = new HashMap<>();
    for (Map.Entry<String, JsonNode> e : state(id).get("choices").properties()) {
      choices.put(e.getKey(), e.getValue());
    }
    for (int i = 0; i < other.length; i += 2) {
      choices.put((String) other[i], other[i + 1]);
    }
    Api.Answer begun = api.put("/api/imports/" + id, choices);
    assertThat(begun.status()).as(begun.json().toString()).isEqualTo(200);
    return await(id, "checked");
  }

  private JsonNode run(long id) {
    assertThat(api.post("/api/imports/" + id + "/run", Map.of()).status()).isEqualTo(200);
    return await(id, "done");
  }

  private JsonNode await(long id, String state) {
    Eventually.holds(() -> assertThat(state(id).get("state").asString()).isIn(state, "failed"));
    JsonNode ended = state(id);
    assertThat(ended.get("state").asString()).as(ended.get("trouble").asString()).isEqualTo(state);
    return ended;
  }

  private static void assertCounts(JsonNode state, long fresh, long changed, long same, long bad) {
    JsonNode counts = state.get("counts");
    assertThat(
            List.of(
                counts.get("new").asLong(),
                counts.get("changed").asLong(),
                counts.get("same").asLong(),
                counts.get("bad").asLong()))
        .as("new, changed, same, bad")
        .containsExactly(fresh, changed, same, bad);
  }

  private String everything() {
    return sql.sql(
            """
            select md5(string_agg(t, '|' order by t)) from (
              select p::text from person p
              union all select m::text from membership m
              union all select o.name from organisation o
              union all select l.list_id || '-' || l.person_id from list_member l) all_rows (t)
            """)
        .query(String.class)
        .single();
  }

  @DataProvider
  public Object[][] files() {
    String text =
        "E-Mail;Vorname;Surname;Plan;Join date;Dues;Tags;Town\n"
            + "zoe@sorli.example;Zoë;Sørli;sail;25/12/2020;12,50;slipway, new;Umeå\n"
            + "ivo@fenn.example;Ivo;\"Fenn; the elder\";Oar;1/2/2021;;;Porto\n"
            + "not an address;Una;Vale;Oar;1/2/2021;;;Porto\n";
    return new Object[][] {
      {text.getBytes(StandardCharsets.UTF_8), "UTF-8"},
      {("\uFEFF" + text).getBytes(StandardCharsets.UTF_8), "UTF-8"},
      {("\uFEFF" + text).getBytes(StandardCharsets.UTF_16LE), "UTF-16LE"},
      {("\uFEFF" + text).getBytes(StandardCharsets.UTF_16BE), "UTF-16BE"},
      {text.getBytes(Charset.forName("windows-1252")), "windows-1252"},
      {text.replace("\n", "\r\n").getBytes(StandardCharsets.UTF_8), "UTF-8"},
    };
  }

  @Test(dataProvider = "files")
  public void aFileIsProposedCheckedTakenInAndTakenBack(byte[] file, String encoding) {
    String before = everything();
    long id = upload(file);
    JsonNode read = state(id);
    assertThat(read.get("encoding").asString()).isEqualTo(encoding);
    assertThat(read.get("delimiter").asString()).isEqualTo(";");
    JsonNode columns = read.get("choices").get("columns");
    assertThat(columns.get(0).asString()).isEqualTo("email");
    assertThat(columns.get(1).isNull()).as("Vorname is like no label").isTrue();
    assertThat(columns.get(2).asString()).isEqualTo("last_name");
    List<String> mapped =
        List.of(
            "email",
            "first_name",
            "last_name",
            "plan",
            "joined_on",
            "dues_owed",
            "tags",
            "address.place");
    JsonNode checked = check(id, "columns", mapped, "kind", "member", "list", 1);
    assertCounts(checked, 2, 0, 0, 1);
    assertThat(everything()).as("a dry run changes nothing").isEqualTo(before);
    JsonNode bad = checked.get("preview").get(0);
    assertThat(bad.get("row").asInt()).isEqualTo(4);
    assertThat(bad.get("problem").asString()).contains("E-mail takes one address");
    assertThat(api.get("/api/imports/" + id + "/bad.csv").raw().body())
        .contains("4,", "not an address", "Una");
    JsonNode done = run(id);
    assertThat(zoe())
        .isEqualTo(
            "[Zoë, Sørli, member, {slipway,new}, Umeå, READY, Sail, 2020-12-25, 12.50, GBP]");
    api.post("/api/changes/" + done.get("act").asLong() + "/undo", Map.of());
    assertThat(everything()).isEqualTo(before);
    assertThat(state(id).get("undone").asBoolean()).isTrue();
  }

  private String zoe() {
    return sql.sql(
            """
                select p.first_name, p.last_name, p.kind, p.tags::text, p.address_place, p.reach, m.plan,
                       m.joined_on::text, m.dues_owed::text, m.currency::text
                from person p join membership m on m.person_id = p.id
                join list_member l on l.person_id = p.id and l.list_id = 1
                where p.email = 'zoe@sorli.example'
                """)
        .query()
        .singleRow()
        .values()
        .toString();
  }

  @Test
  public void whoIsBroughtInComesIntoASeries() {
    long series =
        api.post("/api/series", Map.of("name", "Brought in", "topicId", 1))
            .json()
            .get("id")
            .asLong();
    addPerson("Kim", "Known", "kim@into.example");
    String file = "E-mail;First name\nkim@into.example;Kim\nnew@into.example;Neo\n";
    long id = upload(file.getBytes(StandardCharsets.UTF_8));
    check(id, "series", series);
    JsonNode done = run(id);
    assertThat(came(series))
        .hasSize(2)
        .allSatisfy(how -> assertThat(how).contains(" imported with "));
    api.post("/api/changes/" + done.get("act").asLong() + "/undo", Map.of());
    assertThat(came(series)).as("who is known from before is not in it either").isEmpty();
  }

  private List<String> came(long series) {
    return sql.sql(
            "select p.email || ' ' || e.came_by from series_entry e"
                + " join person p on p.id = e.person_id where e.series_id = ? order by 1")
        .param(series)
        .query(String.class)
        .list();
  }

  /** Many rows, one in a hundred of them bad; the same file again; and taking it all back. */
  @Test
  public void manyRowsAreTakenInTheBadReportedAndAgainChangesNothing() {
    StringBuilder file =
        new StringBuilder("email,first name,last name,postcode,number,berth name\r\n");
    for (int i = 0; i < MANY; i++) {
      boolean bad = i % 100 == 7;
      file.append(bad ? "nobody" : "many" + i + "@rows.example")
          .append(",\"Many, ")
          .append(i)
          .append("\",Row,LQ1 1TQ,M-")
          .append(i)
          .append(",Tern\r\n");
    }
    String before = everything();
    long first = upload(file.toString());
    assertCounts(check(first), MANY - MANY / 100, 0, 0, MANY / 100);
    JsonNode done = run(first);
    String[] bad = api.get("/api/imports/" + first + "/bad.csv").raw().body().split("\r\n");
    assertThat(bad).hasSize(1 + MANY / 100);
    assertThat(bad[1]).startsWith("9,");
    String after = everything();
    long again = upload(file.toString());
    assertCounts(check(again), 0, 0, MANY - MANY / 100, MANY / 100);
    run(again);
    assertThat(everything()).isEqualTo(after);
    // A few of them changed by another file, and that alone taken back.
    long other =
        upload(
            "email,place\nmany1@rows.example,Porto\nmany2@rows.example,Oslo\nmany1@rows.example,X\n");
    JsonNode checked = check(other);
    assertCounts(checked, 0, 2, 0, 1);
    assertThat(checked.get("preview").get(0).get("problem").asString())
        .isEqualTo("The same person as row 2.");
    long act = run(other).get("act").asLong();
    assertThat(everything()).isNotEqualTo(after);
    api.post("/api/changes/" + act + "/undo", Map.of());
    assertThat(everything()).isEqualTo(after);
    api.post("/api/changes/" + done.get("act").asLong() + "/undo", Map.of());
    assertThat(everything()).isEqualTo(before);
  }

  @DataProvider
  public Object[][] rules() {
    return new Object[][] {
      {"NUMBER", "number,source\nTQ-10005,Fair\n", "changed"},
      {"NUMBER", "number,source\nTQ-nobody,Fair\n", "new"},
      {"EMAIL", "email,source\n,Fair\n", "bad"},
      {"EMAIL", "source,number\nFair,TQ-10005\n", "bad"},
      {"NAME_AND_POSTCODE", "first name,last name,postcode\nVida,Nobody,LQ1 1TQ\n", "new"},
      {"EMAIL", "email,joined\nfresh@quay.example,2020-01-01\n", "bad"},
      {"EMAIL", "email,owner\nfresh@quay.example,Tomas Vance\n", "new"},
      {"EMAIL", "email,owner\nfresh@quay.example,Somebody\n", "new"},
      {"EMAIL", "email,number\nfresh@quay.example,TQ-10005\n", "bad"},
    };
  }

  @Test(dataProvider = "rules")
  public void whoIsTheSamePersonIsDecidedAsChosen(String sameBy, String file, String outcome) {
    long id = upload(file);
    JsonNode checked = check(id, "sameBy", sameBy);
    assertThat(checked.get("preview").get(0).get("outcome").asString())
        .as(checked.get("preview").toString())
        .isEqualTo(outcome);
  }

  @Test
  public void whoIsNotToBeWrittenToStaysSoWhenTakenIn() {
    sql.sql(
            "insert into do_not_write (address_key, reason, since) values (?, 'hard return', now())")
        .param("gone@import.example")
        .update();
    long id = upload("email,first name\nGone@Import.example,Gus\nhere@import.example,Hana\n");
    assertCounts(check(id), 2, 0, 0, 0);
    run(id);
    assertThat(reach("Gus")).isEqualTo("DO_NOT_WRITE");
    assertThat(reach("Hana")).isEqualTo("READY");
  }

  /** A file may be older than what somebody asked since: it adds a wish, and takes none back. */
  @Test
  public void aFileTakesBackNoWishNotToBeWrittenTo() {
    String head = "email,first name,Asked not to be written to\n";
    run(checked(head + "wish@import.example,Wim,yes\nopen@import.example,Olga,no\n"));
    assertThat(reach("Wim")).isEqualTo("ASKED_NOT");
    assertThat(reach("Olga")).isEqualTo("READY");
    long again = upload(head + "wish@import.example,Wim,no\nopen@import.example,Olga,yes\n");
    assertCounts(check(again), 0, 1, 1, 0);
    run(again);
    assertThat(reach("Wim")).isEqualTo("ASKED_NOT");
    assertThat(reach("Olga")).isEqualTo("ASKED_NOT");
  }

  private long checked(String file) {
    long id = upload(file);
    check(id);
    return id;
  }

  private String reach(String firstName) {
    return sql.sql(
            "select reach from person where first_name = ? and email ilike '%@import.example'")
        .param(firstName)
        .query(String.class)
        .single();
  }

  @Test
  public void twoPeopleWhoFitARowAreLeftToAPerson() {
    addPerson("Twin", "One", "twin@quay.example");
    addPerson("Twin", "Two", "twin@quay.example");
    JsonNode checked = check(upload("email,source\ntwin@quay.example,Fair\n"));
    assertThat(checked.get("preview").get(0).get("problem").asString())
        .isEqualTo("2 people on record fit this row; merge them first.");
  }

  @DataProvider
  public Object[][] wrong() {
    return new Object[][] {
      {"", "The file is empty."},
      {"email,name\n", "no people under them"},
      {"email,name\n\"a,b\n", "cannot be read"},
    };
  }

  @Test(dataProvider = "wrong")
  public void aFileThatIsNoneIsRefusedWithASentence(String file, String sentence) {
    Api.Answer refused = api.upload("/api/imports?name=x", file.getBytes(StandardCharsets.UTF_8));
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.json().get("detail").asString()).contains(sentence);
  }

  @Test
  public void choicesThatCannotBeAreRefused() {
    long id = upload("email,mail\na@b.example,c@d.example\n");
    Map<String, Object> choices =
        new HashMap<>(Map.of("sameBy", "EMAIL", "kind", "contact", "days", "DAY_FIRST"));
    choices.put("columns", List.of("email", "email"));
    assertThat(api.put("/api/imports/" + id, choices).json().get("detail").asString())
        .contains("Two columns are both");
    choices.put("columns", List.of("email", "secret"));
    assertThat(api.put("/api/imports/" + id, choices).status()).isEqualTo(422);
    assertThat(api.post("/api/imports/" + id + "/run", Map.of()).status()).isEqualTo(409);
    Api tomas = new Api("http://127.0.0.1:" + port);
    tomas.signIn("tomas", "lowen-quay");
    assertThat(tomas.get("/api/imports/" + id).status()).isEqualTo(404);
  }

  /** The example of RFC 6350 section 8, and one of version 3.0 (RFC 2426 section 7). */
  private static final String CARDS =
      """
      BEGIN:VCARD
      VERSION:4.0
      FN:Simon Perreault
      N:Perreault;Simon;;;ing. jr\\,M.Sc.
      BDAY:--0203
      EMAIL;TYPE=work:simon.perreault@viagenie.example
      TEL;VALUE=uri;TYPE="work,voice":tel:+1-418-656-9254;ext=102
      ADR;TYPE=work:;Suite D2-630;2875 Laurier;Quebec;QC;G1V 2M2;Canada
      ORG;TYPE=work:Viagenie
      LANG;PREF=1:fr
      END:VCARD
      BEGIN:VCARD
      VERSION:3.0
      FN:Frank Dawson
      N:Dawson;Frank
      EMAIL;TYPE=INTERNET:frank@lotus.example
      BDAY:1970-02-03
      CATEGORIES:sailing,chess
      END:VCARD
      """
          .replace("\n", "\r\n");

  @Test
  public void cardsAreTakenIn() {
    long id = upload(CARDS);
    assertThat(state(id).get("form").asString()).isEqualTo("vcard");
    assertCounts(check(id), 2, 0, 0, 0);
    String before = everything();
    JsonNode done = run(id);
    Map<String, Object> simon =
        sql.sql(
                """
                select p.first_name, p.last_name, p.phone, p.address_street, p.address_place, p.language, o.name
                from person p join organisation o on o.id = p.organisation_id
                where p.email = 'simon.perreault@viagenie.example'
                """)
            .query()
            .singleRow();
    assertThat(simon.values().toString())
        .isEqualTo(
            "[Simon, Perreault, +1 418-656-9254 ext. 102, 2875 Laurier, Quebec, fr, Viagenie]");
    assertThat(
            sql.sql(
                    "select birthday::text || tags::text from person where email = 'frank@lotus.example'")
                .query(String.class)
                .single())
        .isEqualTo("1970-02-03{chess,sailing}");
    api.post("/api/changes/" + done.get("act").asLong() + "/undo", Map.of());
    assertThat(everything()).as("with the organisation that came with them").isEqualTo(before);
  }

  private Api.Answer export(String form, String login, Object... more) {
    Map<String, Object> wish = new HashMap<>();
    Map<String, Object> all =
        Map.of("match", "ALL", "conditions", List.of(), "related", List.of(), "groups", List.of());
    wish.put("who", Map.of("filter", all));
    wish.put("form", form);
    wish.put("columns", List.of("email", "phone", "plan", "joined_on", "source"));
    wish.put("descending", false);
    Api asking = new Api("http://127.0.0.1:" + port);
    asking.signIn(login, "lowen-quay");
    return asking.post("/api/people/export", wish);
  }

  @Test
  public void whatIsExportedIsReadBackAsTheSamePeople() {
    sql.sql("update person set source = '=HYPERLINK(\"x\")' where id = 11").update();
    String csv = export("CSV", "orla").raw().body();
    assertThat(csv).startsWith("\uFEFFName,E-mail,Phone,Plan,Joined,Source\r\n");
    assertThat(csv).contains("'+44 7700").contains("\"'=HYPERLINK(\"\"x\"\")\"");
    long people =
        sql.sql("select count(*) from person where archived_at is null").query(Long.class).single();
    assertThat(csv.split("\r\n")).hasSize((int) people + 1);
    JsonNode checked = check(upload(csv));
    assertThat(checked.get("counts").get("new").asLong()).isZero();
    assertThat(export("CSV", "reed").status()).isEqualTo(403);
  }

  private static List<VCard> read(String cards) {
    try (VCardReader reader = new VCardReader(cards)) {
      return reader.readAll();
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  /** Read back by ez-vcard's own parser, which validates each card against its version. */
  @Test
  public void cardsThatAreExportedAreValid() {
    for (String form : List.of("VCARD_3", "VCARD_4")) {
      VCardVersion version = form.equals("VCARD_3") ? VCardVersion.V3_0 : VCardVersion.V4_0;
      List<VCard> cards = read(export(form, "orla").raw().body());
      assertThat(cards).hasSizeGreaterThan(150);
      for (VCard card : cards) {
        assertThat(card.getVersion()).isEqualTo(version);
        assertThat(card.validate(version).toString()).isEmpty();
      }
    }
  }
}
