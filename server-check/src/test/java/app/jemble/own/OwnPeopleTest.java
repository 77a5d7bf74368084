package app.jemble.own;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Eventually;
import app.jemble.OtherPlans;
import app.jemble.ServerTest;
import app.jemble.TestDatabase;
import app.jemble.api.ApiOperation;
import app.jemble.core.filter.RandomFilters;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.filter.FilterBody;
import app.jemble.workspace.WorkspaceService;
import com.zaxxer.hikari.HikariDataSource;
import java.sql.Timestamp;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Pattern;
import java.util.stream.LongStream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/**
 * A colleague who sees their own people only is answered as if there were nobody else: every
 * question of the API is asked in a house of many people, and once more in a copy of it out of
 * which all others were taken. Nor does it matter in which ways the database reads the two.
 */
public class OwnPeopleTest extends ServerTest {

  private static final String WHO = "tomas";
  private static final int FILTERS = 150;
  private static final long MOST_IDS = 45;
  private static final int PAIRS = 60;

  /** What is told of the asker's own session and role, and what does not end or is drawn anew. */
  private static final Set<String> NOT_ASKED =
      Set.of("GET /api/session", "GET /api/sessions", "GET /api/roles", "GET /api/live");

  /** What is another each time that somebody looks. */
  private static final Pattern DRAWN =
      Pattern.compile("Date: [^\"]*|Message-ID: <[^>]*>|boundary=[^\\s]*");

  /** Whoever answers a mail does so within thirteen seconds; then nothing more is waited for. */
  private static final Duration REST = Duration.ofSeconds(14);

  /** Work of the house that was not done since. */
  private static final String NOT_DONE =
      "select 1 from scheduled_tasks where coalesce(greatest(last_success, last_failure) < ?, true)";

  private final Random random = new Random(11);

  @Override
  protected int people() {
    return 120;
  }

  @Override
  protected boolean demoSeries() {
    return true;
  }

  @Override
  protected Duration readersDay() {
    return Duration.ofMillis(100);
  }

  /** Whoever is whose is drawn, and much happens around them. */
  @BeforeClass(dependsOnMethods = "startAll")
  public void fill() {
    sql.sql("update workspace set hold_seconds = 3600").update();
    sql.sql(
            """
            update role set own_people = true,
                   rights = array(select unnest(rights) union select 'MAILINGS_OF_OTHERS'
                                  union select 'EXPORT' union select 'IMPORT' union select 'PRINT'
                                  union select 'SERIES' union select 'OUTBOX')
            where id = (select role_id from account where login = ?)
            """)
        .param(WHO)
        .update();
    LocalDate today = LocalDate.ofInstant(clock.instant(), clock.getZone());
    for (String statement : Happenings.on(today)) {
      sql.sql(statement).update();
    }
    Api orla = signedIn("orla");
    api = orla;
    List<Long> everybody = ids("select id from person order by id");
    for (int i = 0; i < 3; i++) {
      long mailing = draft(some(everybody, 25), "Hello {first_name}", "<p>Hello</p>");
      if (i > 0) {
        assertThat(release(mailing).status()).isEqualTo(200);
      }
    }
    for (Api who : List.of(orla, signedIn(WHO))) {
      api = who;
      assertThat(who.post("/api/people/bulk", moved(some(everybody, 40))).status()).isEqualTo(200);
      beginLabels(some(everybody, 12));
      draft(some(everybody, 25), "Hello", "<p>Hello</p>");
    }
  }

  private static Map<String, Object> moved(List<Long> whom) {
    Map<String, Object> filter =
        Map.of("match", "ALL", "conditions", List.of(), "related", List.of(), "groups", List.of());
    Map<String, Object> act = new HashMap<>();
    act.put("who", Map.of("filter", filter, "picks", whom));
    act.put("kind", "SET");
    act.put("field", "address.place");
    act.put("value", "Umeå");
    return act;
  }

  private List<Long> ids(String question, Object... params) {
    return sql.sql(question).params(params).query(Long.class).list();
  }

  private List<Long> some(List<Long> all, int many) {
    List<Long> some = new ArrayList<>(all);
    java.util.Collections.shuffle(some, random);
    return some.subList(0, many);
  }

  /** Whatever a later migration brings. */
  @Test
  public void everyTableThatHangsOnPeopleIsCutDown() {
    assertThat(
            sql.sql(
                    """
                    with recursive hangs (it) as (
                      select 'public.person'::regclass::oid
                      union
                      select k.conrelid
                      from hangs
                      join pg_constraint k on k.confrelid = hangs.it and k.contype = 'f'
                      where k.conrelid <> 'public.account'::regclass
                    )
                    select c.relname
                    from hangs
                    join pg_class c on c.oid = hangs.it
                    where to_regclass('own.' || c.relname) is null
                    """)
                .query(String.class)
                .list())
        .isEmpty();
  }

