package app.jemble.signup;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Eventually;
import app.jemble.Mails;
import jakarta.mail.internet.MimeMessage;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jsoup.nodes.Document;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Somebody asks to be written to, confirms it, and is on record; a scanner confirms nobody. */
public class SignUpTest extends SignUpTrial {

  private long topic(String name) {
    return sql.sql("insert into topic (name) values (?) returning id")
        .param(name)
        .query(Long.class)
        .single();
  }

  private long orla() {
    return sql.sql("select id from account where login = 'orla'").query(Long.class).single();
  }

  @Test
  public void whoConfirmsIsOnRecordWithAllThatThePageSays() {
    long wanted = topic("Regattas");
    long other = topic("Repairs");
    Map<String, Object> body = body("all");
    body.put("topics", List.of(wanted, other));
    body.put("source", "the quay board");
    body.put("tag", "newcomer");
    body.put("owner", orla());
    make(body);
    String address = "Bea.New@sign.example";
    Map<String, String> form =
        filled("all", "email", address, "first_name", "Bea", "birthday", "1990-11-27");
    form.put("topic", String.valueOf(wanted));
    HttpResponse<String> asked = post("/join/all", form, "X-Forwarded-For", newOrigin());
    assertThat(asked.uri().getPath()).isEqualTo("/join/all/asked");
    assertThat(read(asked).select("h1").text()).isEqualTo("Look in your mail");
    confirm(address);
    assertThat(
            valueOf(
                address,
                "concat_ws(',', kind, first_name, birthday, source, tags, language,"
                    + " (select login from account where id = owner_id))"))
        .isEqualTo("lead,Bea,1990-11-27,the quay board,{newcomer},en,orla");
    assertThat(topicsLeft(address)).contains(other).doesNotContain(wanted);
  }

  @Test
  public void aScannerConfirmsNobodyAndAButtonOnce() {
    make(body("scanned"));
    ask("scanned", "email", "bo@sign.example", "first_name", "Bo");
    MimeMessage mail = onlyMail("bo@sign.example");
    assertThat(Mails.subject(mail)).startsWith("Please confirm: ");
    assertThat(Mails.header(mail, "List-Unsubscribe")).isEmpty();
    for (int i = 0; i < 3; i++) {
      Document look = read(get(link(mail), "User-Agent", "PostScan/3.1 link scanner"));
      assertThat(look.select("form[method=post] button")).hasSize(1);
    }
    assertThat(personWith("bo@sign.example")).as("a fetch confirms nobody").isNull();
    assertThat(read(post(link(mail), Map.of())).select("h1").text()).isEqualTo("Thank you");
    assertThat(personWith("bo@sign.example")).isNotNull();
    assertThat(read(post(link(mail), Map.of())).select("h1").text())
        .isEqualTo("You are signed up already");
  }

  @Test
  public void evidenceIsKeptNumbersAreCountedAndTheColleagueIsTold() {
    Map<String, Object> body = body("told");
    body.put("tell", orla());
    long page = make(body);
    ask("told", "email", "di@sign.example", "first_name", "Di");
    confirm("di@sign.example");
    JsonNode people = api.get("/api/sign-up-pages/" + page + "/people").json();
    assertThat(people).hasSize(1);
    assertThat(people.get(0).get("consent").asString()).isEqualTo("Yes, write to me.");
    assertThat(people.get(0).get("confirmedFrom").asString()).isEqualTo("127.0.0.1");
    assertThat(people.get(0).get("askedFrom").asString()).startsWith("10.");
    assertThat(api.get("/api/sign-up-pages/of-person/" + personWith("di@sign.example")).json())
        .hasSize(1);
    JsonNode numbers = api.get("/api/sign-up-pages/" + page).json().get("numbers");
    assertThat(numbers.get("saw").asLong()).isEqualTo(1);
    assertThat(numbers.get("asked").asLong()).isEqualTo(1);
    assertThat(numbers.get("confirmed").asLong()).isEqualTo(1);
    Eventually.holds(
        () ->
            assertThat(office.mailbox("orla"))
                .anySatisfy(told -> assertThat(Mails.subject(told)).startsWith("Di signed up at")));
  }

