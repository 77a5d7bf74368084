package app.jemble.draft;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Eventually;
import app.jemble.ServerTest;
import app.jemble.standins.PostOffice.Delivered;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import org.apache.james.mime4j.dom.BinaryBody;
import org.apache.james.mime4j.dom.Entity;
import org.apache.james.mime4j.dom.Message;
import org.apache.james.mime4j.dom.Multipart;
import org.apache.james.mime4j.dom.TextBody;
import org.apache.james.mime4j.message.DefaultMessageBuilder;
import org.jsoup.Jsoup;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** What a mailing carries and for whom, as it arrives at the post office. */
public class WritingTest extends ServerTest {

  private Api tomas;

  @Override
  protected int people() {
    return 10;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    api.signIn("orla", "lowen-quay");
    tomas = new Api("http://127.0.0.1:" + port);
    tomas.signIn("tomas", "lowen-quay");
  }

  private Message arrived(String address) {
    Eventually.holds(() -> assertThat(to(address)).hasSize(1));
    try {
      ByteArrayOutputStream octets = new ByteArrayOutputStream();
      to(address).get(0).writeTo(octets);
      return new DefaultMessageBuilder()
          .parseMessage(new ByteArrayInputStream(octets.toByteArray()));
    } catch (MessagingException | IOException e) {
      throw new IllegalStateException(e);
    }
  }

  private List<MimeMessage> to(String address) {
    return office.delivered().stream()
        .filter(d -> d.to().equals(address))
        .map(Delivered::message)
        .toList();
  }