  /** With numbers of what is of others in each path and body there is. */
  @Test
  public void nothingOfOthersIsChangedWhateverIsDone() {
    Api who = signedIn(WHO);
    rest();
    Map<String, String> before = ofOthers();
    List<String> wrong = new ArrayList<>();
    for (ApiOperation operation : ApiOperation.all()) {
      if (operation.name().contains("/session") || operation.method().equals("GET")) {
        continue;
      }
      for (long id : othersNumbers()) {
        String path = operation.path().replaceAll("\\{[^}]+}", Long.toString(id));
        Api.Answer done = operation.by(who, path, numbered(operation.plainBody(), id));
        if (done.status() >= 500) {
          wrong.add(operation.name() + " " + done.status());
        }
        Map<String, String> after = ofOthers();
        if (!after.equals(before)) {
          after.entrySet().removeAll(before.entrySet());
          wrong.add(operation.name() + " of " + id + " " + done.status() + " " + after.keySet());
          before = ofOthers();
        }
      }
    }
    assertThat(String.join("\n", wrong)).isEmpty();
  }

  /** Until the house, whose clock stands, has done all that was due, however seldom it looks. */
  private void rest() {
    clock.stand();
    Eventually.within(
        Duration.ofMinutes(3),
        () -> {
          Map<String, String> before = digests("true", "true");
          doAllWork();
          Thread.sleep(REST.toMillis());
          assertThat(digests("true", "true")).isEqualTo(before);
        });
  }

  private void doAllWork() {
    Timestamp from = Timestamp.from(Instant.now());
    sql.sql("update scheduled_tasks set execution_time = now() where not picked").update();
    Eventually.within(Duration.ofMinutes(1), () -> assertThat(ids(NOT_DONE, from)).isEmpty());
  }

  /** People who are others', of whom messages and tasks with the same numbers are too. */
  private List<Long> othersNumbers() {
    return ids(
        """
        select p.id
        from person p
        join account a on a.login = 'tomas'
        join message s on s.id = p.id
        join person sp on sp.id = s.person_id
        where p.owner_id is distinct from a.id and sp.owner_id is distinct from a.id
          and not exists (select from account c where c.person_id = p.id)
        order by md5('n' || p.id)
        limit 3
        """);
  }

  /** A body in which each number, and each list, is one of what is not theirs. */
  private static Object numbered(Object plain, long id) {
    if (plain instanceof Map<?, ?> object) {
      Map<String, Object> numbered = new LinkedHashMap<>();
      object.forEach((name, value) -> numbered.put((String) name, numbered(value, id)));
      return numbered;
    }
    if (plain instanceof List<?> list) {
      return list.isEmpty() ? List.of(id) : list.stream().map(one -> numbered(one, id)).toList();
    }
    return plain instanceof Integer ? id : plain;
  }

  /** All that is about people who are not theirs, by table. */
  private Map<String, String> ofOthers() {
    String others = "owner_id is distinct from (select id from account where login = 'tomas')";
    return digests("t.person_id in (select id from person where " + others + ")", others);
  }

  private Map<String, String> digests(String which, String people) {
    List<String> tables =
        sql.sql(
                """
                select table_name from information_schema.columns
                where table_schema = 'public' and column_name = 'person_id'
                  and table_name in (select tablename from pg_tables)
                order by 1
                """)
            .query(String.class)
            .list();
    Map<String, String> all = new TreeMap<>();
    for (String table : tables) {
      all.put(table, digest(table, which));
    }
    all.put("person", digest("person", people));
    return all;
  }

  private String digest(String table, String which) {
    return sql.sql(
            "select coalesce(md5(string_agg(t::text, '|' order by t::text)), '') from "
                + table
                + " t where "
                + which)
        .query(String.class)
        .single();
  }

  @Test(dependsOnMethods = "nothingOfOthersIsChangedWhateverIsDone")
  public void whoeverSeesTheirOwnIsAnsweredAsIfThereWereNobodyElse() {
    long theirs =
        sql.sql("select count(*) from person p join account a on a.id = p.owner_id where login = ?")
            .param(WHO)
            .query(Long.class)
            .single();
    assertThat(theirs).isBetween(20L, 60L);
    rest();
    OtherPlans.byHash(sql);
    application.getBeansOfType(HikariDataSource.class).values().stream()
        .filter(HikariDataSource::isRunning)
        .forEach(pool -> pool.getHikariPoolMXBean().softEvictConnections());
    List<Question> questions = questions();
    Map<Question, String> seen = answers(questions);
    assertThat(seen.values().stream().filter(a -> a.startsWith("200 ")).count())
        .as("questions with an answer")
        .isGreaterThan(questions.size() / 4);
    assertThat(seen.get(new Question("/api/occasions/turns", null))).contains("AWAITS");
    moveTo(cutDownCopy());
    Map<Question, String> alone = answers(questions);
    List<String> wrong = new ArrayList<>();
    questions.stream()
        .filter(q -> !seen.get(q).equals(alone.get(q)))
        .forEach(q -> wrong.add(q + "\n  sees " + seen.get(q) + "\n  alone " + alone.get(q)));
    assertThat(wrong.size() + " of " + questions.size() + "\n" + String.join("\n", wrong))
        .startsWith("0 of ");
  }

