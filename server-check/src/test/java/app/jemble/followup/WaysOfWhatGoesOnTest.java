package app.jemble.followup;

import static app.jemble.followup.RuleBodies.SEND;
import static app.jemble.followup.RuleBodies.waiting;
import static app.jemble.followup.RuleBodies.with;
import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Eventually;
import app.jemble.TextHouse;
import app.jemble.occasion.OccasionRun;
import app.jemble.series.entry.SeriesRun;
import app.jemble.standins.text.MessageCentre;
import java.time.Duration;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.AfterClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Steps of series, standing mailings and rules go the ways that are written for them. */
public class WaysOfWhatGoesOnTest extends RulesTrial {

  private static final Map<String, Object> BY_TEXT =
      Map.of(
          "ways",
          List.of("TEXT", "EMAIL"),
          "text",
          Map.of("words", "{{first_name}}, by text", "likeness", "NOWHERE"));

  private MessageCentre centre;
  private int lastNumber = 300;

  @Override
  protected List<String> moreSettings() {
    if (centre == null) {
      centre = new MessageCentre(0, TextHouse.USER, TextHouse.PASSWORD);
    }
    return TextHouse.through(centre.port());
  }

  @AfterClass(alwaysRun = true)
  public void closeCentre() {
    centre.close();
  }

  private long texted(String name, String number) {
    long id = addPerson(name, "Goeson", name + lastNumber + "@goeson.example");
    sql.sql("update person set phone = ?, time_zone = 'Europe/London' where id = ?")
        .params(number, id)
        .update();
    return id;
  }

  private String number() {
    return "+447700900" + lastNumber++;
  }

  private void gotByText(String number, String words) {
    Eventually.holds(
        () ->
            assertThat(
                    centre.arrived().stream()
                        .filter(text -> text.to().equals(number))
                        .map(MessageCentre.Text::words))
                .containsExactly(words));
  }

  private List<?> mailsTo(String address) {
    return office.delivered().stream().filter(mail -> mail.to().equals(address)).toList();
  }

  private static Map<String, Object> step(Map<String, Object> ways) {
    Map<String, Object> step = new HashMap<>();
    step.put("waitCount", 0);
    step.put("waitUnit", "MINUTES");
    step.put("waitAt", null);
    step.put("inThread", false);
    step.put("meant", List.of());
    step.put("subject", "By mail");
    step.put("body", "<p>By mail</p>");
    step.put("letterheadId", null);
    step.put("promotional", false);
    step.put("ways", ways);
    return step;
  }

  @Test
  public void aStepGoesByTextElseByMail() {
    toMonday();
    String number = number();
    long ann = texted("Ann", number);
    long bea = addPerson("Bea", "Goeson", "bea.step@goeson.example");
    long series =
        api.post("/api/series", Map.of("name", "By text", "topicId", 1)).json().get("id").asLong();
    String path = "/api/series/" + series;
    Map<String, Object> wordless =
        Map.of("ways", List.of("TEXT"), "text", Map.of("words", " ", "likeness", "NOWHERE"));
    assertThat(api.post(path + "/steps", step(wordless)).status()).isEqualTo(200);
    assertThat(api.get(path).json().get("blockers").toString())
        .contains("Step 1: It says nothing by text.");
    JsonNode first = api.get(path).json().get("steps").get(0);
    Api.Answer written = api.put(path + "/steps/" + first.get("id").asLong(), step(BY_TEXT));
    assertThat(written.status()).as(written.text()).isEqualTo(200);
    JsonNode ways = written.json().get("steps").get(0).get("ways");
    assertThat(ways.get("ways").toString()).isEqualTo("[\"TEXT\",\"EMAIL\"]");
    assertThat(ways.get("text").get("words").asString()).isEqualTo("{{first_name}}, by text");
    assertThat(api.post(path + "/activate", Map.of()).status()).isEqualTo(200);
    Map<String, Object> who = new HashMap<>();
    who.put("filter", null);
    who.put("people", List.of(ann, bea));
    assertThat(api.post(path + "/people", who).json().get("in").asInt()).isEqualTo(2);
    application.getBean(SeriesRun.class).lookAt(series);
    gotByText(number, "Ann, by text");
    Eventually.holds(() -> assertThat(mailsTo("bea.step@goeson.example")).hasSize(1));
    Map<String, Object> toPaper = Map.of("ways", List.of("POST"));
    assertThat(api.put(path + "/steps/" + first.get("id").asLong(), step(toPaper)).status())
        .isEqualTo(422);
  }

  @Test
  public void aStandingMailingGoesByText() {
    toMonday();
    String number = number();
    long ann = texted("Ann", number);
    sql.sql("update person set birthday = null").update();
    LocalDate today = LocalDate.ofInstant(clock.instant(), HOUSE);
    sql.sql("update person set birthday = ? where id = ?")
        .params(today.minusYears(36), ann)
        .update();
    Map<String, Object> body = new HashMap<>();
    body.put("name", "Birthday by text");
    body.put("topicId", 1);
    body.put("field", "birthday");
    body.put("kind", "YEARLY");
    body.put("offset", 0);
    body.put("rounds", List.of());
    body.put("whom", List.of());
    body.put("at", "09:00");
    body.put("leaves", "ITSELF");
    body.put("card", null);
    body.put("subject", "{{years}} today");
    body.put("body", "<p>By mail</p>");
    body.put("letterheadId", null);
    body.put("version", 0);
    body.put(
        "ways",
        Map.of(
            "ways",
            List.of("TEXT"),
            "text",
            Map.of("words", "{{first_name}}, {{years}} today!", "likeness", "NOWHERE")));
    JsonNode made = api.post("/api/occasions", body).json();
    assertThat(made.toString()).contains("{{years}} today!");
    long id = made.get("id").asLong();
    assertThat(api.post("/api/occasions/" + id + "/activate", Map.of()).status()).isEqualTo(200);
    application.getBean(OccasionRun.class).say(id);
    gotByText(number, "Ann, 36 today!");
    assertThat(messageChannel(ann)).isEqualTo("TEXT");
  }

  private String messageChannel(long person) {
    return sql.sql("select channel from message where person_id = ?")
        .param(person)
        .query(String.class)
        .single();
  }

  @Test
  public void aRuleSendsByText() {
    toMonday();
    String number = number();
    long ann = texted("Ann", number);
    Map<String, Object> rule = with(waiting("NO_REPLY", 1, "HOURS", SEND), "ways", BY_TEXT);
    long mailing = out(ann, "By mail first", rule);
    JsonNode saved = rules(mailing).get(0).get("ways");
    assertThat(saved.get("ways").toString()).isEqualTo("[\"TEXT\",\"EMAIL\"]");
    clock.advance(Duration.ofHours(1).plusMinutes(5));
    look(mailing);
    gotByText(number, "Ann, by text");
  }

  @Test
  public void aRuleThatSaysNothingOnAWayKeepsTheMailing() {
    long ann = texted("Ann", number());
    Map<String, Object> wordless =
        Map.of("ways", List.of("APP"), "notice", Map.of("title", "", "words", "x", "link", ""));
    long mailing = draft(List.of(ann), "Kept", "<p>First</p>");
    Api.Answer saved =
        save(mailing, List.of(with(waiting("NO_REPLY", 1, "HOURS", SEND), "ways", wordless)));
    assertThat(saved.status()).as(saved.text()).isEqualTo(200);
    assertThat(release(mailing).text()).contains("Rule 1: Its notice has no title.");
    ObjectNode again = (ObjectNode) saved.json().get(0);
    assertThat(again.get("errors").toString())
        .contains("No service for this way is set up here: app.");
  }
}
