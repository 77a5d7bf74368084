package app.jemble.series.entry;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Editing a series while it runs, each sentence of the domain's rules on people under way. */
public class SeriesEditingTest extends SeriesTrial {

  private static final Duration DAY = Duration.ofDays(1);

  @Test
  public void textAndWaitChangeForAllWhoHaveNotHadTheStep() {
    toMonday();
    long had = addPerson("Had", "It", "had@edit.example");
    long not = addPerson("Not", "Yet", "not@edit.example");
    long series = active(step(0, "One"), step(1, "Two"));
    letIn(series, had);
    look(series);
    after(DAY.plusMinutes(1), series);
    letIn(series, not);
    look(series);
    String two = path(series) + "/steps/" + stepId(series, 2);
    assertThat(api.put(two, step(3, "Two anew")).status()).isEqualTo(200);
    after(DAY.multipliedBy(2), series);
    assertThat(got("had@edit.example")).containsExactly("One", "Two");
    assertThat(got("not@edit.example")).as("waits for the third day now").containsExactly("One");
    after(DAY.plusMinutes(1), series);
    assertThat(got("not@edit.example")).containsExactly("One", "Two anew");
    // A shorter wait lets it leave sooner than was reckoned.
    long late = addPerson("Late", "Wait", "late@edit.example");
    letIn(series, late);
    look(series);
    clock.advance(DAY);
    api.put(two, step(0, "Two at once"));
    look(series);
    assertThat(got("late@edit.example")).containsExactly("One", "Two at once");
  }

  @Test
  public void aStepPutInIsForThoseWhoHaveNotPassedItsPlace() {
    toMonday();
    long ahead = addPerson("A", "Head", "ahead@edit.example");
    long behind = addPerson("Be", "Hind", "behind@edit.example");
    long series = active(step(0, "One"), step(1, "Two"), step(3, "Three"));
    letIn(series, ahead);
    look(series);
    after(DAY.plusMinutes(1), series);
    letIn(series, behind);
    look(series);
    long two = stepId(series, 2);
    Api.Answer put = api.post(path(series) + "/steps?before=" + two, step(0, "Between"));
    assertThat(put.status()).as(put.text()).isEqualTo(200);
    look(series);
    after(DAY.plusMinutes(1), series);
    assertThat(got("behind@edit.example")).containsExactly("One", "Between", "Two");
    assertThat(got("ahead@edit.example")).as("is past that place").containsExactly("One", "Two");
  }

  @Test
  public void oneAtTheEndIsByChoiceForThoseWhoHadFinishedToo() {
    toMonday();
    long done = addPerson("Do", "Ne", "done@edit.example");
    long series = active(step(0, "One"));
    letIn(series, done);
    look(series);
    after(Duration.ofMinutes(5), series);
    assertThat(somebody(series, done).get("state").asString()).isEqualTo("FINISHED");
    api.post(path(series) + "/steps", step(0, "Not for them"));
    after(Duration.ofMinutes(5), series);
    assertThat(got("done@edit.example")).containsExactly("One");
    api.delete(path(series) + "/steps/" + stepId(series, 2));
    api.post(path(series) + "/steps?finishedToo=true", step(0, "For them too"));
    after(Duration.ofMinutes(5), series);
    assertThat(got("done@edit.example")).containsExactly("One", "For them too");
  }

  @Test
  public void aStepTakenAwayIsPastForAll() {
    toMonday();
    long kim = addPerson("Kim", "Away", "kim@edit.example");
    long had = addPerson("Had", "Away", "hadaway@edit.example");
    long series = active(step(0, "One"), step(1, "Two"), step(1, "Three"));
    letIn(series, had);
    look(series);
    after(DAY.plusMinutes(1), series);
    letIn(series, kim);
    look(series);
    assertThat(api.delete(path(series) + "/steps/" + stepId(series, 2)).status()).isEqualTo(200);
    after(DAY.plusMinutes(1), series);
    assertThat(got("kim@edit.example")).containsExactly("One", "Three");
    assertThat(got("hadaway@edit.example")).containsExactly("One", "Two", "Three");
    JsonNode steps = steps(series);
    assertThat(steps.valueStream().map(s -> s.get("subject").asString()).toList())
        .containsExactly("One", "Three");
  }

