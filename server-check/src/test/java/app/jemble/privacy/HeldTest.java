package app.jemble.privacy;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Eventually;
import app.jemble.ServerTest;
import ezvcard.Ezvcard;
import ezvcard.VCard;
import jakarta.mail.Message;
import jakarta.mail.Session;
import jakarta.mail.Transport;
import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Properties;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/**
 * All that is held of a person comes out as one file: each word that was put down about them, in
 * whichever place, is in it; what is private to another colleague is not.
 */
public class HeldTest extends ServerTest {

  private long bea;
  private Map<String, byte[]> file;

  @Override
  protected int people() {
    return 60;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void write() {
    api = signedIn("orla");
    bea = addPerson("Bea Marker01", "Okonjo, née Ærø 李", "bea.marker02@okonjo.example");
    Map<String, Object> values =
        Map.of(
            "phone",
            "+44 7700 900321",
            "address.street",
            "3 Marker03 Row",
            "tags",
            "marker04",
            "organisation.name",
            "Marker19 & Sons");
    long version = api.get("/api/people/" + bea).json().get("version").asLong();
    Api.Answer changed =
        api.put("/api/people/" + bea, Map.of("version", version, "values", values));
    assertThat(changed.status()).as(changed.text()).isEqualTo(200);
    put(
        "insert into task (person_id, kind, title, owner_id, created_at, created_by) values (?, 'call', 'Ask about marker05', 1, now(), 1)");
    put(
        "insert into quote (person_id, number, title, total, currency, stage, sent_on, owner_id) values (?, 'Q-held', 'Marker06', 10, 'GBP', 'open', '2026-01-01', 1)");
    put("insert into office (person_id, name) values (?, 'Marker07')");
    put(
        "insert into way_closed (person_id, channel, closed_at, how) values (?, 'TEXT', now(), 'marker08')");
    put(
        "insert into device (person_id, address, key, secret, name, registered_at, heard_at) values (?, 'https://push.example/marker09', decode(repeat('04', 65), 'hex'), decode(repeat('07', 16), 'hex'), 'Marker10', now(), now())");
    put(
        "with g as (insert into sign_up_page (key, name, words, languages, created_at, created_by) values ('held', 'Held', '{}', '{en}', now(), 1) returning id) insert into sign_up (page_id, token, address, said, topics, language, consent, consent_version, asked_at, asked_from, confirmed_at, person_id) select id, 'held-secret', 'm@held.example', '{\"motto\": \"marker11\"}', '{}', 'en', 'Yes', 1, now(), '::1', now(), ? from g");
    put(
        "with r as (insert into print_run (name, made_by, created_at, parts, picks, left_out, design) values ('Held', 1, now(), '[]', '{}', '{}', '{}') returning id) insert into print_item (run_id, place, person_id, words, address) select id, 0, ?, 'marker12', '' from r");
    put(
        "with r as (insert into import_run (file_name, form, encoding, delimiter, headers, row_count, created_at, by_id, state, choices, touched_at) values ('held.csv', 'csv', 'UTF-8', ',', '{Name}', 1, now(), 1, 'done', '{}', now()) returning id) insert into import_row (run_id, row_no, cells, person_id) select id, 1, '{marker13}', ? from r");
  }

  private void put(String statement) {
    assertThat(sql.sql(statement).param(bea).update()).as(statement).isEqualTo(1);
  }

  private static Map<String, byte[]> unpacked(byte[] zip) throws IOException {
    Map<String, byte[]> files = new TreeMap<>();
    try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
      for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
        files.put(entry.getName(), in.readAllBytes());
      }
    }
    return files;
  }

  private Map<String, byte[]> fileOf(Api colleague) throws IOException {
    HttpResponse<byte[]> answer = colleague.octets("/api/people/" + bea + "/held.zip");
    assertThat(answer.statusCode()).isEqualTo(200);
    return unpacked(answer.body());
  }

  private static String text(byte[] octets) {
    return new String(octets, StandardCharsets.UTF_8);
  }

  @Test
  public void messagesGoAndCome() throws Exception {
    long mailing = draft(List.of(bea), "Tea marker14", "<p>Dear {{first_name}}, marker15</p>");
    assertThat(release(mailing).status()).isEqualTo(200);
    awaitSettled(mailing);
    Properties properties = new Properties();
    properties.put("mail.smtp.host", "127.0.0.1");
    properties.put("mail.smtp.port", Integer.toString(office.smtpPort()));
    MimeMessage reply = new MimeMessage(Session.getInstance(properties));
    reply.setFrom("bea.marker02@okonjo.example");
    reply.setRecipients(Message.RecipientType.TO, "orla@ternquay.example");
    reply.setSubject("Re: Tea marker14");
    reply.setHeader(
        "In-Reply-To",
        office.delivered().stream()
            .filter(d -> d.to().startsWith("bea.marker02"))
            .findFirst()
            .orElseThrow()
            .message()
            .getMessageID());
    reply.setText("I come, marker16.");
    Transport.send(reply);
    Eventually.holds(() -> assertThat(messageValue(mailing, bea, "replied")).isIn("t", "true"));
    file = fileOf(api);
  }

  @Test(dependsOnMethods = "messagesGoAndCome")
  public void everyWordIsInTheRecord() {
    String record = text(file.get("record.json"));
    for (int i = 1; i <= 14; i++) {
      String marker = String.format(Locale.ROOT, "marker%02d", i);
      assertThat(record.toLowerCase(Locale.ROOT)).as(marker).contains(marker);
    }
    assertThat(record).doesNotContain("held-secret", "\"secret\"", "\"token\"").contains("李");
  }

  @Test(dependsOnMethods = "messagesGoAndCome")
  public void messagesAreAsTheyWere() {
    assertThat(file.keySet().stream().filter(n -> n.matches("sent/\\d+\\.eml"))).hasSize(1);
    assertThat(file.keySet().stream().filter(n -> n.matches("came/\\d+\\.eml"))).hasSize(1);
    file.forEach(
        (name, octets) -> {
          if (name.startsWith("sent/")) {
            assertThat(text(octets)).contains("marker15", "Message-ID");
          }
          if (name.startsWith("came/")) {
            assertThat(text(octets)).contains("marker16");
          }
        });
  }

  /** Read by ez-vcard and by PDFBox, as others read them. */
  @Test(dependsOnMethods = "messagesGoAndCome")
  public void theCardAndTheSummaryCanBeRead() throws Exception {
    VCard card = Ezvcard.parse(text(file.get("card.vcf"))).first();
    assertThat(card.getStructuredName().getGiven()).isEqualTo("Bea Marker01");
    assertThat(card.getOrganization().getValues()).containsExactly("Marker19 & Sons");
    assertThat(card.getEmails().get(0).getValue()).isEqualTo("bea.marker02@okonjo.example");
    assertThat(card.getAddresses().get(0).getStreetAddress()).isEqualTo("3 Marker03 Row");
    try (PDDocument pdf = Loader.loadPDF(file.get("summary.pdf"))) {
      String words = new PDFTextStripper().getText(pdf);
      assertThat(words).contains("Okonjo, née Ærø 李", "marker04", "Tea marker14", "Devices");
      assertThat(pdf.getDocumentInformation().getTitle()).contains("holds of");
    }
  }

  /** Of two colleagues each gives out their own. */
  @Test(dependsOnMethods = "messagesGoAndCome")
  public void whatIsPrivateToAnotherIsNotInIt() throws Exception {
    api = signedIn("tomas");
    long mailing = draft(List.of(bea), "Secret marker17", "<p>Only for you, marker18</p>");
    api = signedIn("orla");
    sql.sql("update cause set private = true where id = ?").param(mailing).update();
    Api tomas = signedIn("tomas");
    sql.sql(
            "insert into own_wording (mailing_id, person_id, channel, subject, body, shared_subject, shared_body, changed_at, changed_by) values (?, ?, 'EMAIL', 'marker17', 'b', 's', 'b', now(), 1)")
        .params(List.of(mailing, bea))
        .update();
    assertThat(text(fileOf(api).get("record.json"))).doesNotContain("marker17");
    assertThat(text(fileOf(tomas).get("record.json"))).contains("marker17");
  }

  @Test(dependsOnMethods = "whatIsPrivateToAnotherIsNotInIt")
  public void whoMayTakeNothingOutIsToldSoAndTheRestIsNoted() {
    assertThat(signedIn("reed").octets("/api/people/" + bea + "/held.zip").statusCode())
        .isEqualTo(403);
    assertThat(api.octets("/api/people/99999999/held.zip").statusCode()).isEqualTo(404);
    assertThat(signedIn("wilma").get("/api/history?kind=EXPORT").text())
        .contains("Downloaded all that is held of a person", "Bea Marker01");
  }
}
