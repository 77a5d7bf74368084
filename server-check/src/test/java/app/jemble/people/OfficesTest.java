package app.jemble.people;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Eventually;
import app.jemble.ServerTest;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import org.springframework.transaction.support.TransactionTemplate;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Offices are words of the house, and some of them a group that is written to. */
public class OfficesTest extends ServerTest {

  private Api wilma;
  private LocalDate today;

  @Override
  protected int people() {
    return 30;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    wilma = signedIn("wilma");
    today = LocalDate.ofInstant(clock.instant(), java.time.ZoneId.of("Europe/London"));
    sql.sql("delete from office").update();
    sql.sql("delete from standing_word where about = 'OFFICE'").update();
  }

  private Api.Answer add(String office) {
    return wilma.post("/api/house/standing/OFFICE", Map.of("name", office));
  }

  private Api.Answer group(String office, String group) {
    return wilma.put("/api/house/standing/OFFICE/group", Map.of("name", office, "group", group));
  }

  private Api.Answer renameGroup(String group, String to) {
    return wilma.put("/api/house/standing/OFFICE/group/name", Map.of("name", group, "to", to));
  }

  private Api.Answer give(long person, String office, LocalDate since) {
    Map<String, Object> draft = new HashMap<>();
    draft.put("name", office);
    draft.put("body", null);
    draft.put("since", since == null ? null : since.toString());
    return wilma.post("/api/people/" + person + "/offices", draft);
  }

  private static Map<String, Object> held(String field, String word) {
    return Bodies.has(
        "OFFICE", 1, Bodies.all(Bodies.where(field, "ANY_OF", word), Bodies.where("held", "YES")));
  }

  private List<Long> found(Map<String, Object> filter) {
    Api.Answer page = wilma.post("/api/people/page", Bodies.page(Bodies.those(filter), List.of()));
    return page.json().valueStream().map(row -> row.get("id").asLong()).sorted().toList();
  }

  private long kept(Map<String, Object> filter) {
    Map<String, Object> draft = new HashMap<>();
    draft.put("subject", "people");
    draft.put("name", "asks " + filter.hashCode());
    draft.put("shared", false);
    draft.put("filter", filter);
    draft.put("layout", null);
    return wilma.post("/api/filters", draft).json().get("id").asLong();
  }

  private String stored(long filter) {
    return sql.sql("select filter::text from kept_filter where id = ?")
        .param(filter)
        .query(String.class)
        .single();
  }

  @Test
  public void aHouseWithoutOfficesSaysWhereTheyAreNamed() {
    assertThat(give(3, "Chair", null).text()).contains("Words of the house");
    assertThat(wilma.get("/api/offices").json()).isEmpty();
  }

  @Test(dependsOnMethods = "aHouseWithoutOfficesSaysWhereTheyAreNamed")
  public void aGroupIsWhoeverHoldsOneOfItsOfficesToday() {
    for (String office : List.of("Chair", "Treasurer", "Archivist")) {
      assertThat(add(office).status()).isEqualTo(200);
    }
    assertThat(group("Chair", "Officers").status()).isEqualTo(200);
    JsonNode table = group("Treasurer", " officers ").json();
    assertThat(table.get("offices").get(1).get("group").asString())
        .as("however it is typed")
        .isEqualTo("Officers");
    assertThat(give(3, "Chair", today.minusDays(9)).status()).isEqualTo(200);
    assertThat(give(4, "Treasurer", today).status()).isEqualTo(200);
    assertThat(give(5, "Treasurer", today.plusDays(1)).status()).isEqualTo(200);
    assertThat(give(6, "Chair", null).status()).isEqualTo(200);
    assertThat(give(7, "Archivist", null).status()).isEqualTo(200);
    sql.sql("update office set until = ? where person_id = 3").param(today).update();
    sql.sql("update office set until = ? where person_id = 6").param(today.minusDays(1)).update();
    assertThat(found(held("group", "Officers"))).containsExactly(3L, 4L);
    assertThat(found(held("name", "Treasurer"))).containsExactly(4L);
    JsonNode groups = wilma.get("/api/house/standing").json().get("groups");
    assertThat(groups.toString()).isEqualTo("[{\"name\":\"Officers\",\"people\":2}]");
  }

  @Test(dependsOnMethods = "aGroupIsWhoeverHoldsOneOfItsOfficesToday")
  public void theyAreRenamedWithEverythingFollowing() {
    long ofOffice = kept(held("name", "Treasurer"));
    long ofGroup = kept(held("group", "Officers"));
    long ofName = kept(Bodies.all(Bodies.where("name", "IS", "Treasurer")));
    Map<String, String> rename = Map.of("name", "Treasurer", "to", "Purse keeper");
    assertThat(wilma.put("/api/house/standing/OFFICE/name", rename).status()).isEqualTo(200);
    assertThat(renameGroup("Officers", "Trustees").status()).isEqualTo(200);
    assertThat(stored(ofOffice)).contains("Purse keeper").doesNotContain("Treasurer");
    assertThat(stored(ofGroup)).contains("Trustees").doesNotContain("Officers");
    assertThat(stored(ofName)).as("somebody who is called so").contains("Treasurer");
    assertThat(found(held("group", "Trustees"))).containsExactly(3L, 4L);
    assertThat(wilma.get("/api/people/4").text()).contains("Purse keeper");
    assertThat(group("Archivist", "Keepers").status()).isEqualTo(200);
    assertThat(renameGroup("Keepers", "trustees").text()).contains("is there already");
    assertThat(renameGroup("Keepers", " ").status()).isEqualTo(422);
    assertThat(renameGroup("Keepers", "a, b").status()).isEqualTo(422);
    assertThat(renameGroup("Nobody", "Somebody").status()).isEqualTo(404);
    assertThat(group("Nobody", "Keepers").status()).isEqualTo(404);
    JsonNode line = wilma.get("/api/history?kind=SETTINGS").json().get(0);
    assertThat(line.get("words").asString()).isEqualTo("Put an office into a group");
  }

