package app.jemble.people;

import static app.jemble.people.Bodies.act;
import static app.jemble.people.Bodies.all;
import static app.jemble.people.Bodies.page;
import static app.jemble.people.Bodies.those;
import static app.jemble.people.Bodies.where;
import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.ServerTest;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldType;
import app.jemble.core.record.FieldUse;
import app.jemble.workspace.WorkspaceService;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/**
 * Whatever is written into the house stays words: choices, tags, names of lists, of kept filters
 * and of columns never become part of a statement or an expression.
 */
public class HostileWordsTest extends ServerTest {

  private static final Path PROOF = Path.of("target", "an-expression-was-run");

  /** Pieces that mean something to SQL, to MyBatis, to its expressions, or to JSON. */
  private static final List<String> PIECES =
      List.of(
          "${1+1}",
          "${@java.lang.Runtime@getRuntime().exec('touch " + PROOF.toAbsolutePath() + "')}",
          "${new java.io.File('" + PROOF.toAbsolutePath() + "').createNewFile()}",
          "#{limit}",
          "#{sql.params[0]}",
          "#{nothing}",
          "'",
          "''",
          "\"",
          "\\",
          "--",
          "/*",
          "*/",
          ";",
          "$$",
          "$1",
          "?",
          "??",
          ":name",
          "%s",
          "%1$s",
          "{}",
          "']::text[], (select password_hash from account limit 1)) --",
          "<script>",
          "]]>",
          "slipway");

  private final Random random = new Random(20261127);

  @Override
  protected int people() {
    return 60;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() throws Exception {
    Files.deleteIfExists(PROOF);
    api.signIn("orla", "lowen-quay");
  }

  private String word() {
    StringBuilder word = new StringBuilder();
    for (int i = 1 + random.nextInt(3); i > 0; i--) {
      word.append(PIECES.get(random.nextInt(PIECES.size())));
    }
    return word.length() > 75 ? word.substring(0, 75) : word.toString();
  }

  private Api.Answer good(Api.Answer answer) {
    assertThat(answer.status()).as(answer.text()).isBetween(200, 299);
    return answer;
  }

  @Test
  public void choicesOfAnAttributeAreOnlyWords() {
    WorkspaceService workspace = application.getBean(WorkspaceService.class);
    Set<FieldUse> uses = Set.of(FieldUse.FILTER, FieldUse.COLUMN, FieldUse.EDIT, FieldUse.MERGE);
    for (int i = 0; i < 24; i++) {
      List<String> choices = List.of(PIECES.get(i), "b" + word(), "c");
      String name = "kind_" + i;
      workspace.addAttribute(new Field(name, word(), FieldType.CHOICE, choices, uses));
      Map<String, Object> one = those(all(where("number", "IS", "TQ-10001")));
      good(api.post("/api/people/bulk", act(one, "SET", "field", name, "value", choices.get(0))));
      for (boolean descending : new boolean[] {true, false}) {
        Map<String, Object> page = new HashMap<>(page(those(all()), List.of(name, "plan")));
        page.put("sortBy", name);
        page.put("descending", descending);
        Api.Answer first = good(api.post("/api/people/page", page));
        assertThat(first.text()).doesNotContain("$2");
      }
      for (String operator : List.of("ANY_OF", "NONE_OF")) {
        good(api.post("/api/people/tally", those(all(where(name, operator, choices.get(0))))));
      }
      assertThat(count(where(name, "ANY_OF", choices.get(0)))).isEqualTo(1);
      assertThat(count(where(name, "ANY_OF", choices.get(1)))).isZero();
    }
    assertThat(PROOF).doesNotExist();
  }

  private long count(Map<String, Object> condition) {
    return good(api.post("/api/people/tally", those(all(condition)))).json().get("total").asLong();
  }

  @Test
  public void namesOfTagsListsAndKeptFiltersAreOnlyWords() {
    Map<String, Object> two = those(all(where("number", "ONE_OF", "TQ-10001", "TQ-10002")));
    int before = api.get("/api/filters?subject=people").json().size();
    for (int i = 0; i < 40; i++) {
      // A tag holds no comma and no semicolon.
      String some = word().replaceAll("[,;]", " ");
      String word = i + some.substring(0, Math.min(50, some.length()));
      long list = good(api.post("/api/lists", Map.of("name", word))).json().get("id").asLong();
      good(api.post("/api/people/bulk", act(two, "ADD_TO_LIST", "list", list)));
      good(api.post("/api/people/bulk", act(two, "TAG", "value", word)));
      assertThat(count(where("tags", "HAS_ALL", word))).as(word).isEqualTo(2);
      assertThat(count(where("list", "HAS_ANY", word))).as(word).isEqualTo(2);
      good(api.post("/api/people/page", page(two, List.of("tags", "list"))));
      Map<String, Object> kept = new HashMap<>();
      kept.put("subject", "people");
      kept.put("name", word);
      kept.put("filter", all(where("list", "HAS_ANY", word), where("name", "CONTAINS", word)));
      kept.put("shared", true);
      good(api.post("/api/filters", kept));
      good(api.put("/api/lists/" + list, Map.of("name", word + "’")));
      assertThat(count(where("list", "HAS_ANY", word + "’"))).as(word).isEqualTo(2);
    }
    assertThat(good(api.get("/api/filters?subject=people")).json().size() - before).isEqualTo(40);
    assertThat(PROOF).doesNotExist();
  }

  /** So many that a page of them was refused as too wide a question. */
  @Test
  public void manyAttributesStandOnThePageAndAreMerged() {
    for (int i = 0; i < 40; i++) {
      sql.sql("insert into attribute (name, label, type) values (?, ?, 'TEXT')")
          .params("extra_" + i, "Extra " + i)
          .update();
    }
    good(api.get("/api/people/2"));
    good(api.post("/api/people/2/merge", Map.of("other", 3, "take", List.of("extra_39"))));
    sql.sql("delete from attribute where name like 'extra%'").update();
  }
}