  /** What is asked; a body makes it a POST. */
  private record Question(String path, Object body) {}

  private List<Question> questions() {
    List<Question> all = new ArrayList<>();
    for (ApiOperation operation : ApiOperation.all()) {
      if (operation.method().equals("GET") && !NOT_ASKED.contains(operation.name())) {
        paths(operation).forEach(path -> all.add(new Question(path, null)));
      }
    }
    all.addAll(aboutPeople());
    return all;
  }

  private List<String> paths(ApiOperation operation) {
    long parts = operation.path().chars().filter(c -> c == '{').count();
    if (parts == 0) {
      return List.of(operation.at(1));
    }
    if (parts == 1) {
      return LongStream.rangeClosed(1, MOST_IDS).mapToObj(operation::at).toList();
    }
    List<String> pairs = new ArrayList<>();
    for (int i = 0; i < PAIRS; i++) {
      String path = operation.at(1 + random.nextInt(40));
      String from = operation.path().substring(operation.path().lastIndexOf('{') - 1);
      String tail = from.replaceFirst("\\{[^}]+}", "1");
      int at = path.lastIndexOf(tail);
      pairs.add(
          path.substring(0, at)
              + from.replaceFirst("\\{[^}]+}", Long.toString(1 + random.nextInt(60)))
              + path.substring(at + tail.length()));
    }
    return pairs;
  }

  private List<Question> aboutPeople() {
    FieldCatalogue fields = application.getBean(WorkspaceService.class).fields();
    List<String> words = List.of("a", "quay", "seen", "Ada", "e", "Oar", "tomas");
    RandomFilters trees = new RandomFilters(fields, words, 4);
    List<Question> all = new ArrayList<>();
    for (int i = 0; i < FILTERS; i++) {
      Map<String, Object> who = new HashMap<>();
      who.put("filter", FilterBody.of(trees.next()));
      all.add(new Question("/api/people/tally", who));
      Map<String, Object> page = new HashMap<>();
      page.put("who", who);
      page.put("columns", List.of("name", "email", "owner", "introduced_by", "tags", "stage"));
      page.put("descending", i % 2 == 0);
      all.add(new Question("/api/people/page", page));
      all.add(new Question("/api/people/tally/watch", who));
    }
    Map<String, Object> everybody = new HashMap<>();
    everybody.put("filter", FilterBody.EVERYONE);
    for (String kind : List.of("quotes", "events", "tasks")) {
      Map<String, Object> page = new HashMap<>();
      page.put("which", everybody);
      page.put("columns", List.of());
      page.put("descending", false);
      all.add(new Question("/api/records/" + kind + "/page", page));
      all.add(new Question("/api/records/" + kind + "/tally", everybody));
      all.add(new Question("/api/records/" + kind + "/people", everybody));
    }
    Map<String, Object> export = new HashMap<>();
    export.put("who", everybody);
    export.put("columns", List.of("name", "email", "owner", "introduced_by", "plan"));
    export.put("form", "CSV");
    export.put("descending", false);
    all.add(new Question("/api/people/export", export));
    return all;
  }

  private Map<Question, String> answers(List<Question> questions) {
    Api who = signedIn(WHO);
    Map<Question, String> answers = new LinkedHashMap<>();
    for (Question question : questions) {
      Api.Answer answer =
          question.body() == null
              ? who.get(question.path())
              : who.post(question.path(), question.body());
      String type = answer.raw().headers().firstValue("Content-Type").orElse("");
      boolean isText = type.contains("json") || type.startsWith("text/");
      String text = DRAWN.matcher(isText ? answer.text() : type).replaceAll("");
      answers.put(question, answer.status() + " " + text);
    }
    return answers;
  }

  private String cutDownCopy() {
    application.close();
    String copy = TestDatabase.copyOf(database());
    SingleConnectionDataSource one = new SingleConnectionDataSource(copy, true);
    try {
      JdbcClient cut = JdbcClient.create(one);
      new PeopleOfOthers(cut).remove(WHO);
      cut.sql("update role set own_people = false").update();
      OtherPlans.bySort(cut);
    } finally {
      one.destroy();
    }
    return copy;
  }
}