  @Test
  public void whoConfirmsComesIntoTheSeriesOfThePage() {
    long topic = topic("Course");
    JsonNode series = api.post("/api/series", Map.of("name", "Nine days", "topicId", topic)).json();
    Map<String, Object> body = body("series");
    body.put("series", series.get("id").asLong());
    make(body);
    ask("series", "email", "cy@sign.example", "first_name", "Cy");
    confirm("cy@sign.example");
    assertThat(
            sql.sql("select came_by from series_entry where person_id = ?")
                .param(personWith("cy@sign.example"))
                .query(String.class)
                .single())
        .isEqualTo("signed up at Page series");
    assertThat(topicsLeft("cy@sign.example"))
        .as("the series reaches them, whatever else they hear nothing of")
        .doesNotContain(topic)
        .isNotEmpty();
  }

  @Test
  public void theReaderTicksTheWaysThatReachThem() {
    Map<String, Object> body = body("ways");
    body.put("ways", List.of("TEXT", "APP"));
    assertThat(api.post("/api/sign-up-pages", body).json().toString())
        .contains("asked for their phone");
    body.put(
        "asks",
        List.of(
            Map.of("field", "first_name", "required", true),
            Map.of("field", "phone", "required", false)));
    make(body);
    assertThat(read(get("/join/ways?lang=de")).select("label:has(input[name=way])").eachText())
        .containsExactly("per SMS", "in der App");
    long known = addPerson("Kay", "Known", "kay@ways.example");
    sql.sql(
            """
            insert into way_closed (person_id, channel, closed_at, how)
            values (?, 'TEXT', now(), 'said so')
            """)
        .param(known)
        .update();
    for (String address : List.of("kay@ways.example", "nell@ways.example")) {
      Map<String, String> form = filled("ways", "email", address, "first_name", "Any");
      form.put("phone", "+447700900123");
      form.put("way", "TEXT");
      post("/join/ways", form, "X-Forwarded-For", newOrigin());
      confirm(address);
    }
    assertThat(waysClosed("nell@ways.example"))
        .as("who is new is not reached where they did not tick")
        .containsExactly("APP not ticked at “Page ways”");
    assertThat(waysClosed("kay@ways.example"))
        .as("ticked again; what is not ticked is no wish of those who were there before")
        .isEmpty();
  }

  private List<String> waysClosed(String address) {
    return sql.sql("select channel || ' ' || how from way_closed where person_id = ?")
        .param(personWith(address))
        .query(String.class)
        .list();
  }

  private List<Long> topicsLeft(String address) {
    return sql.sql("select topic_id from topic_left where person_id = ? and channel = 'EMAIL'")
        .param(personWith(address))
        .query(Long.class)
        .list();
  }

  @Test
  public void onAPageWithoutTopicsOneHearsOfWhateverTheHouseWrites() {
    make(body("plain"));
    long known = addPerson("Al", "Ready", "al@plain.example");
    sql.sql("update person set asked_not = true where id = ?").param(known).update();
    for (String address : List.of("al@plain.example", "ny@plain.example")) {
      ask("plain", "email", address, "first_name", "Al");
      confirm(address);
      assertThat(topicsLeft(address)).isEmpty();
      assertThat(valueOf(address, "reach")).isEqualTo("READY");
    }
  }

  @Test
  public void whatWhoIsOnRecordSaysFillsWhatIsEmptyAndWhatDiffersWaits() {
    long page = make(body("known"));
    long known = addPerson("Bea", "Okonyo", "bea@known.example");
    sql.sql("update person set asked_not = true where id = ?").param(known).update();
    HttpResponse<String> mine =
        ask(
            "known",
            "email",
            "BEA@known.example",
            "first_name",
            "bea",
            "last_name",
            "Okonjo",
            "birthday",
            "1990-11-27");
    HttpResponse<String> others = ask("known", "email", "new@known.example", "first_name", "N");
    assertThat(mine.body()).as("the same page").isEqualTo(others.body());
    assertThat(withoutToken(onlyMail("bea@known.example")))
        .as("the same mail")
        .isEqualTo(withoutToken(onlyMail("new@known.example")));

    confirm("bea@known.example");
    assertThat(valueOf("bea@known.example", "concat_ws(',', id, first_name, last_name, birthday)"))
        .isEqualTo(known + ",Bea,Okonyo,1990-11-27");
    JsonNode waits = api.get("/api/sign-up-pages/" + page + "/people").json().get(0);
    assertThat(waits.get("differs")).hasSize(1);
    assertThat(waits.get("differs").get(0).get("said").asString()).isEqualTo("Okonjo");
    assertThat(waits.get("differs").get(0).get("kept").asString()).isEqualTo("Okonyo");
    assertThat(api.get("/api/sign-up-pages/" + page).json().get("numbers").get("looks").asLong())
        .isEqualTo(1);

    String settle = "/api/sign-up-pages/people/" + waits.get("id").asLong() + "/settle";
    assertThat(api.post(settle, Map.of("take", List.of("email"))).status()).isEqualTo(422);
    JsonNode settled = api.post(settle, Map.of("take", List.of("last_name"))).json();
    assertThat(valueOf("bea@known.example", "last_name")).isEqualTo("Okonjo");
    assertThat(api.post(settle, Map.of("take", List.of())).status()).isEqualTo(409);
    api.post("/api/changes/" + settled.get("batch").asLong() + "/undo", Map.of());
    assertThat(valueOf("bea@known.example", "last_name")).isEqualTo("Okonyo");
  }

