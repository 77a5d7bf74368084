package app.jemble.phone;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.ServerTest;
import app.jemble.TextHouse;
import app.jemble.standins.text.MessageCentre;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import tools.jackson.databind.JsonNode;

/** A house that texts, people with numbers, and what their phones have. */
abstract class TextTrial extends ServerTest {

  static final String PLACE = "Europe/London";

  MessageCentre centre;
  private int lastNumber = 100;

  @Override
  protected List<String> moreSettings() {
    if (centre == null) {
      centre = new MessageCentre(0, TextHouse.USER, TextHouse.PASSWORD);
    }
    return TextHouse.through(centre.port());
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
  public void closeCentre() {
    centre.close();
  }

  String number() {
    return "+447700900" + lastNumber++;
  }

  long person(String name, String email, String phone) {
    long id = addPerson(name, "Texted", email);
    sql.sql("update person set phone = ?, time_zone = ? where id = ?")
        .params(phone, PLACE, id)
        .update();
    return id;
  }

  /** A draft that goes by text, else by mail. */
  long draftByText(List<Long> people, String words) {
    long id = draft(people, "By mail", "<p>Dear {{first_name}}, by mail</p>");
    Map<String, Object> change = change(id, "By mail", "<p>Dear {{first_name}}, by mail</p>");
    change.put("ways", List.of("TEXT", "EMAIL"));
    change.put("text", Map.of("words", words, "likeness", "NOWHERE"));
    assertThat(api.put("/api/mailings/" + id, change).status()).isEqualTo(200);
    return id;
  }

  JsonNode check(long mailing) {
    return api.get("/api/mailings/" + mailing + "/check").json();
  }

  List<String> textsTo(String number) {
    return centre.arrived().stream()
        .filter(text -> text.to().equals(number))
        .map(MessageCentre.Text::words)
        .toList();
  }

  List<?> mailsTo(String address) {
    return office.delivered().stream().filter(mail -> mail.to().equals(address)).toList();
  }

  String standing(long mailing, long person) {
    return messageValue(mailing, person, "standing");
  }
}
