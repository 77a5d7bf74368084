package app.jemble.api;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.ServerTest;
import app.jemble.account.AccountService;
import app.jemble.core.access.Access;
import app.jemble.core.access.Asker;
import app.jemble.core.access.Right;
import app.jemble.core.access.Role;
import app.jemble.core.document.TestDocument;
import app.jemble.inbound.Arrival;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/**
 * Every operation of the API, as every role, about what is one's own, another's and private to
 * another. The table is {@code rights.txt}; an operation that has no row there fails.
 */
public class RightsTest extends ServerTest {

  private static final long NOWHERE = 999_999_999L;

  /** What would end or change the session that the trial itself goes by. */
  private static final List<String> SESSION =
      List.of("DELETE /api/session", "POST /api/session", "GET /api/live");

  /** Where the plainest body is refused before anybody asks whose the thing is. */
  private static final Map<String, Object> BODIES = new HashMap<>();

  static {
    BODIES.put("PUT /api/mail/{mailId}/as", Map.of("what", "AUTO_REPLY"));
    BODIES.put("POST /api/mail/{mailId}/answer", Map.of("text", "Yes."));
    BODIES.put("PUT /api/filters/{id}", Map.of("name", "renamed", "shared", false));
    BODIES.put(
        "POST /api/mailings/{id}/leave-out", Map.of("code", "NAME_ODD", "about", "first_name"));
    BODIES.put("POST /api/mailings/{id}/names", List.of(Map.of("personId", 1, "firstName", "Bo")));
    BODIES.put("PUT /api/mailings/{mailing}/rules", List.of());
  }

  private static final int RANDOM_ROLES = 6;

  /** Answers of each kind that are timed at first. */
  private static final int ROUNDS = 15;

  /**
   * What answers differ by that are alike; over a network less cannot be told (common practice).
   */
  private static final double ALIKE = 1.5;

  private record Row(Right right, String about) {}

  private final Map<String, Row> table = new TreeMap<>();
  private final Map<String, Api> colleagues = new HashMap<>();
  private Api tomas;

  /** Whether Tomas keeps to himself what he writes. */
  private boolean hides = true;