  private static String withoutToken(MimeMessage mail) {
    return Mails.part(mail, "text/plain").replaceAll("/join/confirm/\\S+", "LINK");
  }

  @Test
  public void aLinkIsGoodForSevenDays() {
    make(body("late"));
    ask("late", "email", "late@sign.example", "first_name", "Lou");
    String link = link(onlyMail("late@sign.example"));
    clock.advance(Duration.ofDays(7));
    assertThat(read(post(link, Map.of())).select("h1").text()).isEqualTo("This link is too old");
    assertThat(personWith("late@sign.example")).isNull();
    clock.advance(Duration.ofDays(2));
    application.getBean(SignUps.class).forgetUnconfirmed();
    assertThat(get(link).statusCode()).as("nothing of it is kept").isEqualTo(404);
  }

  @Test
  public void anAddressGetsOneConfirmationAnHour() {
    make(body("hour"));
    make(body("hour-too"));
    ask("hour", "email", "often@sign.example", "first_name", "O");
    onlyMail("often@sign.example");
    ask("hour", "email", "often@sign.example", "first_name", "O");
    ask("hour-too", "email", "OFTEN@sign.example", "first_name", "O");
    Eventually.holds(
        () ->
            assertThat(
                    sql.sql("select count(*) from sign_up where mail = 'not_due'")
                        .query(Long.class)
                        .single())
                .isEqualTo(2));
    assertThat(mails("often@sign.example")).hasSize(1);
    clock.advance(Duration.ofHours(1));
    ask("hour", "email", "often@sign.example", "first_name", "O");
    Eventually.holds(() -> assertThat(mails("often@sign.example")).hasSize(2));
  }

  @Test
  public void aFormFromAnotherSiteIsLookedOverFirst() {
    long page = make(body("snippet"));
    String snippet = api.get("/api/sign-up-pages/" + page).json().get("snippet").asString();
    assertThat(snippet).contains("action=\"http://127.0.0.1:1/join/snippet?lang=en\"");
    assertThat(snippet).doesNotContain("<script").doesNotContain("seal");
    HttpResponse<String> look =
        post("/join/snippet", Map.of("email", "far@sign.example", "first_name", "F\"<b>"));
    assertThat(read(look).select("h1 + .note strong").text()).isEqualTo("Please look it over");
    assertThat(read(look).select("input[name=first_name]").attr("value")).isEqualTo("F\"<b>");
    assertThat(
            sql.sql("select count(*) from sign_up where address = 'far@sign.example'")
                .query(Long.class)
                .single())
        .isZero();
    Map<String, String> again = new HashMap<>();
    read(look).select("form input").forEach(i -> again.put(i.attr("name"), i.attr("value")));
    clock.advance(Duration.ofSeconds(3));
    assertThat(post("/join/snippet", again).uri().getPath()).isEqualTo("/join/snippet/asked");
    onlyMail("far@sign.example");
  }

  @Test
  public void whatIsMissingIsSaidAtItsFieldAndWhatWasTypedStays() {
    make(body("faults"));
    HttpResponse<String> answer =
        ask("faults", "email", "no address", "first_name", "", "last_name", "Okonjo");
    assertThat(answer.statusCode()).isEqualTo(422);
    Document page = read(answer);
    assertThat(texts(page, ".fault"))
        .containsExactly(
            "This is no e-mail address. It looks like bea@quay.example.", "Please fill this in.");
    assertThat(page.select("input[name=last_name]").attr("value")).isEqualTo("Okonjo");
    assertThat(page.select("input[name=email]").attr("value")).isEqualTo("no address");
    assertThat(page.select("input[aria-invalid][aria-describedby]")).hasSize(2);
  }

