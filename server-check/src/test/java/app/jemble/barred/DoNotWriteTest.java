package app.jemble.barred;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.ServerTest;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** The do-not-write list: who put what there, brought in, given out, and what can be lifted. */
public class DoNotWriteTest extends ServerTest {

  private Api administrator;

  @Override
  protected int people() {
    return 3;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    api.signIn("orla", "lowen-quay");
    administrator = new Api("http://127.0.0.1:" + port);
    administrator.signIn("wilma", "lowen-quay");
  }

  private Api.Answer add(String address, String reason) {
    Map<String, Object> wanted = new HashMap<>();
    wanted.put("address", address);
    wanted.put("reason", reason);
    wanted.put("note", "said so on the quay");
    return api.post("/api/do-not-write", wanted);
  }

  private JsonNode find(String words) {
    return api.get("/api/do-not-write?find=" + words).json();
  }

  private String reach(long person) {
    return sql.sql("select reach from person where id = ?")
        .param(person)
        .query(String.class)
        .single();
  }

  /** A number is known by how it is dialled, however it is written. */
  @Test
  public void numbersStandOnItToo() {
    long person = addPerson("By", "Number", "by.number@list.test");
    sql.sql("update person set phone = '+44 7700 900777' where id = ?").param(person).update();
    assertThat(add("07700 900 777", null).status()).isEqualTo(204);
    assertThat(add("+44 7700 900777", null).status()).isEqualTo(409);
    JsonNode entry = find("900777").get(0);
    assertThat(entry.get("address").asString()).isEqualTo("+447700900777");
    assertThat(entry.get("person").asString()).isEqualTo("By Number");
    assertThat(reach(person)).as("by mail").isEqualTo("READY");
    JsonNode ways = api.get("/api/people/" + person).json().get("reach");
    assertThat(ways.toString())
        .contains("\"channel\":\"TEXT\"")
        .contains("\"reach\":\"DO_NOT_WRITE\"");
    assertThat(add("neither this nor that", null).text())
        .contains("no e-mail address and no phone number");
  }

  @Test
  public void whatIsAddedByHandIsNotWrittenToUntilAnAdministratorLiftsItWithAReason() {
    long person = addPerson("By", "Hand", "By.Hand@list.test");
    assertThat(add(" by.hand@LIST.test ", null).status()).isEqualTo(204);
    assertThat(reach(person)).isEqualTo("DO_NOT_WRITE");
    JsonNode entry = find("by.hand").get(0);
    assertThat(entry.get("reason").asString()).isEqualTo("by hand");
    assertThat(entry.get("source").asString()).isEqualTo("Orla Finch");
    assertThat(entry.get("person").asString()).isEqualTo("By Hand");
    assertThat(entry.get("liftable").asBoolean()).isTrue();
    assertThat(add("by.hand@list.test", null).status()).isEqualTo(409);

    Map<String, String> lift = Map.of("address", "by.hand@list.test", "note", "a mistake of ours");
    assertThat(api.post("/api/do-not-write/lift", lift).status()).isEqualTo(403);
    assertThat(administrator.post("/api/do-not-write/lift", Map.of("note", "none")).status())
        .as("no address is said")
        .isEqualTo(422);
    assertThat(
            administrator
                .post("/api/do-not-write/lift", Map.of("address", "nobody@list.test", "note", "x"))
                .status())
        .as("the address is on no list")
        .isEqualTo(404);
    assertThat(
            administrator
                .post("/api/do-not-write/lift", Map.of("address", "by.hand@list.test", "note", " "))
                .status())
        .isEqualTo(422);
    assertThat(administrator.post("/api/do-not-write/lift", lift).status()).isEqualTo(204);
    assertThat(reach(person)).isEqualTo("READY");
    JsonNode lifted = api.get("/api/do-not-write/summary").json().get("lifted").get(0);
    assertThat(lifted.get("note").asString()).isEqualTo("a mistake of ours");
    assertThat(lifted.get("by").asString()).isEqualTo("Wilma Gorse");
  }

