package app.jemble.series.entry;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;

/** What was done with a series, or with one of its people, is taken back. */
public class SeriesUndoTest extends SeriesTrial {

  private static final Duration DAY = Duration.ofDays(1).plusMinutes(1);

  private Api.Answer in(long series, Long... people) {
    Map<String, Object> who = new HashMap<>();
    who.put("filter", null);
    who.put("people", List.of(people));
    return api.post(path(series) + "/people", who);
  }

  private Api.Answer undo(Api.Answer done) {
    return api.post("/api/changes/" + done.json().get("act").asLong() + "/undo", Map.of());
  }

  private long entriesOf(long series, long person) {
    return sql.sql("select count(*) from series_entry where series_id = ? and person_id = ?")
        .params(series, person)
        .query(Long.class)
        .single();
  }

  @Test
  public void whoWasLetInByMistakeWasNeverIn() {
    toMonday();
    long eve = addPerson("Eve", "Mistake", "eve@undo.example");
    long series = active(step(1, "Tomorrow"));
    Api.Answer came = in(series, eve);
    assertThat(undo(came).status()).isEqualTo(200);
    assertThat(entriesOf(series, eve)).isZero();
    after(DAY, series);
    assertThat(got("eve@undo.example")).isEmpty();
    assertThat(undo(came).status()).as("once").isEqualTo(409);
    assertThat(in(series, eve).json().get("in").asInt()).as("they may come in").isEqualTo(1);
  }

  @Test
  public void whoHasHadAStepByThenIsOut() {
    toMonday();
    long gil = addPerson("Gil", "Had", "gil@undo.example");
    long series = active(step(0, "One"), step(1, "Two"));
    Api.Answer came = in(series, gil);
    look(series);
    assertThat(undo(came).status()).isEqualTo(200);
    after(DAY, series);
    assertThat(got("gil@undo.example")).containsExactly("One");
    assertThat(somebody(series, gil).get("endedWhy").asString())
        .isEqualTo("letting them in was taken back");
  }

  @Test
  public void whoWasTakenOutGoesOnWhereTheyWere() {
    toMonday();
    long hal = addPerson("Hal", "Back", "hal@undo.example");
    long series = active(step(0, "One"), step(1, "Two"));
    in(series, hal);
    look(series);
    Api.Answer out = api.post(path(series) + "/people/out", Map.of("people", List.of(hal)));
    assertThat(out.json().get("out").asInt()).isEqualTo(1);
    after(Duration.ofHours(2), series);
    assertThat(undo(out).status()).isEqualTo(200);
    assertThat(somebody(series, hal).get("state").asString()).isEqualTo("IN");
    after(DAY, series);
    assertThat(got("hal@undo.example")).containsExactly("One", "Two");
  }

  @Test
  public void nobodyComesBackIntoASeriesThatWasEnded() {
    toMonday();
    long ida = addPerson("Ida", "Ended", "ida@undo.example");
    long series = active(step(1, "Tomorrow"));
    in(series, ida);
    Api.Answer out = api.post(path(series) + "/people/out", Map.of("people", List.of(ida)));
    api.post(path(series) + "/end", Map.of());
    assertThat(undo(out).status()).isEqualTo(200);
    assertThat(somebody(series, ida).get("state").asString()).isEqualTo("ENDED");
  }

  @Test
  public void aStepPutBackIsForAllWhoAreNotPastItsPlace() {
    toMonday();
    long had = addPerson("Jo", "Had", "jo@undo.example");
    long without = addPerson("Ken", "Without", "ken@undo.example");
    long series = active(step(0, "One"), step(1, "Two"));
    in(series, had);
    look(series);
    after(DAY, series);
    in(series, without);
    look(series);
    long two = stepId(series, 2);
    assertThat(api.delete(path(series) + "/steps/" + two).status()).isEqualTo(200);
    after(Duration.ofMinutes(5), series);
    assertThat(somebody(series, without).get("state").asString()).isEqualTo("FINISHED");
    Api.Answer back = api.post(path(series) + "/steps/" + two + "/back", Map.of());
    assertThat(back.status()).as(back.text()).isEqualTo(200);
    after(DAY, series);
    assertThat(got("jo@undo.example")).containsExactly("One", "Two");
    assertThat(got("ken@undo.example")).containsExactly("One", "Two");
    assertThat(api.post(path(series) + "/steps/" + two + "/back", Map.of()).status())
        .as("it is there")
        .isEqualTo(409);
  }

  @Test
  public void theHistoryNamesNoSeriesThatIsSomebodysOwn() {
    long lea = addPerson("Lea", "Secret", "lea@undo.example");
    long series = active(step(1, "Tomorrow"));
    String history = "/api/people/" + lea + "/history";
    api.post(
        path(series) + "/people/out",
        Map.of("people", in(series, lea).status() == 200 ? List.of(lea) : List.of()));
    assertThat(api.get(history).text()).contains("taken out of “Series ");
    long own = active(step(1, "Tomorrow"));
    sql.sql("update series set private = true, name = 'Own words' where id = ?")
        .param(own)
        .update();
    in(own, lea);
    assertThat(api.get(history).text()).contains("let into a series").doesNotContain("Own words");
  }
}