  @Test
  public void orderChangesOnlyAmongStepsNobodyHasHad() {
    toMonday();
    long pat = addPerson("Pat", "Order", "pat@edit.example");
    long series = active(step(0, "One"), step(1, "Two"), step(1, "Three"));
    letIn(series, pat);
    look(series);
    long one = stepId(series, 1);
    long two = stepId(series, 2);
    long three = stepId(series, 3);
    Api.Answer no = api.put(path(series) + "/order", List.of(two, one, three));
    assertThat(no.status()).isEqualTo(422);
    assertThat(no.json().get("detail").asString()).contains("step 1 has been had");
    assertThat(api.put(path(series) + "/order", List.of(one, three, two)).status()).isEqualTo(200);
    after(DAY.plusMinutes(1), series);
    after(DAY.plusMinutes(1), series);
    assertThat(got("pat@edit.example")).containsExactly("One", "Three", "Two");
  }

  @Test
  public void whatWouldBlockActivationIsNotPutIntoASeriesThatRuns() {
    long series = active(step(0, "One"));
    String one = path(series) + "/steps/" + stepId(series, 1);
    Api.Answer blank = api.put(one, step(0, "Your [gift]"));
    assertThat(blank.status()).isEqualTo(422);
    assertThat(blank.json().get("detail").asString()).isEqualTo("Fill in [gift].");
    assertThat(api.post(path(series) + "/steps", step(1, "{{nome}}")).status()).isEqualTo(422);
    assertThat(steps(series)).hasSize(1);
    assertThat(steps(series).get(0).get("subject").asString()).isEqualTo("One");
  }

  @Test
  public void whatSomebodyElseChangedIsNotSavedOver() {
    long series = series(step(0, "One"));
    JsonNode is = api.get(path(series)).json();
    Map<String, Object> body = renamed(is.get("version").asInt());
    assertThat(api.put(path(series), body).json().get("name").asString()).isEqualTo("Renamed");
    Api.Answer late = api.put(path(series), body);
    assertThat(late.status()).isEqualTo(409);
    assertThat(late.json().get("detail").asString()).contains("in the meantime");
  }

  private static Map<String, Object> renamed(int version) {
    Map<String, Object> body = new HashMap<>();
    body.put("name", "Renamed");
    body.put("topicId", 1);
    body.put("private", false);
    body.put("ownClock", true);
    body.put("hours", null);
    body.put("againDays", 5);
    body.put("endsOnReply", true);
    body.put("endsOnClick", true);
    body.put("ends", List.of());
    body.put("enters", List.of());
    body.put("version", version);
    return body;
  }

  @Test
  public void whatAPrivateSeriesSaysIsPrivateToo() {
    Api tomas = new Api("http://127.0.0.1:" + port);
    tomas.signIn("tomas", "lowen-quay");
    long series = active(step(0, "One"));
    JsonNode is = api.get(path(series)).json();
    String text = "/api/mailings/" + is.get("steps").get(0).get("causeId").asLong();
    assertThat(tomas.get(text).status()).isEqualTo(200);
    Map<String, Object> body = renamed(is.get("version").asInt());
    body.put("private", true);
    body.put("topicId", 2);
    assertThat(api.put(path(series), body).status()).isEqualTo(200);
    assertThat(tomas.get(path(series)).status()).isEqualTo(404);
    assertThat(tomas.get(text).status()).isEqualTo(404);
    assertThat(api.get(text).json().get("topicId").asLong()).as("the topic too").isEqualTo(2);
  }
}
