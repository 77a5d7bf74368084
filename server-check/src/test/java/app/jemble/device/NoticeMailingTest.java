package app.jemble.device;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jemble.Api;
import app.jemble.AppHouse;
import app.jemble.Eventually;
import app.jemble.ServerTest;
import app.jemble.standins.push.PretendApp;
import app.jemble.standins.push.PretendApps;
import app.jemble.standins.push.PushService;
import java.io.IOException;
import java.security.GeneralSecurityException;
import java.time.Duration;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** A mailing goes to the app of those who have it, by mail to the others, and is opened. */
public class NoticeMailingTest extends ServerTest {

  private static final String PLACE = "Europe/London";

  private final int ownPort = AppHouse.freePort();
  private final List<PushService.Notice> taken = Collections.synchronizedList(new ArrayList<>());
  private PushService service;
  private PretendApps apps;

  @Override
  protected int wantedPort() {
    return ownPort;
  }

  @Override
  protected String publicUrl() {
    return "http://127.0.0.1:" + ownPort;
  }

  @Override
  protected List<String> moreSettings() {
    if (service == null) {
      service = new PushService(0);
      apps = new PretendApps(service, Duration.ofSeconds(5), 7);
      service.tells(taken::add);
    }
    return AppHouse.through(service);
  }

  @Override
  protected int people() {
    return 5;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void begin() {
    api.signIn("orla", "lowen-quay");
    sql.sql("update workspace set zone = ?").param(PLACE).update();
    clock.toMonday(ZoneId.of(PLACE));
  }

  @AfterClass(alwaysRun = true)
  public void closeService() {
    apps.close();
    service.close();
  }

  private long person(String name, String email) {
    long id = addPerson(name, "Notified", email);
    sql.sql("update person set time_zone = ? where id = ?").params(PLACE, id).update();
    return id;
  }

  private JsonNode app(long person) {
    return api.get("/api/people/" + person + "/app").json();
  }

  private String link(long person) {
    return app(person).get("link").asString();
  }

  private PretendApp install(long person, String device) throws IOException {
    return apps.install(link(person), device);
  }

  private static Map<String, Object> notice(String title, String words, String link) {
    return Map.of("title", title, "words", words, "link", link);
  }

  /** A draft that goes to the app, else by mail. */
  private long draftToApp(List<Long> people, Map<String, Object> notice) {
    long id = draft(people, "By mail", "<p>Dear {{first_name}}, by mail</p>");
    Map<String, Object> change = change(id, "By mail", "<p>Dear {{first_name}}, by mail</p>");
    change.put("ways", List.of("APP", "EMAIL"));
    change.put("notice", notice);
    Api.Answer written = api.put("/api/mailings/" + id, change);
    assertThat(written.status()).as(written.text()).isEqualTo(200);
    return id;
  }

  private List<PretendApp.Shown> shownOn(PretendApp app) {
    List<PretendApp.Shown> shown = new ArrayList<>();
    for (PushService.Notice notice : List.copyOf(taken)) {
      if (notice.device().equals(app.device())) {
        try {
          shown.add(app.read(notice.body()));
        } catch (GeneralSecurityException cannot) {
          throw new IllegalStateException("it was sealed for another", cannot);
        }
      }
    }
    return shown;
  }

  private void awaitSent(long mailing, long person) {
    Eventually.holds(() -> assertThat(messageValue(mailing, person, "state")).isEqualTo("sent"));
  }

  private List<?> mailsTo(String address) {
    return office.delivered().stream().filter(mail -> mail.to().equals(address)).toList();
  }

  @Test
  public void whoHasTheAppIsNotifiedOnEachDeviceAndOpens() throws IOException {
    long ann = person("Ann", "ann@apps.example");
    long bea = person("Bea", "bea@apps.example");
    PretendApp phone = install(ann, "Phone");
    PretendApp tablet = install(ann, "Tablet");
    long mailing =
        draftToApp(
            List.of(ann, bea),
            notice("Dear {{first_name}}", "The boats are out.", "https://ternquay.example/boats"));
    JsonNode check = api.get("/api/mailings/" + mailing + "/check").json();
    assertThat(check.get("ways").get(0).get("people").asLong()).isEqualTo(1);
    JsonNode proof = api.get("/api/mailings/" + mailing + "/proofs/" + ann).json();
    assertThat(proof.get("toAddress").asString()).isEqualTo("the app on 2 devices");
    assertThat(proof.get("notice").get("title").asString()).isEqualTo("Dear Ann");
    assertThat(proof.get("notice").get("link").asString())
        .isEqualTo("https://ternquay.example/boats");

    assertThat(release(mailing).status()).isEqualTo(200);
    awaitSettled(mailing);
    assertThat(messageValue(mailing, ann, "channel")).isEqualTo("APP");
    assertThat(messageValue(mailing, ann, "subject")).isEqualTo("Dear Ann");
    assertThat(messageValue(mailing, bea, "channel")).isEqualTo("EMAIL");
    assertThat(shownOn(phone)).hasSize(1);
    assertThat(shownOn(tablet)).isEqualTo(shownOn(phone));
    PretendApp.Shown shown = shownOn(phone).get(0);
    assertThat(shown.title()).isEqualTo("Dear Ann");
    assertThat(shown.text()).isEqualTo("The boats are out.");
    assertThat(shown.link()).startsWith(publicUrl() + "/l/").endsWith("/0");
    assertThat(mailsTo("ann@apps.example")).isEmpty();

    apps.open(phone, shown);
    apps.open(tablet, shown);
    assertThat(messageValue(mailing, ann, "standing")).isEqualTo("OPENED");
    assertThat(
            sql.sql("select count(*) from response where cause_id = ? and kind = 'OPENED'")
                .param(mailing)
                .query(Integer.class)
                .single())
        .as("opened once, on whatever device")
        .isEqualTo(1);
    JsonNode talk = api.get("/api/conversations/" + messageValue(mailing, ann, "id")).json();
    assertThat(talk.get("steps").get(0).get("ours").get("text").asString())
        .isEqualTo("Dear Ann\n\nThe boats are out.");
  }

  @Test
  public void oneReadsAnotherNoticeThatLeadsWhereAllDo() throws IOException {
    long ann = person("Ann", "ann9@apps.example");
    long bea = person("Bea", "bea9@apps.example");
    PretendApp hers = install(ann, "Phone");
    PretendApp others = install(bea, "Phone");
    String link = "https://ternquay.example/nine";
    long mailing = draftToApp(List.of(ann, bea), notice("Boats", "They are in.", link));
    Map<String, Object> own = new HashMap<>();
    own.put("channel", "APP");
    own.put("subject", "{{first_name}}’s boat");
    own.put("body", "Yours is in.");
    own.put("version", 0);
    assertThat(api.put("/api/mailings/" + mailing + "/own-words/" + ann, own).status())
        .isEqualTo(200);
    JsonNode proof = api.get("/api/mailings/" + mailing + "/proofs/" + ann).json();
    assertThat(proof.get("ownWords").asBoolean()).isTrue();
    assertThat(proof.get("notice").get("link").asString()).isEqualTo(link);
    assertThat(release(mailing).status()).isEqualTo(200);
    awaitSettled(mailing);
    assertThat(shownOn(hers).get(0).title()).isEqualTo("Ann’s boat");
    assertThat(shownOn(hers).get(0).text()).isEqualTo("Yours is in.");
    assertThat(shownOn(others).get(0).title()).isEqualTo("Boats");
  }

  /** RFC 8030, section 7.3: the push service no longer knows the device. */
  @Test
  public void whenTheAppIsGoneTheNextWayIsTakenOnce() throws IOException {
    long ann = person("Ann", "gone@apps.example");
    PretendApp phone = install(ann, "Phone");
    apps.drop(phone);
    long mailing = draftToApp(List.of(ann), notice("Hello", "There", ""));
    release(mailing);
    awaitSent(mailing, ann);
    assertThat(messageValue(mailing, ann, "channel")).isEqualTo("EMAIL");
    Eventually.holds(() -> assertThat(mailsTo("gone@apps.example")).hasSize(1));
    assertThat(shownOn(phone)).isEmpty();
    JsonNode device = app(ann).get("devices").get(0);
    assertThat(device.get("goneWhy").asString()).isEqualTo("the app is gone from the device");
    long next = draftToApp(List.of(ann), notice("Hello", "again", ""));
    JsonNode row = api.get("/api/mailings/" + next + "/audience").json().get(0);
    assertThat(row.get("before").get(0).asString()).isEqualTo("App: no address");
    apps.install(link(ann), "Phone");
    assertThat(app(ann).get("devices").get(0).get("goneAt").isNull()).as("back").isTrue();
  }

  @Test
  public void oneDeviceOfTwoMayBeGone() throws IOException {
    long ann = person("Ann", null);
    PretendApp phone = install(ann, "Phone");
    PretendApp tablet = install(ann, "Tablet");
    apps.drop(tablet);
    long mailing = draftToApp(List.of(ann), notice("Hello", "There", ""));
    release(mailing);
    awaitSettled(mailing);
    assertThat(messageValue(mailing, ann, "state")).isEqualTo("sent");
    assertThat(shownOn(phone)).hasSize(1);
  }

  @Test
  public void whoAsksForPatienceIsTriedAgain() throws IOException {
    long ann = person("Ann", null);
    PretendApp phone = install(ann, "Phone");
    service.refuseEvery(1, 3600);
    long mailing = draftToApp(List.of(ann), notice("Hello", "There", ""));
    release(mailing);
    Eventually.holds(() -> assertThat(messageValue(mailing, ann, "state")).isEqualTo("deferred"));
    assertThat(messageValue(mailing, ann, "reason"))
        .isEqualTo("the push service asks for patience");
    assertThat(
            sql.sql("select due_at >= ? from message where cause_id = ?")
                .params(
                    java.sql.Timestamp.from(clock.instant().plus(Duration.ofMinutes(59))), mailing)
                .query(Boolean.class)
                .single())
        .as("as late as it was asked to")
        .isTrue();
    service.refuseEvery(0, 0);
    clock.advance(Duration.ofMinutes(62));
    awaitSent(mailing, ann);
    assertThat(shownOn(phone)).hasSize(1);
  }

  @Test
  public void aDeviceOnTheListIsNotNotified() throws IOException {
    long ann = person("Ann", "listed@apps.example");
    install(ann, "Phone");
    String address = app(ann).get("devices").get(0).get("address").asString();
    Api.Answer listed =
        api.post("/api/do-not-write", Map.of("address", address, "reason", "asked", "note", ""));
    assertThat(listed.status()).as(listed.text()).isEqualTo(204);
    long mailing = draftToApp(List.of(ann), notice("Hello", "There", ""));
    JsonNode row = api.get("/api/mailings/" + mailing + "/audience").json().get(0);
    assertThat(row.get("before").get(0).asString()).isEqualTo("App: on the do-not-write list");
    assertThat(app(ann).get("devices").get(0).get("barred").asBoolean()).isTrue();
    sql.sql("delete from do_not_write where address_key = ?").param(address).update();
    assertThat(app(ann).get("devices").get(0).get("barred").asBoolean()).isFalse();
  }

  @Test
  public void aNewLinkMakesTheOldOneNothing() throws IOException {
    long ann = person("Ann", null);
    String before = link(ann);
    PretendApp phone = apps.install(before, "Phone");
    String after =
        api.post("/api/people/" + ann + "/app/link", Map.of()).json().get("link").asString();
    assertThat(after).isNotEqualTo(before);
    assertThatThrownBy(() -> apps.install(before, "Another"))
        .isInstanceOf(IOException.class)
        .hasMessageContaining("404");
    assertThatThrownBy(() -> apps.install(before.substring(0, before.length() - 3) + "AAA", "x"))
        .hasMessageContaining("404");
    apps.install(after, "Another");
    assertThat(app(ann).get("devices")).hasSize(2);
    long device = app(ann).get("devices").get(0).get("id").asLong();
    assertThat(api.delete("/api/people/" + ann + "/app/" + device).status()).isEqualTo(200);
    assertThat(api.delete("/api/people/" + ann + "/app/" + device).status()).isEqualTo(404);
    long other = person("Bea", null);
    assertThat(api.delete("/api/people/" + other + "/app/" + (device + 1)).status()).isEqualTo(404);
    assertThat(phone.device()).isNotEmpty();
  }

  @Test
  public void theAppTakesItselfOff() throws IOException {
    long ann = person("Ann", null);
    PretendApp phone = install(ann, "Phone");
    assertThat(installed(ann)).isTrue();
    String link = link(ann);
    api.post("/api/people/" + ann + "/app/link", Map.of());
    assertThatThrownBy(() -> apps.remove(phone)).hasMessageContaining("404");
    sql.sql("update person set app_link_number = 0 where id = ?").param(ann).update();
    assertThat(link(ann)).isEqualTo(link);
    apps.remove(phone);
    assertThat(installed(ann)).isFalse();
  }

  private boolean installed(long person) {
    return sql.sql("select app_installed from person where id = ?")
        .param(person)
        .query(Boolean.class)
        .single();
  }

  /** Whoever signs in on a phone that was another's has it from then on. */
  @Test
  public void aDeviceIsOfOnePerson() throws IOException {
    long ann = person("Ann", null);
    long bea = person("Bea", null);
    PretendApp phone = install(ann, "Phone");
    sql.sql("update device set address = address where person_id = ?").param(ann).update();
    String address = app(ann).get("devices").get(0).get("address").asString();
    Map<String, Object> same =
        Map.of("endpoint", address, "keys", Map.of("p256dh", phone.key(), "auth", phone.secret()));
    assertThat(api.put(path(link(bea)) + "/devices", same).status()).isEqualTo(204);
    assertThat(installed(ann)).isFalse();
    assertThat(installed(bea)).isTrue();
  }

  private String path(String link) {
    return link.substring(publicUrl().length());
  }

  @Test
  public void whatIsNoDeviceIsRefused() throws IOException {
    long ann = person("Ann", null);
    String to = path(link(ann)) + "/devices";
    PretendApp good = new PretendApp("good", new byte[] {1});
    Map<String, String> keys = Map.of("p256dh", good.key(), "auth", good.secret());
    for (String elsewhere :
        List.of(
            "http://127.0.0.1:1/push/x",
            "file:///etc/passwd",
            service.origin().replace("127.0.0.1", "127.0.0.1@evil.example"),
            "::",
            "")) {
      assertThat(api.put(to, Map.of("endpoint", elsewhere, "keys", keys)).status())
          .as(elsewhere)
          .isEqualTo(422);
    }
    String here = service.origin() + "/push/x";
    assertThat(api.put(to, Map.of("endpoint", here)).status()).isEqualTo(422);
    assertThat(
            api.put(
                    to,
                    Map.of(
                        "endpoint", here, "keys", Map.of("p256dh", "AAAA", "auth", good.secret())))
                .status())
        .isEqualTo(422);
    assertThat(api.put("/app/made-up/devices", Map.of("endpoint", here, "keys", keys)).status())
        .isEqualTo(404);
    assertThat(api.post("/app/opened", Map.of("message", "made-up")).status()).isEqualTo(404);
    assertThat(api.get("/app/made-up").status()).isEqualTo(404);
    assertThat(api.get(path(link(ann))).text()).contains("A link for the app");
    assertThat(installed(ann)).isFalse();
  }

  @Test
  public void whatMayNotLeaveIsSaid() throws IOException {
    long ann = person("Bartholomew", null);
    install(ann, "Phone");
    assertThat(release(draftToApp(List.of(ann), notice(" ", "x", ""))).text())
        .contains("The notice has no title.");
    assertThat(release(draftToApp(List.of(ann), notice("x", "{{nobody}}", ""))).text())
        .contains("Notice: ");
    assertThat(
            release(
                    draftToApp(
                        List.of(ann), notice("Dear {{first_name}}" + "x".repeat(50), "x", "")))
                .text())
        .contains("longer than 60 characters for 1 person, by 6 at most");
    assertThat(release(draftToApp(List.of(ann), notice("x", "x".repeat(181), ""))).text())
        .contains("longer than 180 characters");
  }

  @Test
  public void theLinkOfOnesOwnStandsInAMailAndIsASampleInItsProof() {
    long ann = person("Ann", "own@apps.example");
    long mailing = draft(List.of(ann), "Our app", "<p>Open {{app_link}}</p>");
    String proof = api.get("/api/mailings/" + mailing + "/proofs/" + ann).text();
    assertThat(proof).contains("/app/sample").doesNotContain(link(ann));
    release(mailing);
    awaitSettled(mailing);
    String kept = api.get("/api/conversations/" + messageValue(mailing, ann, "id")).text();
    assertThat(kept).contains(link(ann));
  }

  @Test
  public void theServiceCanBeTried() {
    api.signIn("wilma", "lowen-quay");
    assertThat(api.post("/api/push-service/try", Map.of()).json().get("failed").isNull()).isTrue();
    JsonNode set = api.get("/api/push-service").json();
    assertThat(set.get("set").asBoolean()).isTrue();
    assertThat(set.get("publicKey").asString()).hasSize(87);
    assertThat(api.get("/api/ways").text()).contains("APP");
    api.signIn("orla", "lowen-quay");
  }
}
