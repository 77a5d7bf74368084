package app.jemble.privacy;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Eventually;
import app.jemble.ServerTest;
import jakarta.activation.DataHandler;
import jakarta.mail.Message;
import jakarta.mail.Session;
import jakarta.mail.Transport;
import jakarta.mail.internet.MimeBodyPart;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimeMultipart;
import jakarta.mail.util.ByteArrayDataSource;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Properties;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Somebody who is erased: a marker stands in every place that can hold a value of theirs, and
 * afterwards a dump of the whole database has none of them, while the numbers of the mailings they
 * had stay as they were.
 */
public class ErasureTest extends ServerTest {

  /** What others have must stay. */
  private static final String STAYS = "zqother";

  private int markers;
  private long bea;
  private long dov;
  private long toBoth;
  private long toHer;
  private long run;
  private String hers;
  private final Path journals = Path.of("target", "erasure-journals-" + UUID.randomUUID());

  @Override
  protected int people() {
    return 30;
  }

  /** Its folder is looked through as well. */
  @Override
  protected List<String> moreSettings() {
    return List.of("--jemble.outbox.journal=" + journals);
  }

  /** A word that stands nowhere else. */
  private String marker() {
    return marker(++markers);
  }

  private static String marker(int number) {
    return String.format(Locale.ROOT, "zqmark%02dx", number);
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void write() throws Exception {
    api = signedIn("wilma");
    String oldAddress = marker() + "@" + marker() + ".example";
    bea = addPerson("Bea " + marker(), marker() + " Quist", oldAddress);
    dov = addPerson("Dov " + STAYS, "Okonjo", STAYS + "@okonjo.example");
    fields();
    mails();
    rows();
    onPaper();
    asOthersWroteIt();
    hers = address();
  }

  private void fields() {
    String own =
        api.post(
                "/api/attributes",
                Map.of("label", "Motto", "type", "TEXT", "choices", List.of(), "required", false))
            .json()
            .get("name")
            .asString();
    for (Map<String, Object> values :
        List.of(
            Map.<String, Object>of(
                "first_name",
                "Beatrix " + marker(),
                "email",
                marker() + "@" + marker() + ".example",
                "phone",
                "+44 7700 900417",
                "address.street",
                marker() + " Row",
                "address.place",
                marker(),
                "address.postcode",
                marker(),
                "tags",
                marker(),
                "organisation.name",
                marker() + " & Sons"),
            Map.<String, Object>of(
                "number",
                marker(),
                "source",
                marker(),
                "honorific",
                marker(),
                own,
                marker(),
                "birthday",
                "1971-03-09"))) {
      long version = api.get("/api/people/" + bea).json().get("version").asLong();
      Api.Answer changed =
          api.put("/api/people/" + bea, Map.of("version", version, "values", values));
      assertThat(changed.status()).as(changed.text()).isEqualTo(200);
    }
    mergeTwin();
  }

  private void mergeTwin() {
    long twin = addPerson("Trixi " + marker(), marker() + " Quist", marker() + "@twin.example");
    Api.Answer merged =
        api.post("/api/people/" + bea + "/merge", Map.of("other", twin, "take", List.of()));
    assertThat(merged.status()).as(merged.text()).isEqualTo(200);
  }

  private String address() {
    return sql.sql("select email from person where id = ?").param(bea).query(String.class).single();
  }

  private void mails() throws Exception {
    toBoth =
        draft(
            List.of(bea, dov),
            "Tea {{first_name}}",
            "<p>Dear {{last_name}}, <a href=\"https://tea.example/all\">all</a></p>");
    assertThat(
            api.put(
                    "/api/mailings/" + toBoth + "/own-words/" + bea,
                    Map.of(
                        "subject",
                        "Tea " + marker(),
                        "body",
                        "<p>" + marker() + " <a href=\"https://tea.example/all\">all</a></p>",
                        "version",
                        0))
                .status())
        .isEqualTo(200);
    assertThat(release(toBoth).status()).isEqualTo(200);
    mailToHerAlone();
    comeBack();
  }

  private void mailToHerAlone() {
    toHer = draft(List.of(bea), "Only " + marker(), "<p>" + marker() + "</p>");
    sql.sql("update cause set name = ? where id = ?")
        .params(List.of("For " + marker(), toHer))
        .update();
    assertThat(
            api.upload(
                    "/api/mailings/" + toHer + "/files?name=" + marker() + ".txt",
                    ("a " + marker() + " file").getBytes(StandardCharsets.UTF_8))
                .status())
        .isEqualTo(200);
    assertThat(release(toHer).status()).isEqualTo(200);
  }

  private void comeBack() throws Exception {
    awaitSettled(toBoth);
    awaitSettled(toHer);
    reply(
        office.delivered().stream()
            .filter(d -> d.to().equals(address()))
            .findFirst()
            .orElseThrow()
            .message()
            .getMessageID());
    reply("<nothing@of.ours>");
    Eventually.holds(
        () ->
            assertThat(
                    sql.sql("select count(*) from inbound_mail where sender like '%zqmark%'")
                        .query(Long.class)
                        .single())
                .isEqualTo(2));
    Eventually.holds(
        () ->
            assertThat(
                    sql.sql("select count(*) from message where replied and address like 'zqmark%'")
                        .query(Long.class)
                        .single())
                .isEqualTo(1));
    for (String link : List.of("https://tea.example/all", "https://tea.example/" + marker())) {
      sql.sql(
              "insert into response (message_id, cause_id, person_id, kind, at, detail) select id, cause_id, person_id, 'CLICKED', now(), ? from message where cause_id = ? and person_id = ?")
          .params(List.of(link, toBoth, bea))
          .update();
    }
    draft(List.of(bea), "Not yet " + marker(), "<p>" + marker() + "</p>");
  }

  private void reply(String inReplyTo) throws Exception {
    Properties properties = new Properties();
    properties.put("mail.smtp.host", "127.0.0.1");
    properties.put("mail.smtp.port", Integer.toString(office.smtpPort()));
    MimeMessage reply = new MimeMessage(Session.getInstance(properties));
    reply.setFrom(marker() + " <" + address() + ">");
    reply.setRecipients(Message.RecipientType.TO, "wilma@ternquay.example");
    reply.setSubject("Re: " + marker());
    reply.setHeader("In-Reply-To", inReplyTo);
    MimeBodyPart words = new MimeBodyPart();
    words.setText("I come, " + marker());
    MimeBodyPart file = new MimeBodyPart();
    file.setDataHandler(
        new DataHandler(
            new ByteArrayDataSource(
                ("a photograph of " + marker()).getBytes(StandardCharsets.UTF_8),
                "application/octet-stream")));
    file.setFileName("photo.bin");
    reply.setContent(new MimeMultipart(words, file));
    reply.saveChanges();
    Transport.send(reply);
  }

  private void rows() {
    put(
        "insert into task (person_id, kind, title, owner_id, created_at, created_by) values (?, 'call', 'Ask about %s', 1, now(), 1)");
    put(
        "insert into quote (person_id, number, title, total, currency, stage, sent_on, owner_id) values (?, 'Q-erased', '%s', 10, 'GBP', 'open', '2026-01-01', 1)");
    put("insert into office (person_id, name) values (?, '%s')");
    put(
        "insert into way_closed (person_id, channel, closed_at, how) values (?, 'TEXT', now(), '%s')");
    put(
        "insert into device (person_id, address, key, secret, name, registered_at, heard_at) values (?, 'https://push.example/%s', decode(repeat('04', 65), 'hex'), decode(repeat('07', 16), 'hex'), 'Phone', now(), now())");
    put(
        "with g as (insert into sign_up_page (key, name, words, languages, created_at, created_by) values ('erased', 'Erased', '{}', '{en}', now(), 1) returning id) insert into sign_up (page_id, token, address, said, topics, language, consent, consent_version, asked_at, asked_from, confirmed_at, person_id) select id, 'erased', 'm@erased.example', '{\"motto\": \"%s\"}', '{}', 'en', 'Yes', 1, now(), '::1', now(), ? from g");
    put(
        "with r as (insert into import_run (file_name, form, encoding, delimiter, headers, row_count, created_at, by_id, state, choices, touched_at) values ('erased.csv', 'csv', 'UTF-8', ',', '{Name}', 1, now(), 1, 'done', '{}', now()) returning id) insert into import_row (run_id, row_no, cells, person_id) select id, 1, '{%s}', ? from r");
    put(
        "with p as (insert into picture (key, name, type, width, height, octets, created_at, created_by) values (repeat('E', 24), '%s', 'image/png', 1, 1, '\\x00', now(), 1) returning key) update person set picture_key = p.key from p where person.id = ?");
    sql.sql(
            "insert into import_row (run_id, row_no, cells) select max(run_id), 2, array['Somebody', ?, ?] from import_row")
        .params(List.of(address().toUpperCase(Locale.ROOT), marker()))
        .update();
  }

  private void put(String statement) {
    assertThat(sql.sql(statement.replace("%s", marker())).param(bea).update())
        .as(statement)
        .isEqualTo(1);
  }

  private void onPaper() {
    run = beginLabels(List.of(bea, dov));
    api.put("/api/print-runs/" + run + "/labels/" + bea, Map.of("words", marker() + "\nThe Quay"));
    assertThat(api.post("/api/print-runs/" + run + "/print", Map.of()).status()).isEqualTo(200);
    Eventually.holds(
        () ->
            assertThat(api.get("/api/print-runs/" + run).json().get("state").asString())
                .isEqualTo("PRINTED"));
  }

  /** By name or by address, in places of others. */
  private void asOthersWroteIt() {
    Map<String, Object> question =
        Map.of(
            "match",
            "ALL",
            "conditions",
            List.of(Map.of("field", "email", "operator", "IS", "values", List.of(address()))),
            "groups",
            List.of());
    assertThat(
            api.post(
                    "/api/filters",
                    Map.of(
                        "subject",
                        "people",
                        "name",
                        "Only " + address(),
                        "filter",
                        question,
                        "shared",
                        true))
                .status())
        .isEqualTo(200);
    long partly = draft(List.of(bea, dov), STAYS, "<p>Hello</p>");
    sql.sql(
            "update audience set parts = ?::jsonb, left_out = array[?::bigint] where mailing_id = ?")
        .params(List.of("[{\"name\": \"Those of " + address() + "\"}]", bea, partly))
        .update();
    assertThat(api.octets("/api/people/" + bea + "/held.zip").statusCode()).isEqualTo(200);
    assertThat(
            api.post("/api/do-not-write", Map.of("address", address(), "note", marker())).status())
        .isEqualTo(204);
    sql.sql(
            "insert into idempotent_request (account_id, key, request, begun_at, status, type, body) values (1, 'kkkkkkkkkkkkkkkk', 'r', now(), 200, 'application/json', convert_to(?, 'UTF8'))")
        .param("{\"to\": \"" + address() + "\"}")
        .update();
  }

  private List<String> standing(Dump dump) {
    return IntStream.rangeClosed(1, markers)
        .mapToObj(ErasureTest::marker)
        .filter(dump::has)
        .toList();
  }

  private List<String> numbers() {
    List<String> numbers = new ArrayList<>();
    for (long mailing : List.of(toBoth, toHer)) {
      ObjectNode results = (ObjectNode) api.get("/api/responses/" + mailing).json();
      results.remove("name");
      numbers.add(results.toString());
      numbers.add(api.get("/api/responses/" + mailing + "/course").text());
    }
    numbers.add(
        sql.sql(
                "select string_agg(state || standing || replied || clicked, ' ' order by id) from message")
            .query(String.class)
            .single());
    return numbers;
  }

  @Test
  public void nothingOfThemIsLeftAndTheNumbersStay() throws Exception {
    assertThat(standing(Dump.of(database()))).as("the trial sees each of them").hasSize(markers);
    JsonNode look = api.get("/api/people/" + bea + "/erasure").json();
    assertThat(look.get("figures").toString())
        .contains("Quotes", "Copies of messages that went", "Mails and texts that came");
    assertThat(look.get("keepsAddresses").asBoolean()).isTrue();
    List<String> numbers = numbers();

    Api.Answer erased =
        api.post(
            "/api/people/" + bea + "/erasure",
            Map.of("askedOn", "2026-01-02", "neverAgain", false));
    assertThat(erased.status()).as(erased.text()).isEqualTo(200);
    assertThat(erased.json().get("marked").asInt()).isEqualTo(3);

    Dump dump = Dump.of(database());
    assertThat(standing(dump)).isEmpty();
    assertThat(inFiles()).doesNotContain("zqmark").isNotEmpty();
    assertThat(dump.has("1971-03-09")).isFalse();
    assertThat(dump.has("900417")).isFalse();
    assertThat(dump.has(STAYS)).isTrue();
    assertThat(numbers()).isEqualTo(numbers);
    assertThat(api.get("/api/responses/" + toBoth + "/links").text())
        .contains("https://tea.example/all", "(erased)");
    certificate(erased.json().get("number").asLong());
  }

  private String inFiles() throws IOException {
    StringBuilder all = new StringBuilder();
    try (Stream<Path> files = Files.walk(journals)) {
      for (Path file : files.filter(Files::isRegularFile).toList()) {
        all.append(Files.readString(file));
      }
    }
    return all.toString();
  }

  /** Read by PDFBox. */
  private void certificate(long number) throws Exception {
    byte[] file = api.octets("/api/erasures/" + number + "/certificate.pdf").body();
    try (PDDocument pdf = Loader.loadPDF(file)) {
      assertThat(new PDFTextStripper().getText(pdf))
          .contains(
              "Certificate of erasure no. " + number,
              "2026-01-02",
              "Quotes",
              "addresses marks are");
    }
    assertThat(api.get("/api/erasures").json().get(0).get("number").asLong()).isEqualTo(number);
    assertThat(api.get("/api/erasures/99/certificate.pdf").status()).isEqualTo(404);
    assertThat(api.get("/api/history?kind=PRIVACY").text())
        .contains("Erased a person", "certificate no. " + number);
  }

  @Test(dependsOnMethods = "nothingOfThemIsLeftAndTheNumbersStay")
  public void theyAreOnNoScreenAndTheOtherIs() {
    assertThat(api.get("/api/people/" + bea).status()).isEqualTo(404);
    assertThat(api.get("/api/people/" + bea + "/erasure").status()).isEqualTo(404);
    assertThat(api.octets("/api/people/" + bea + "/held.zip").statusCode()).isEqualTo(404);
    assertThat(api.post("/api/people/" + bea + "/erasure", Map.of("neverAgain", true)).status())
        .isEqualTo(404);
    assertThat(api.get("/api/people/" + dov).json().toString()).contains(STAYS);
    Map<String, Object> all = Map.of("match", "ALL", "conditions", List.of(), "groups", List.of());
    Map<String, Object> put = Map.of("filter", all, "picks", List.of(bea), "archived", true);
    assertThat(api.post("/api/people/bulk", Map.of("who", put, "kind", "RESTORE")).text())
        .contains("Nobody is picked any more");
    Api.Answer file = api.get("/api/print-runs/" + run + "/file");
    assertThat(file.status()).isEqualTo(409);
    assertThat(file.text()).contains("not kept any more");
  }

  /** The other's copy lies in one piece with hers. */
  @Test(dependsOnMethods = "nothingOfThemIsLeftAndTheNumbersStay")
  public void copiesOfOthersAreWhole() throws Exception {
    String copy =
        sql.sql(
                "select convert_from(mime, 'UTF8') from offered.message_copy c join message m on m.id = c.message_id where m.cause_id = ? and m.person_id = ?")
            .params(List.of(toBoth, dov))
            .query(String.class)
            .single();
    assertThat(copy).contains("Subject:", "Okonjo").doesNotContain("Quist");
    assertThat(copy.strip()).endsWith("--");
  }

  /** Whoever brings the address back in does not bring the person back into mailings. */
  @Test(dependsOnMethods = "theyAreOnNoScreenAndTheOtherIs")
  public void theAddressIsKnownWhenItComesBack() {
    long again = addPerson("Somebody", "New", null);
    long version = api.get("/api/people/" + again).json().get("version").asLong();
    assertThat(
            api.put(
                    "/api/people/" + again,
                    Map.of("version", version, "values", Map.of("email", hers)))
                .status())
        .isEqualTo(200);
    assertThat(
            sql.sql("select reach from person where id = ?")
                .param(again)
                .query(String.class)
                .single())
        .isEqualTo("DO_NOT_WRITE");
    assertThat(api.get("/api/do-not-write?find=" + hers).text()).contains("by hand");
  }
}