  @Test
  public void whatAReaderSaidCannotBeLifted() {
    assertThat(add("asked@list.test", "asked").status()).isEqualTo(204);
    sql.sql(
            """
            insert into do_not_write (address_key, reason, since)
            values ('gone@list.test', 'hard return', now()),
                   ('annoyed@list.test', 'complaint', now()),
                   ('full@list.test', 'soft returns', now())
            """)
        .update();
    for (String address : new String[] {"asked", "gone", "annoyed"}) {
      Api.Answer refused =
          administrator.post(
              "/api/do-not-write/lift",
              Map.of("address", address + "@list.test", "note", "please"));
      assertThat(refused.status()).as(address).isEqualTo(409);
      assertThat(refused.text()).contains("stays on the list");
    }
    assertThat(
            administrator
                .post(
                    "/api/do-not-write/lift",
                    Map.of("address", "full@list.test", "note", "emptied"))
                .status())
        .isEqualTo(204);
    assertThat(find("gone").get(0).get("source").asString()).isEqualTo("mail that came back");
    assertThat(find("annoyed").get(0).get("source").asString()).isEqualTo("the mail service");
  }

  @Test
  public void aFileIsBroughtInAndWhatIsGivenOutCanBeBroughtInAgain() {
    String file =
        "\uFEFFAddress;Reason;Note\r\nNew.One@file.test;complaint;wrote to the harbour master\r\n"
            + "no address\r\n\"=cmd@file.test\";nonsense;\r\nnew.one@file.test;asked;again\r\n";
    Api.Answer answer =
        api.upload("/api/do-not-write/import", file.getBytes(StandardCharsets.UTF_8));
    assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    assertThat(answer.json().get("added").asInt()).isEqualTo(2);
    assertThat(answer.json().get("wrong").get(0).asString()).isEqualTo("no address");
    assertThat(find("new.one").get(0).get("reason").asString()).isEqualTo("complaint");
    assertThat(find("cmd").get(0).get("reason").asString()).isEqualTo("by hand");

    String out = api.get("/api/do-not-write/export").text();
    assertThat(out).contains("Address,Reason,Note,Since,Source");
    long before = sql.sql("select count(*) from do_not_write").query(Long.class).single();
    sql.sql("delete from do_not_write").update();
    api.upload("/api/do-not-write/import", out.getBytes(StandardCharsets.UTF_8));
    assertThat(sql.sql("select count(*) from do_not_write").query(Long.class).single())
        .isEqualTo(before);
  }

  @Test
  public void whatIsNoAddressOrNoTableIsRefused() {
    assertThat(add("nobody", null).status()).isEqualTo(422);
    assertThat(add("a@b.test", "hard return").status()).isEqualTo(422);
    assertThat(api.upload("/api/do-not-write/import", new byte[] {0, 1, 2, 0}).status())
        .isEqualTo(422);
    Api reader = new Api("http://127.0.0.1:" + port);
    reader.signIn("reed", "lowen-quay");
    assertThat(reader.get("/api/do-not-write/export").status()).isEqualTo(403);
    assertThat(
            reader
                .upload("/api/do-not-write/import", "a@b.test".getBytes(StandardCharsets.UTF_8))
                .status())
        .isEqualTo(403);
  }

  @Test
  public void theListIsPagedLatestFirst() {
    for (int i = 0; i < 130; i++) {
      sql.sql(
              """
              insert into do_not_write (address_key, reason, since)
              values (?, 'hard return', timestamptz '2026-01-01' + make_interval(hours => ?))
              """)
          .params(String.format(Locale.ROOT, "page%03d@page.test", i), i)
          .update();
    }
    JsonNode first = find("page.test");
    assertThat(first.size()).isEqualTo(100);
    assertThat(first.get(0).get("address").asString()).isEqualTo("page129@page.test");
    JsonNode last = first.get(99);
    JsonNode second =
        api.get(
                String.format(
                    Locale.ROOT,
                    "/api/do-not-write?find=page.test&since=%s&address=%s",
                    last.get("since").asString(),
                    last.get("address").asString()))
            .json();
    assertThat(second.size()).isEqualTo(30);
    assertThat(second.get(29).get("address").asString()).isEqualTo("page000@page.test");
  }
}
