package app.jemble.people;

import static app.jemble.people.Bodies.all;
import static app.jemble.people.Bodies.page;
import static app.jemble.people.Bodies.those;
import static app.jemble.people.Bodies.where;
import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.ServerTest;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.LongStream;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Questions that no screen asks: wrong, huge or meant to do harm. Each gets a sentence. */
public class HostileQuestionsTest extends ServerTest {

  private static final String HARM = "x'; drop table person; --";

  @Override
  protected int people() {
    return 150;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    api.signIn("orla", "lowen-quay");
  }

  private static Map<String, Object> group(
      String match, Object conditions, Object related, Object groups) {
    Map<String, Object> group = new HashMap<>();
    group.put("match", match);
    group.put("conditions", conditions);
    group.put("related", related);
    group.put("groups", groups);
    return group;
  }

  private static Map<String, Object> nested(int deep) {
    Map<String, Object> inner = all();
    for (int i = 0; i < deep; i++) {
      inner = group("ANY", List.of(), List.of(), List.of(inner));
    }
    return inner;
  }

  private static Map<String, Object> related(Object kind, Object atLeast, Object where) {
    Map<String, Object> related = new HashMap<>();
    related.put("kind", kind);
    related.put("atLeast", atLeast);
    related.put("where", where);
    return group("ALL", List.of(), List.of(related), List.of());
  }

  @DataProvider
  public Object[][] wrong() {
    Map<String, Object> quoteOfQuote = related("QUOTE", 1, related("TASK", 1, all()));
    return new Object[][] {
      {all(where(HARM, "IS", "x")), "There is no field named"},
      {all(where("secret", "IS", "x")), "There is no field named"},
      {all(where("sender.name", "IS", "x")), "There is no field named"},
      {all(where("plan", "CONTAINS", "x")), "cannot be compared"},
      {all(where("joined_on", "BEFORE", HARM)), "takes a day such as"},
      {all(where("dues_owed", "MORE", "1e999999999")), "takes a number such as"},
      {all(where("dues_owed", "MORE", "NaN")), "takes a number such as"},
      {all(where("joined_on", "IN_LAST", "99999999999", "days")), "whole number"},
      {all(where("introduced_by", "INTRODUCED", "1 or 1=1", "2")), "a person on record"},
      {nested(20), "nested 8 deep"},
      {related("QUOTE", -1, all()), "at least 1"},
      {related("QUOTE", 100_000, all()), "at most 1000"},
      {related(null, 1, all()), "which records are meant"},
      {related("QUOTE", 1, null), "which records are meant"},
      {quoteOfQuote, "Only people have records"},
      {group(null, List.of(), List.of(), List.of()), "all, any or none"},
    };
  }

  @Test(dataProvider = "wrong")
  public void aWrongFilterIsRefusedWithASentence(Map<String, Object> filter, String sentence) {
    for (String path : List.of("/api/people/tally", "/api/people/tally/watch")) {
      Api.Answer refused = api.post(path, those(filter));
      assertThat(refused.status()).as(path).isEqualTo(422);
      assertThat(refused.json().get("detail").asString()).contains(sentence);
    }
  }

  @DataProvider
  public Object[][] odd() {
    return new Object[][] {
      {where("name", "CONTAINS", HARM)},
      {where("name", "CONTAINS", "%_\\")},
      {where("name", "STARTS_WITH", "\u202e\u0000".replace("\u0000", "") + "🚤")},
      {where("name", "IS", "n".repeat(100_000))},
      {where("tags", "HAS_ANY", HARM, "{\"a\"}", "\\")},
      {where("list", "HAS_ALL", HARM)},
      {where("owner", "ANY_OF", HARM)},
      {where("number", "ONE_OF", Collections.nCopies(5000, "TQ-10001").toArray(String[]::new))},
      {where("plan", "ANY_OF", "no such plan")},
    };
  }

  @Test(dataProvider = "odd")
  public void oddWordsAreOnlyWords(Map<String, Object> condition) {
    Api.Answer answer = api.post("/api/people/tally", those(all(condition)));
    assertThat(answer.status()).as(answer.json().toString()).isEqualTo(200);
    assertThat(answer.json().get("total").asLong()).isLessThanOrEqualTo(1);
    assertThat(sql.sql("select count(*) from person").query(Long.class).single()).isEqualTo(153);
  }

  @Test
  public void columnsAndOrdersThatAreNoneAreRefused() {
    Map<String, Object> everyone = those(all());
    for (String column : List.of("secret", "person", HARM, "owner.name", "p.secret")) {
      assertThat(api.post("/api/people/page", page(everyone, List.of(column))).status())
          .as(column)
          .isEqualTo(422);
      Map<String, Object> sorted = new HashMap<>(page(everyone, List.of()));
      sorted.put("sortBy", column);
      assertThat(api.post("/api/people/page", sorted).status()).as(column).isEqualTo(422);
    }
    List<String> many = new ArrayList<>(Collections.nCopies(50, "plan"));
    assertThat(api.post("/api/people/page", page(everyone, many)).status()).isEqualTo(422);
  }

  @Test
  public void aHundredThousandPicksAreAnsweredAsAFew() {
    Map<String, Object> picks = new HashMap<>(those(all()));
    picks.put("picks", LongStream.rangeClosed(1, 100_000).boxed().toList());
    assertThat(api.post("/api/people/tally", picks).json().get("total").asLong()).isEqualTo(153);
    picks.put("leftOut", LongStream.rangeClosed(1, 100).boxed().toList());
    assertThat(api.post("/api/people/tally", picks).json().get("total").asLong()).isEqualTo(53);
  }

  @Test
  public void listsThatAreNoneAreNotFound() {
    Map<String, Object> page = new HashMap<>(page(those(all()), List.of()));
    page.put("which", page.remove("who"));
    assertThat(api.post("/api/records/people/page", page).status()).isEqualTo(404);
    assertThat(api.post("/api/records/quotes/page", page).status()).isEqualTo(200);
    assertThat(api.post("/api/records/offices/tally", those(all())).status()).isEqualTo(404);
    assertThat(api.post("/api/changes/999999/undo", Map.of()).status()).isEqualTo(404);
    assertThat(api.get("/api/imports/999999").status()).isEqualTo(404);
  }

  @Test
  public void nobodyAsksWithoutSigningIn() {
    Api stranger = new Api("http://127.0.0.1:" + port);
    for (String path :
        List.of("/api/people/tally", "/api/people/page", "/api/people/export", "/api/imports")) {
      int status = stranger.post(path, those(all())).status();
      assertThat(status).as(path).isIn(401, 403);
    }
    assertThat(stranger.get("/api/people/1").status()).isEqualTo(401);
    assertThat(stranger.get("/api/lists").status()).isEqualTo(401);
  }
}
