package app.jemble.privacy;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.ServerTest;
import java.util.List;
import java.util.Map;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** Who may erase whom, when not yet, and what of it is somebody else's. */
public class ErasureRulesTest extends ServerTest {

  @Override
  protected int people() {
    return 30;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    api = signedIn("wilma");
  }

  @Test
  public void whoMayNotIsToldSoAndWhoIsMergedGoesWithTheOther() {
    assertThat(signedIn("orla").get("/api/people/1/erasure").status()).isEqualTo(403);
    assertThat(signedIn("orla").post("/api/people/1/erasure", Map.of("neverAgain", true)).status())
        .isEqualTo(403);
    assertThat(
            api.post("/api/people/2/erasure", Map.of("askedOn", "2999-01-01", "neverAgain", true))
                .status())
        .isEqualTo(422);
    assertThat(api.post("/api/people/99999999/erasure", Map.of("neverAgain", true)).status())
        .isEqualTo(404);
    api.post("/api/people/3/merge", Map.of("other", 4, "take", List.of()));
    assertThat(api.get("/api/people/4/erasure").text()).contains("became part of another");
  }

  /** A worker has it in hand. */
  @Test
  public void whatIsLeavingIsWaitedFor() {
    sql.sql(
            "insert into message (cause_id, person_id, address, recipient, token, state, frozen, due_at, in_hands_of) values (?, 5, 'a@b.example', 'A', 'in-hand', 'waiting', '{}', '2999-01-01', 'somebody')")
        .param(
            sql.sql("select min(id) from cause where kind = 'MAILING'").query(Long.class).single())
        .update();
    Api.Answer refused = api.post("/api/people/5/erasure", Map.of("neverAgain", true));
    assertThat(refused.status()).isEqualTo(409);
    assertThat(refused.text()).contains("leaving this very moment");
    sql.sql("delete from message where token = 'in-hand'").update();
  }

  /** A family has one address: what is kept of it is still the other's. */
  @Test
  public void whatSomebodyElseHasTooStaysTheirs() {
    String family = "family@shared.example";
    long una = addPerson("Una", "Shared", family);
    long ben = addPerson("Ben", "Shared", family);
    assertThat(api.post("/api/do-not-write", Map.of("address", family)).status()).isEqualTo(204);
    sql.sql(
            """
            insert into kept_filter (subject, name, filter, shared, owner_id, changed_at)
            values ('people', 'Of the family, family@shared.example', '{}', true, 1, now())
            """)
        .update();
    Api.Answer erased = api.post("/api/people/" + una + "/erasure", Map.of("neverAgain", true));
    assertThat(erased.json().get("marked").asInt()).isZero();
    assertThat(reach(ben)).isEqualTo("DO_NOT_WRITE");
    assertThat(count("kept_filter where name like '%" + family + "'")).isEqualTo(1);
  }

  private String reach(long person) {
    return sql.sql("select reach from person where id = ?")
        .param(person)
        .query(String.class)
        .single();
  }

  private long count(String what) {
    return sql.sql("select count(*) from " + what).query(Long.class).single();
  }

  /** A release had read their address before, and wrote its message after. */
  @Test
  public void whatWasWrittenInBetweenIsForgottenTooAndDoesNotLeave() {
    long ida = addPerson("Ida", "Between", "ida@between.example");
    assertThat(api.post("/api/people/" + ida + "/erasure", Map.of("neverAgain", false)).status())
        .isEqualTo(200);
    sql.sql(
            """
            insert into message (cause_id, person_id, address, recipient, token, state, frozen, due_at)
            select min(id), ?, 'ida@between.example', 'Ida Between', 'between', 'waiting', '{}',
                   '2999-01-01'
            from cause where kind = 'MAILING'
            """)
        .param(ida)
        .update();
    application.getBean(ErasureService.class).forgetWhatCameBetween();
    assertThat(count("message where address like 'ida@%' or recipient like 'Ida%'")).isZero();
    assertThat(count("message where person_id = " + ida + " and state = 'withdrawn'")).isEqualTo(1);
  }
}