  private static byte[] picture(int width, int height, String format) {
    try {
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      ImageIO.write(new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB), format, out);
      return out.toByteArray();
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  private void change(long mailing, Map<String, Object> with) {
    JsonNode now = api.get("/api/mailings/" + mailing).json();
    Map<String, Object> change =
        change(mailing, now.get("subject").asString(), now.get("body").asString());
    change.putAll(with);
    assertThat(api.put("/api/mailings/" + mailing, change).status()).isEqualTo(200);
  }

  @Test
  public void aFallbackIsSetInBothTextsAndStaysReadable() {
    Map<String, String> wish =
        Map.of(
            "subject", "Is {{berth_name}} ready?",
            "body", "<p title=\"{{berth_name}}\">{{ berth_name }}</p>",
            "field", "berth_name",
            "fallback", "your \"boat\"");
    JsonNode mended = api.post("/api/mends/fallback", wish).json();
    assertThat(mended.get("subject").asString())
        .isEqualTo("Is {{berth_name or \"your boat\"}} ready?");
    assertThat(mended.get("body").asString())
        .isEqualTo(
            "<p title=\"{{berth_name or &quot;your boat&quot;}}\">"
                + "{{berth_name or &quot;your boat&quot;}}</p>");
    Api.Answer picture =
        api.post(
            "/api/mends/fallback",
            Map.of(
                "subject", "",
                "body", "<img src=\"{{picture}}\">",
                "field", "picture",
                "fallback", "a boat"));
    assertThat(picture.status()).isEqualTo(422);
    assertThat(picture.json().get("detail").asString())
        .contains("the address of a link or a picture");
  }

  @Test
  public void picturesAndFilesTravelInsideTheMessage() throws IOException {
    long person = addPerson("Bea", "Files", "files@okonjo.example");
    JsonNode picture = api.upload("/api/pictures?name=boat.png", picture(2000, 500, "png")).json();
    assertThat(picture.get("width").asInt()).as("made small enough for mail").isEqualTo(1200);
    String body =
        "<p>Look: <img src=\"/pictures/" + picture.get("key").asString() + "\" alt=\"A boat\"></p>";
    long mailing = draft(List.of(person), "Files", body);
    String path = "/api/mailings/" + mailing + "/files";
    byte[] times = "09:00 haul-out".getBytes(StandardCharsets.UTF_8);
    api.upload(path + "?name=times%20for%20%7B%7Bfirst_name%7D%7D.txt&type=text/plain", times);
    assertThat(api.post(path + "/recipients", Map.of()).json()).hasSize(2);
    assertThat(release(mailing).status()).isEqualTo(200);

    Multipart mixed = (Multipart) arrived("files@okonjo.example").getBody();
    assertThat(mixed.getSubType()).isEqualTo("mixed");
    Entity file = mixed.getBodyParts().get(1);
    assertThat(file.getFilename()).isEqualTo("times for Bea.txt");
    assertThat(text(file)).isEqualTo("09:00 haul-out");
    assertThat(mixed.getBodyParts().get(2).getFilename()).isEqualTo("recipients.txt");
    assertThat(text(mixed.getBodyParts().get(2)).strip()).isEqualTo("Bea Files");
    Multipart alternatives = (Multipart) mixed.getBodyParts().get(0).getBody();
    Multipart related = (Multipart) alternatives.getBodyParts().get(1).getBody();
    String source =
        Jsoup.parse(text(related.getBodyParts().get(0))).select("img[alt=A boat]").attr("src");
    assertThat(related.getBodyParts().get(1).getHeader().getField("Content-ID").getBody())
        .isEqualTo("<" + source.substring("cid:".length()) + ">");
    BinaryBody inside = (BinaryBody) related.getBodyParts().get(1).getBody();
    assertThat(ImageIO.read(inside.getInputStream()).getWidth()).isEqualTo(1200);
    assertThat(text(alternatives.getBodyParts().get(0))).startsWith("Look: [A boat]");
  }

  private static String text(Entity part) throws IOException {
    return new String(
        ((TextBody) part.getBody()).getInputStream().readAllBytes(), StandardCharsets.UTF_8);
  }

  @Test
  public void whatIsNoPictureOrTooLargeIsRefusedWithASentence() {
    Api.Answer script =
        api.upload(
            "/api/pictures?name=x.png", "<svg onload='x()'/>".getBytes(StandardCharsets.UTF_8));
    assertThat(script.status()).isEqualTo(422);
    assertThat(script.json().get("detail").asString()).contains("PNG, JPEG or GIF");
    byte[] cut = java.util.Arrays.copyOf(picture(300, 300, "jpeg"), 200);
    assertThat(api.upload("/api/pictures?name=cut.jpg", cut).status()).isEqualTo(422);
    byte[] claimsHuge = picture(10, 10, "png");
    // The width and height of a PNG stand at octets 16 to 23 (W3C PNG, section 11.2.2).
    claimsHuge[16] = 0x00;
    claimsHuge[17] = 0x01;
    claimsHuge[20] = 0x00;
    claimsHuge[21] = 0x01;
    assertThat(api.upload("/api/pictures?name=huge.png", claimsHuge).status()).isEqualTo(422);
    assertThat(api.get("/pictures/none-such-picture-here").status()).isEqualTo(404);

    long person = addPerson("A", "Large", "large@okonjo.example");
    String path = "/api/mailings/" + draft(List.of(person), "x", "<p>x</p>") + "/files";
    assertThat(api.upload(path + "?name=a.bin", new byte[9 << 20]).json()).hasSize(1);
    Api.Answer second = api.upload(path + "?name=b.bin", new byte[2 << 20]);
    assertThat(second.json().get("detail").asString()).contains("“b.bin” does not fit", "10 MB");
    assertThat(api.upload(path + "?name=c.bin", new byte[0]).status()).isEqualTo(422);
    assertThat(api.upload(path + "?name=%7B%7Bnone%7D%7D.txt", new byte[1]).status())
        .isEqualTo(422);
  }

  @Test
  public void oneGetsOtherWordsAndTheOthersDoNot() {
    long bea = addPerson("Bea", "Own", "own@okonjo.example");
    long dov = addPerson("Dov", "Own", "dov@okonjo.example");
    long mailing = draft(List.of(bea, dov), "Hello {{first_name}}", "<p>Come by.</p>");
    String path = "/api/mailings/" + mailing;
    Map<String, Object> words = own("Hello {{first_name}}", "Come by. And bring the mast.", 0);
    assertThat(api.put(path + "/own-words/" + bea, words).status()).isEqualTo(200);
    JsonNode proof = api.get(path + "/proofs/" + bea).json();
    assertThat(proof.get("ownWords").asBoolean()).isTrue();
    assertThat(proof.get("text").asString()).contains("bring the mast");
    assertThat(api.get(path + "/audience?ownWords=true").json()).hasSize(1);

    api.put(path, change(mailing, "Hello {{first_name}}", "<p>Come by on Friday.</p>"));
    JsonNode look = api.get(path + "/check").json();
    assertThat(look.get("findings").toString()).contains("OWN_WORDING_OLD");
    assertThat(api.get(path + "/own-words").json().get(0).get("old").asBoolean()).isTrue();
    Api.Answer broken = api.put(path + "/own-words/" + dov, own("x", "{{nome}}", 0));
    assertThat(broken.json().get("detail").asString()).contains("no field named “nome”");

    release(mailing);
    assertThat(html("own@okonjo.example")).contains("And bring the mast.");
    assertThat(html("dov@okonjo.example")).contains("Come by on Friday.").doesNotContain("mast");
    assertThat(api.put(path + "/own-words/" + dov, words).status()).as("released").isEqualTo(409);
  }

  private static Map<String, Object> own(String subject, String body, int seen) {
    return Map.of("subject", subject, "body", "<p>" + body + "</p>", "version", seen);
  }

  @Test
  public void ownWordsAreNotSavedOverOnesThatNobodySaw() {
    long bea = addPerson("Bea", "Twice", "twice@okonjo.example");
    String mailing = "/api/mailings/" + draft(List.of(bea), "Hello", "<p>Shared</p>");
    String path = mailing + "/own-words/" + bea;
    assertThat(api.put(path, own("Hello", "Theirs", 0)).json().get("version").asInt()).isOne();
    Api.Answer late = api.put(path, own("Hello", "Mine", 0));
    assertThat(late.status()).isEqualTo(409);
    assertThat(late.json().get("detail").asString()).contains("Somebody changed this person's");
    assertThat(api.put(path, own("Hello", "Shared", 0)).status()).as("back to all").isEqualTo(409);
    assertThat(api.put(path, own("Hello", "Theirs", 0)).status())
        .as("the same once more, whose answer was lost")
        .isEqualTo(200);
    assertThat(api.get(mailing + "/proofs/" + bea).json().get("text").asString())
        .startsWith("Theirs");
    int seen = api.get(mailing + "/own-words").json().get(0).get("version").asInt();
    assertThat(api.put(path, own("Hello", "Mine", seen)).status()).isEqualTo(200);
    assertThat(api.get(mailing + "/proofs/" + bea).json().get("text").asString())
        .startsWith("Mine");
  }

  private String html(String address) {
    Multipart parts = (Multipart) arrived(address).getBody();
    try {
      return text(parts.getBodyParts().get(1));
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  @Test
  public void ownWordsAreDroppedInOneAct() {
    long bea = addPerson("Bea", "Drop", "drop@okonjo.example");
    String path = "/api/mailings/" + draft(List.of(bea), "Hello", "<p>Shared</p>");
    api.put(path + "/own-words/" + bea, own("Hello", "Own", 0));
    assertThat(api.delete(path + "/own-words").status()).isEqualTo(204);
    assertThat(api.get(path + "/proofs/" + bea).json().get("text").asString()).startsWith("Shared");
    api.put(path + "/own-words/" + bea, own("Hello", "Shared", 0));
    assertThat(api.get(path + "/own-words").json()).as("the same words are no own ones").isEmpty();
  }

  @Test
  public void anAudienceHasPartsAndLeaveOutsAndItsReasonsAddUp() {
    List<Long> ids = sql.sql("select id from person order by id limit 6").query(Long.class).list();
    sql.sql("insert into person_list (name, created_at, created_by) values ('Yard', now(), 1)")
        .update();
    sql.sql(
            "insert into list_member select currval(pg_get_serial_sequence('person_list', 'id')), p.id from person p"
                + " where p.id = any(?)")
        .param(ids.subList(0, 3).toArray(Long[]::new))
        .update();
    Map<String, Object> yard = part("list", "HAS_ANY", "Yard");
    long mailing = draft(List.of(ids.get(4), ids.get(5)), "Hello", "<p>Hello</p>");
    change(mailing, Map.of("parts", List.of(yard)));
    JsonNode look = api.get("/api/mailings/" + mailing + "/check").json();
    assertThat(look.get("total").asInt()).isEqualTo(5);
    change(mailing, Map.of("parts", List.of(yard), "leftOutParts", List.of(yard)));
    look = api.get("/api/mailings/" + mailing + "/check").json();
    int sum = look.get("ready").asInt();
    int leftOut = 0;
    for (JsonNode cannot : look.get("cannot")) {
      sum += cannot.get("people").asInt();
      leftOut +=
          cannot.get("reach").asString().equals("LEFT_OUT") ? cannot.get("people").asInt() : 0;
    }
    assertThat(sum).isEqualTo(5);
    assertThat(leftOut).isBetween(1, 3);
    assertThat(api.get("/api/mailings/" + mailing).json().get("audienceWords").asString())
        .isEqualTo("people whose list has any of Yard, and 2 picked by hand");
  }

  private static Map<String, Object> part(String field, String operator, String value) {
    return Map.of(
        "filter",
        Map.of(
            "match",
            "ALL",
            "conditions",
            List.of(Map.of("field", field, "operator", operator, "values", List.of(value))),
            "groups",
            List.of()));
  }

  @Test
  public void theSenderTheOwnerAndTheHouseWriteAsChosen() throws Exception {
    long owned = addPerson("Bea", "Voice", "voice@okonjo.example");
    long unowned = addPerson("Dov", "Voice", "voiceless@okonjo.example");
    sql.sql(
            "update person set owner_id = (select id from account where login = 'tomas') where id = ?")
        .param(owned)
        .update();
    long wilma = sql.sql("select id from account where login = 'wilma'").query(Long.class).single();
    long mailing = draft(List.of(owned, unowned), "Voices", "<p>Hello</p>");
    change(mailing, Map.of("voice", "OWNER", "repliesTo", "COLLEAGUE", "replyColleague", wilma));
    release(mailing);
    MimeMessage first = only("voice@okonjo.example");
    assertThat(((InternetAddress) first.getFrom()[0]).getAddress())
        .isEqualTo("tomas@ternquay.example");
    assertThat(((InternetAddress) first.getReplyTo()[0]).getAddress())
        .isEqualTo("wilma@ternquay.example");
    assertThat(((InternetAddress) only("voiceless@okonjo.example").getFrom()[0]).getAddress())
        .isEqualTo("orla@ternquay.example");

    long house = draft(List.of(addPerson("A", "B", "house@okonjo.example")), "x", "<p>x</p>");
    change(house, Map.of("voice", "HOUSE"));
    release(house);
    MimeMessage fromHouse = only("house@okonjo.example");
    assertThat(fromHouse.getFrom()[0].toString())
        .isEqualTo("Tern Quay Boatyard <desk@ternquay.example>");
    assertThat(((InternetAddress) fromHouse.getReplyTo()[0]).getAddress())
        .isEqualTo("orla@ternquay.example");
  }

  private MimeMessage only(String address) {
    Eventually.holds(() -> assertThat(to(address)).hasSize(1));
    return to(address).get(0);
  }

  @Test
  public void namesAreCorrectedInOneActThatIsTakenBack() {
    long carmen = addPerson("CARMEN", "Names", "carmen@okonjo.example");
    long dov = addPerson("DOV", "Names", "dov.names@okonjo.example");
    String path = "/api/mailings/" + draft(List.of(carmen, dov), "x", "<p>{{first_name}}</p>");
    JsonNode proposed = api.get(path + "/names?code=NAME_CAPITALS").json();
    assertThat(proposed).hasSize(2);
    assertThat(proposed.get(0).get("after").asString()).isEqualTo("Carmen");
    List<Map<String, Object>> wanted =
        List.of(
            Map.of("personId", carmen, "firstName", "Carmen"),
            Map.of("personId", dov, "firstName", "Dov"));
    JsonNode done = api.post(path + "/names", wanted).json();
    assertThat(done.get("words").asString()).isEqualTo("Corrected the first names of 2 people");
    assertThat(api.get(path + "/check").json().get("findings")).isEmpty();
    api.post("/api/changes/" + done.get("act").asLong() + "/undo", Map.of());
    assertThat(api.get(path + "/check").json().get("findings").toString())
        .contains("NAME_CAPITALS");

    JsonNode left =
        api.post(path + "/leave-out", Map.of("code", "NAME_CAPITALS", "about", "first_name"))
            .json();
    assertThat(left.get("leftOut")).hasSize(2);
    assertThat(api.get(path + "/check").json().get("findings").toString()).contains("NOBODY");
  }

  @Test
  public void eachPersonsOwnPictureIsTheirsAndWhoHasNoneIsNamed() {
    long bea = addPerson("Bea", "Picture", "pic@okonjo.example");
    long dov = addPerson("Dov", "Picture", "nopic@okonjo.example");
    String key =
        api.upload("/api/pictures?name=bea.png", picture(40, 40, "png"))
            .json()
            .get("key")
            .asString();
    String path = "/api/people/" + bea + "/picture";
    assertThat(api.put(path, Map.of("key", "no-such-picture-here")).status()).isEqualTo(422);
    assertThat(api.put(path, Map.of("key", key)).status()).isEqualTo(204);
    assertThat(api.get("/api/people/" + bea).json().get("pictureKey").asString()).isEqualTo(key);
    String body = "<p><img src=\"{{picture}}\" alt=\"{{name}}\"></p>";
    long mailing = draft(List.of(bea, dov), "Your picture", body);
    JsonNode proof = api.get("/api/mailings/" + mailing + "/proofs/" + bea).json();
    assertThat(proof.get("html").asString()).contains("/pictures/" + key);
    assertThat(api.get("/api/mailings/" + mailing + "/check").json().get("findings").toString())
        .contains("1 of 2 has no picture");
  }

  @Test
  public void aPrivateMailingIsItsSendersAlone() {
    long person = addPerson("A", "Private", "private@okonjo.example");
    long mailing = draft(List.of(person), "Secret plans", "<p>x</p>");
    change(mailing, Map.of("private", true));
    assertThat(tomas.get("/api/mailings/" + mailing).status()).isEqualTo(404);
    assertThat(tomas.get("/api/mailings").raw().body()).doesNotContain("Secret plans");
    assertThat(api.get("/api/mailings").raw().body()).contains("Secret plans");
  }

  @Test
  public void aCopyGoesToAColleagueAsAPersonWouldGetIt() {
    long person = addPerson("Ines", "Copy", "ines@okonjo.example");
    long mailing = draft(List.of(person), "For {{first_name}} alone", "<p>x</p>");
    long wilma = sql.sql("select id from account where login = 'wilma'").query(Long.class).single();
    Api.Answer sent =
        api.post(
            "/api/mailings/" + mailing + "/copy", Map.of("personId", person, "colleagueId", wilma));
    assertThat(sent.json().get("address").asString()).isEqualTo("wilma@ternquay.example");
    Eventually.holds(
        () ->
            assertThat(office.mailbox("wilma").stream().map(WritingTest::subject))
                .contains("For Ines alone"));
  }

  private static String subject(MimeMessage mail) {
    try {
      return mail.getSubject();
    } catch (MessagingException e) {
      throw new IllegalStateException(e);
    }
  }
}