  @Override
  protected int people() {
    return 20;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void readTable() throws IOException {
    String text =
        new String(
            getClass().getResourceAsStream("rights.txt").readAllBytes(), StandardCharsets.UTF_8);
    text.lines()
        .filter(line -> !line.startsWith("#") && !line.isBlank())
        .forEach(
            line -> {
              String[] cells = line.split(" {2,}");
              table.put(cells[0], new Row(Right.valueOf(cells[1]), cells[2].strip()));
            });
    colleagues.put("orla", signedIn("orla"));
    colleagues.put("wilma", signedIn("wilma"));
    colleagues.put("reed", signedIn("reed"));
    tomas = signedIn("tomas");
    api = tomas;
    // Nothing leaves while this goes on.
    sql.sql("update workspace set hold_seconds = 3600").update();
  }

  @Test
  public void everyOperationHasARow() {
    assertThat(ApiOperation.all().stream().map(ApiOperation::name).sorted().toList())
        .isEqualTo(table.keySet().stream().sorted().toList());
  }

  private List<ApiOperation> operations() {
    return ApiOperation.all().stream().filter(o -> !SESSION.contains(o.name())).toList();
  }

  private Api.Answer ask(ApiOperation operation, Api who, long id) {
    return operation.by(
        who, operation.at(id), BODIES.getOrDefault(operation.name(), operation.plainBody()));
  }

  @Test
  public void strangersAreRefusedAndRolesGetWhatTheTableSays() {
    List<String> wrong = new ArrayList<>();
    Api stranger = new Api("http://127.0.0.1:" + port);
    for (ApiOperation operation : operations()) {
      if (table.get(operation.name()).right() != Right.NONE) {
        int status = ask(operation, stranger, NOWHERE).status();
        if (status != 401 && status != 403) {
          wrong.add("a stranger: " + operation.name() + " " + status);
        }
      }
    }
    colleagues.forEach((login, who) -> wrong.addAll(differences(who, role(login))));
    assertThat(String.join("\n", wrong)).isEmpty();
  }

  /** The house's own roles too: any rights there can be. */
  @Test(dependsOnMethods = "strangersAreRefusedAndRolesGetWhatTheTableSays")
  public void rolesOfAnyRightsGetWhatCoreSays() {
    Random random = new Random(20);
    List<String> wrong = new ArrayList<>();
    for (int i = 0; i < RANDOM_ROLES; i++) {
      Set<Right> rights = EnumSet.noneOf(Right.class);
      Arrays.stream(Right.values())
          .filter(Right::isGiven)
          .filter(r -> random.nextInt(3) == 0)
          .forEach(rights::add);
      Role role = new Role(0, "Hand", rights, Role.Limits.NONE);
      giveTo("reed", role);
      wrong.addAll(differences(colleagues.get("reed"), role));
    }
    giveTo("reed", new Role(0, "Reader", Set.of(), Role.Limits.NONE));
    assertThat(String.join("\n", wrong)).isEmpty();
  }

  private List<String> differences(Api who, Role role) {
    List<String> wrong = new ArrayList<>();
    for (ApiOperation operation : operations()) {
      Right right = table.get(operation.name()).right();
      boolean may = Access.decide(new Asker(0, role), right).isYes();
      int status = ask(operation, who, NOWHERE).status();
      if (may ? List.of(401, 403, 500).contains(status) : status != 403) {
        wrong.add(
            role.name()
                + role.rights()
                + (may ? " may " : " may not ")
                + operation.name()
                + " "
                + status);
      }
    }
    return wrong;
  }

  private Role role(String login) {
    return application.getBean(AccountService.class).findByLogin(login).role();
  }

  private void giveTo(String login, Role role) {
    String rights = role.rights().stream().map(Right::name).collect(Collectors.joining(" "));
    sql.sql(
            """
            update role set rights = string_to_array(?, ' ')
            where id = (select role_id from account where login = ?)
            """)
        .param(rights)
        .param(login)
        .update();
  }

  /** Whatever is private to Tomas: by what it is, the ids. */
  private Map<String, List<Long>> privateThings(String name) {
    long person = addPerson("Bea", "Private", name + "@private.example");
    long draft = draft(List.of(person), "Hello", "<p>Hello</p>");
    long released = draft(List.of(person), "Hello", "<p>Hello</p>");
    makePrivate(draft);
    makePrivate(released);
    assertThat(release(released).status()).isEqualTo(200);
    Arrival.await(() -> messageValue(released, person, "id") != null);
    long message = Long.parseLong(messageValue(released, person, "id"));
    sql.sql("update message set state = 'sent', sent_at = now(), first_try_at = now() where id = ?")
        .param(message)
        .update();
    String token = messageValue(released, person, "token");
    long unplaced = Arrival.unreadReport(application, name, token);
    long mail = Arrival.reply(application, name, token);
    Api.Answer answer = tomas.post("/api/mail/" + mail + "/answer", Map.of("text", "Yes."));
    assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    long waiting = draft(List.of(person), "Hello", "<p>Hello</p>");
    makePrivate(waiting);
    release(waiting);
    Map<String, List<Long>> things = new HashMap<>();
    things.put("document", List.of(privateDocument(name)));
    things.put("letter-run", List.of(lettersOf(draft)));
    things.putAll(
        Map.of(
            "series",
            List.of(privateSeries(name)),
            "unplaced",
            List.of(unplaced),
            "mailing",
            List.of(draft, released, waiting),
            "message",
            List.of(message),
            "mail",
            List.of(mail),
            "answer",
            List.of(answer.json().get("mailingId").asLong()),
            "template",
            List.of(tomas.post("/api/templates", privateTemplate(name)).json().path("id").asLong()),
            "filter",
            List.of(tomas.post("/api/filters", ownFilter(name)).json().get("id").asLong())));
    return things;
  }

  private long privateDocument(String name) {
    byte[] file = TestDocument.file(TestDocument.of(TestDocument.paragraph("")).parts());
    Api.Answer document = tomas.upload("/api/documents?name=" + name + ".docx", file);
    assertThat(document.status()).as(document.text()).isEqualTo(200);
    long id = document.json().get("id").asLong();
    sql.sql("update document set private_to = made_by where id = ?").param(id).update();
    return id;
  }

  private long lettersOf(long mailing) {
    return sql.sql(
            """
            insert into print_run (name, made_by, created_at, parts, picks, left_out, design,
                                   cause_id, state, printed_at)
            select name, sender_id, now(), '[]', '{}', '{}', '{}', id, 'PRINTED', now()
            from cause where id = ?
            returning id
            """)
        .param(mailing)
        .query(Long.class)
        .single();
  }

  private static Map<String, Object> ownFilter(String name) {
    Map<String, Object> filter = new HashMap<>();
    filter.putAll(Map.of("subject", "people", "name", name, "shared", false));
    filter.put("filter", Map.of("match", "ALL", "conditions", List.of(), "groups", List.of()));
    filter.put("layout", null);
    return filter;
  }

  private static Map<String, Object> privateTemplate(String name) {
    Map<String, Object> template = new HashMap<>();
    template.putAll(
        Map.of("name", name, "label", "", "startsFrom", "person", "private", true, "subject", "x"));
    template.putAll(Map.of("body", "<p>x</p>", "topicId", 1, "promotional", false, "version", 0));
    template.put("letterheadId", null);
    return template;
  }

  private long privateSeries(String name) {
    long series =
        tomas.post("/api/series", Map.of("name", name, "topicId", 1)).json().get("id").asLong();
    sql.sql("update series set private = ? where id = ?").params(List.of(hides, series)).update();
    return series;
  }

  private void makePrivate(long mailing) {
    Map<String, Object> change = change(mailing, "Hello", "<p>Hello</p>");
    change.put("private", hides);
    assertThat(tomas.put("/api/mailings/" + mailing, change).status()).isEqualTo(200);
  }

  private String everything() {
    return sql.sql(
            """
            select md5(string_agg(t, '|' order by t)) from (
              select m::text from cause m union all
              select w::text from wording w union all
              select a::text from audience a union all
              select m.id || m.state || m.reason || m.due_at from message m union all
              select r::text from response r union all
              select i.id || coalesce(i.placed_at::text, '') from inbound_mail i union all
              select t::text from template t union all
              select d::text from document d union all
              select p::text from print_run p union all
              select s::text from series s union all
              select s::text from series_step s union all
              select k::text from kept_filter k) all_rows (t)
            """)
        .query(String.class)
        .single();
  }

  @Test
  public void whatIsPrivateToAnotherIsAsIfItWereNot() {
    assertNothingIsThere(privateThings("hidden"), colleagues);
  }

  /** What is not private is so to whoever has every right but the one to see it. */
  @Test(dependsOnMethods = "rolesOfAnyRightsGetWhatCoreSays")
  public void whatOthersWriteIsAsIfItWereNotToWhoSeesOnlyTheirOwn() {
    hides = false;
    Map<String, List<Long>> things = privateThings("open");
    hides = true;
    things.keySet().removeAll(List.of("document", "template", "filter"));
    Set<Right> rights = EnumSet.allOf(Right.class);
    rights.remove(Right.MAILINGS_OF_OTHERS);
    giveTo("reed", new Role(0, "Alone", rights, Role.Limits.NONE));
    assertNothingIsThere(things, Map.of("reed", colleagues.get("reed")));
    giveTo("reed", new Role(0, "Reader", Set.of(), Role.Limits.NONE));
  }

  private void assertNothingIsThere(Map<String, List<Long>> things, Map<String, Api> to) {
    String before = everything();
    List<String> wrong = new ArrayList<>();
    for (ApiOperation operation : operations()) {
      for (long id : things.getOrDefault(table.get(operation.name()).about(), List.of())) {
        to.forEach(
            (login, who) -> {
              Api.Answer hidden = ask(operation, who, id);
              Api.Answer nowhere = ask(operation, who, NOWHERE);
              if (!same(hidden, nowhere)) {
                wrong.add(login + ": " + operation.name() + " of " + id + " " + hidden.text());
              }
            });
        if (!everything().equals(before)) {
          wrong.add("changed by " + operation.name());
          before = everything();
        }
      }
    }
    assertThat(String.join("\n", wrong)).isEmpty();
  }

  /**
   * Nor does the time that an answer takes tell what is there: asked in turn, the middle one of
   * what is hidden and of what is nowhere take as long.
   */
  @Test(dependsOnMethods = "whatOthersWriteIsAsIfItWereNotToWhoSeesOnlyTheirOwn")
  public void noTimeTellsThatSomethingIsThere() {
    Map<String, List<Long>> things = privateThings("timed");
    List<String> told = new ArrayList<>();
    int asked = 0;
    for (ApiOperation operation : operations()) {
      List<Long> ids = things.get(table.get(operation.name()).about());
      if (ids != null && operation.name().startsWith("GET ")) {
        asked++;
        double apart = apart(operation, ids.get(0), ROUNDS);
        // What else the machine does is no longer there when it is asked for longer.
        if (apart > ALIKE && apart(operation, ids.get(0), 5 * ROUNDS) > ALIKE) {
          told.add(operation.name() + ": " + apart);
        }
      }
    }
    assertThat(asked).isGreaterThan(30);
    assertThat(String.join("\n", told)).isEmpty();
  }

  /** How many times as long the slower takes. */
  private double apart(ApiOperation operation, long id, int rounds) {
    Api orla = colleagues.get("orla");
    long[] hidden = new long[rounds];
    long[] nowhere = new long[rounds];
    for (int round = 0; round < rounds; round++) {
      hidden[round] = nanos(operation, orla, id);
      nowhere[round] = nanos(operation, orla, NOWHERE);
    }
    Arrays.sort(hidden);
    Arrays.sort(nowhere);
    double ratio = (double) hidden[rounds / 2] / nowhere[rounds / 2];
    return Math.max(ratio, 1 / ratio);
  }

  private long nanos(ApiOperation operation, Api who, long id) {
    long begun = System.nanoTime();
    ask(operation, who, id);
    return System.nanoTime() - begun;
  }

  private static boolean same(Api.Answer one, Api.Answer other) {
    return one.status() == other.status() && words(one).equals(words(other));
  }

  private static String words(Api.Answer answer) {
    return answer.json().path("detail").asString("");
  }

  /** So that the trial above is one of whose it is, and not of a body that is refused first. */
  @Test
  public void whatIsOnesOwnIsThere() {
    List<String> wrong = new ArrayList<>();
    int round = 0;
    for (ApiOperation operation : operations()) {
      String about = table.get(operation.name()).about();
      if (about.equals("-")) {
        continue;
      }
      Api.Answer nowhere = ask(operation, tomas, NOWHERE);
      List<Api.Answer> own = new ArrayList<>();
      privateThings("own" + round++).get(about).forEach(id -> own.add(ask(operation, tomas, id)));
      if (own.stream().allMatch(answer -> answer.status() == 403 || same(answer, nowhere))) {
        wrong.add(operation.name() + " of one's own " + own.get(0).text());
      }
    }
    assertThat(String.join("\n", wrong)).isEmpty();
  }
}