  /** A committee takes office on one day, and its time is over on another. */
  @Test(dependsOnMethods = "theyAreRenamedWithEverythingFollowing")
  public void manyTakeAnOfficeUpAndItEndsForMany() {
    assertThat(add("Steward").status()).isEqualTo(200);
    give(11, "Steward", today.minusYears(1));
    give(12, "Steward", today.minusYears(1));
    sql.sql("update office set until = ? where person_id = 12").param(today.plusDays(9)).update();
    Long[] many = {11L, 12L, 13L, 14L};
    Map<String, Object> look = new HashMap<>();
    look.put("who", Bodies.only(many));
    look.put("office", "Steward");
    look.put("day", today.toString());
    assertThat(wilma.post("/api/people/holding", look).text())
        .isEqualTo("{\"people\":4,\"holding\":2}");
    Map<String, Object> office = Map.of("name", "Steward", "since", today.toString());
    JsonNode given =
        wilma
            .post(
                "/api/people/bulk", Bodies.act(Bodies.only(many), "GIVE_OFFICE", "office", office))
            .json();
    assertThat(given.get("changed").asLong()).as("who holds it keeps it").isEqualTo(2);
    assertThat(found(held("name", "Steward"))).containsExactly(11L, 12L, 13L, 14L);

    String eve = today.minusDays(1).toString();
    Map<String, Object> ending = Map.of("name", "Steward", "until", eve);
    JsonNode ended =
        wilma
            .post("/api/people/bulk", Bodies.act(Bodies.only(many), "END_OFFICE", "ending", ending))
            .json();
    assertThat(ended.get("changed").asLong()).as("who began later is not ended").isEqualTo(2);
    assertThat(found(held("name", "Steward"))).containsExactly(13L, 14L);
    assertThat(undo(ended)).isEqualTo(200);
    assertThat(
            sql.sql("select until::text from office where person_id in (11, 12) order by person_id")
                .query(String.class)
                .list())
        .containsExactly(null, today.plusDays(9).toString());
    assertThat(undo(given)).isEqualTo(200);
    assertThat(found(held("name", "Steward"))).containsExactly(11L, 12L);
  }

  @Test(dependsOnMethods = "manyTakeAnOfficeUpAndItEndsForMany")
  public void anEndThatSomebodyChangedSinceStaysWhenItIsTakenBack() {
    give(15, "Steward", today.minusYears(2));
    Map<String, Object> ending = Map.of("name", "Steward", "until", today.toString());
    JsonNode ended =
        wilma
            .post("/api/people/bulk", Bodies.act(Bodies.only(15L), "END_OFFICE", "ending", ending))
            .json();
    sql.sql("update office set until = ? where person_id = 15").param(today.minusDays(3)).update();
    assertThat(undo(ended)).isEqualTo(200);
    assertThat(found(held("name", "Steward"))).doesNotContain(15L);
  }

  @Test(dependsOnMethods = "manyTakeAnOfficeUpAndItEndsForMany")
  public void whatTwoGiveAtOneMomentIsGivenOnce() {
    Map<String, Object> office = Map.of("name", "Steward", "since", today.toString());
    Map<String, Object> act = Bodies.act(Bodies.only(20L, 21L), "GIVE_OFFICE", "office", office);
    CompletableFuture<Api.Answer> mine = new CompletableFuture<>();
    application
        .getBean(TransactionTemplate.class)
        .executeWithoutResult(
            theirs -> {
              sql.sql("select id from person where id = 20 for update").query().singleRow();
              mine.completeAsync(() -> wilma.post("/api/people/bulk", act));
              Eventually.holds(() -> assertThat(waiting()).isEqualTo(1));
              sql.sql("insert into office (person_id, name) values (20, 'Steward')").update();
            });
    assertThat(mine.join().json().get("changed").asLong()).as("the other alone").isEqualTo(1);
    assertThat(
            sql.sql("select person_id from office where person_id in (20, 21) order by 1")
                .query(Long.class)
                .list())
        .containsExactly(20L, 21L);
  }

  /** How many statements wait here for what another transaction holds; asked outside of ours. */
  private int waiting() {
    String asked =
        """
        select count(*) from pg_stat_activity
        where datname = current_database() and wait_event_type = 'Lock'
        """;
    return CompletableFuture.supplyAsync(() -> sql.sql(asked).query(Integer.class).single()).join();
  }

  private int undo(JsonNode act) {
    return wilma.post("/api/changes/" + act.get("id").asLong() + "/undo", Map.of()).status();
  }

  @Test(dependsOnMethods = "anEndThatSomebodyChangedSinceStaysWhenItIsTakenBack")
  public void oneThatIsGivenUpIsKeptByWhoeverHoldsItAndGivenToNobody() {
    Map<String, Object> wanted = Map.of("name", "Chair", "retired", true);
    assertThat(wilma.put("/api/house/standing/OFFICE/retired", wanted).status()).isEqualTo(200);
    assertThat(give(8, "Chair", null).status()).isEqualTo(422);
    assertThat(wilma.get("/api/offices").json().toString())
        .isEqualTo("[\"Purse keeper\",\"Archivist\",\"Steward\"]");
    assertThat(found(held("name", "Chair"))).containsExactly(3L);
    assertThat(found(held("group", "Trustees"))).containsExactly(3L, 4L);
    assertThat(wilma.get("/api/fields").json().get("related").toString())
        .contains("\"retired\":[\"Chair\"]");
  }
}
