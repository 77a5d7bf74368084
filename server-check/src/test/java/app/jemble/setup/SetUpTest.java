package app.jemble.setup;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.ServerTest;
import java.util.List;
import java.util.Map;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** A new house is led through what it has before it; what it leaves for later stays there. */
public class SetUpTest extends ServerTest {

  private Api root;

  @Override
  protected int people() {
    return 0;
  }

  @Override
  protected List<String> mailSettings() {
    return List.of();
  }

  @Override
  protected List<String> moreSettings() {
    return List.of(
        "--JEMBLE_ADMIN_LOGIN=root",
        "--JEMBLE_ADMIN_EMAIL=root@choir.example",
        "--JEMBLE_ADMIN_PASSWORD=a long enough word");
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    root = signedIn("root", "a long enough word");
  }

  private JsonNode standing() {
    return root.get("/api/set-up").json();
  }

  private String next() {
    JsonNode next = standing().get("next");
    return next.isNull() ? "" : next.asString();
  }

  private void leave(String step, boolean later) {
    assertThat(root.put("/api/set-up/" + step + "/later", Map.of("later", later)).status())
        .isEqualTo(200);
  }

  @Test
  public void itBeginsWithTheHouse() {
    assertThat(next()).isEqualTo("HOUSE");
    leave("HOUSE", true);
    assertThat(next()).isEqualTo("MAIL");
    leave("HOUSE", false);
    assertThat(next()).isEqualTo("HOUSE");
    assertThat(root.put("/api/set-up/CELLAR/later", Map.of("later", true)).status())
        .isBetween(400, 404);
  }

  /** A mail that comes back nowhere proves nothing. */
  @Test(dependsOnMethods = "itBeginsWithTheHouse")
  public void withoutAMailDomainNothingIsLookedUpOrSent() {
    assertThat(root.get("/api/mail-domain").json().get("said").asBoolean()).isFalse();
    Api.Answer trial = root.post("/api/mail-trials", Map.of());
    assertThat(trial.status()).isEqualTo(409);
    assertThat(trial.text()).contains("mail domain");
  }

  /** Whatever the road, through the set-up or not: it is asked of the house itself. */
  @Test(dependsOnMethods = "withoutAMailDomainNothingIsLookedUpOrSent")
  public void whatIsDoneIsNotAskedForAgain() {
    sql.sql(
            """
            update workspace
            set name = 'Harbour Choir', postal_address = '2 Mole Street',
                return_domain = 'choir.example'
            """)
        .update();
    assertThat(next()).isEqualTo("MAIL");
    leave("MAIL", true);
    assertThat(next()).isEqualTo("PEOPLE");
    addPerson("Ada", "Reis", "ada@readers.test");
    assertThat(next()).isEqualTo("LETTERHEAD");
    leave("LETTERHEAD", true);
    assertThat(next()).isEqualTo("WORDS");
    assertThat(root.post("/api/house/plans", Map.of("name", "Voice")).status()).isEqualTo(200);
    assertThat(next()).isEqualTo("COLLEAGUES");
    leave("COLLEAGUES", true);
    assertThat(next()).isEmpty();
    assertThat(standing().get("steps").findValuesAsString("done"))
        .containsExactly("true", "false", "true", "false", "true", "false");
  }

  /** They are no people to write to, and leave no word behind. */
  @Test
  public void madeUpPeopleComeAndGo() {
    Api.Answer there = root.post("/api/set-up/made-up-people", Map.of());
    assertThat(there.status()).as(there.text()).isEqualTo(200);
    assertThat(there.json().get("madeUp").asInt()).isEqualTo(10);
    assertThat(root.post("/api/set-up/made-up-people", Map.of()).status()).isEqualTo(409);
    assertThat(count("person where reach = 'READY' and email like '%@made-up.example'"))
        .isEqualTo(10);
    assertThat(isDone("PEOPLE")).isFalse();

    assertThat(root.delete("/api/set-up/made-up-people").json().get("madeUp").asInt()).isZero();
    assertThat(count("person where email is not null and email like '%made-up%'")).isZero();
    assertThat(count("person where last_name in ('Winterbourne', 'Petrović')")).isZero();
    assertThat(count("change where after::text like '%made-up%'")).isZero();
    assertThat(isDone("PEOPLE")).isFalse();
  }

  private boolean isDone(String step) {
    return standing()
        .get("steps")
        .valueStream()
        .filter(each -> each.get("step").asString().equals(step))
        .findFirst()
        .orElseThrow()
        .get("done")
        .asBoolean();
  }

  private long count(String what) {
    return sql.sql("select count(*) from " + what).query(Long.class).single();
  }
}