  @Test
  public void softwareIsToldWhatPeopleAreToldAndNothingIsKept() {
    make(body("bots"));
    HttpResponse<String> answer =
        ask("bots", "email", "bot@sign.example", "first_name", "B", "website", "http://spam");
    assertThat(answer.uri().getPath()).isEqualTo("/join/bots/asked");
    Map<String, String> quick = new HashMap<>(Map.of("email", "bot@sign.example"));
    quick.put("first_name", "B");
    quick.put("seal", read(get("/join/bots")).select("input[name=seal]").attr("value"));
    assertThat(read(post("/join/bots", quick)).select("h1 + .note")).as("at once").hasSize(1);
    assertThat(
            sql.sql("select count(*) from sign_up where address = 'bot@sign.example'")
                .query(Long.class)
                .single())
        .isZero();
  }

  @Test
  public void theCursorInTheFormIsCounted() {
    long page = make(body("began"));
    Document shown = read(get("/join/began"));
    String style = shown.select("main style").html();
    String path = style.replaceAll("(?s).*url\\(\"([^\"]+)\"\\).*", "$1");
    assertThat(get(path).statusCode()).isEqualTo(204);
    JsonNode numbers = api.get("/api/sign-up-pages/" + page).json().get("numbers");
    assertThat(numbers.get("began").asLong()).isEqualTo(1);
  }

  @DataProvider
  public Object[][] languages() {
    return new Object[][] {
      {"en", "First name", "Sign up", "Please confirm: "},
      {"de", "Vorname", "Anmelden", "Bitte bestätigen: "},
      {"fr", "Prénom", "M’inscrire", "Merci de confirmer : "},
      {"no", "Fornavn", "Meld meg på", "Vennligst bekreft: "},
      {"es", "Nombre", "Apuntarme", "Confirme, por favor: "},
    };
  }

  @Test(dataProvider = "languages")
  public void readersReadTheirOwnLanguage(
      String tag, String firstName, String button, String subject) {
    String key = "tongue-" + tag;
    Map<String, Object> body = body(key);
    body.put(
        "words",
        List.of(
            words("EN", "News of the harbour", "Yes, write to me."),
            words("FR", "Nouvelles du port", "Oui, écrivez-moi.")));
    make(body);
    Document page = read(get("/join/" + key, "Accept-Language", tag + ";q=0.9, zh;q=1"));
    assertThat(page.select("html").attr("lang")).isEqualTo(tag);
    assertThat(page.select("label[for=q1]").text()).startsWith(firstName);
    assertThat(page.select("main button").text()).isEqualTo(button);
    assertThat(page.select("h1").text())
        .isEqualTo(tag.equals("fr") ? "Nouvelles du port" : "News of the harbour");
    Map<String, String> form = filled(key, "email", tag + "@tongue.example", "first_name", "T");
    post("/join/" + key + "?lang=" + tag, form, "X-Forwarded-For", newOrigin());
    assertThat(Mails.subject(onlyMail(tag + "@tongue.example"))).startsWith(subject);
  }

  @Test
  public void theWordsOfConsentAreKeptAsTheyWereShown() {
    Map<String, Object> body = body("consent");
    long page = make(body);
    ask("consent", "email", "first@consent.example", "first_name", "F");
    body.put("words", List.of(words("EN", "News of the harbour", "Yes, and send me offers.")));
    assertThat(api.put("/api/sign-up-pages/" + page, body).status()).isEqualTo(200);
    assertThat(api.put("/api/sign-up-pages/" + page, body).status())
        .as("somebody else saved meanwhile")
        .isEqualTo(409);
    ask("consent", "email", "second@consent.example", "first_name", "S");
    assertThat(
            sql.sql(
                    "select consent_version || ' ' || consent from sign_up where page_id = ? order by id")
                .param(page)
                .query(String.class)
                .list())
        .containsExactly("1 Yes, write to me.", "2 Yes, and send me offers.");
  }

  @Test
  public void aClosedPageTakesNobody() {
    Map<String, Object> body = body("closed");
    body.put("open", false);
    make(body);
    assertThat(get("/join/closed").statusCode()).isEqualTo(410);
    assertThat(post("/join/closed", Map.of("email", "x@sign.example")).statusCode()).isEqualTo(410);
    assertThat(get("/join/nowhere").statusCode()).isEqualTo(404);
    assertThat(get("/join/confirm/AAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAA").statusCode()).isEqualTo(404);
  }
}
