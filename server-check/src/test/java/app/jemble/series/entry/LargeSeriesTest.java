package app.jemble.series.entry;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** What is done otherwise where many people are in a series. */
public class LargeSeriesTest extends SeriesTrial {

  private static final int MANY = 20_001;

  @Test
  public void numbersOfALargeSeriesAreKeptAndCountedAnew() {
    long series = active(step(5, "One"));
    sql.sql(
            """
            insert into person (kind, first_name, last_name, email, created_at)
            select 'contact', 'P' || n, 'Many', 'p' || n || '@many.example', now()
            from generate_series(1, ?) n
            """)
        .param(MANY)
        .update();
    sql.sql(
            """
            insert into series_entry (series_id, person_id, came_by, entered_at, passed_at, look_at)
            select ?, id, 'by hand', now(), now(), now() + interval '5 days'
            from person where last_name = 'Many'
            """)
        .param(series)
        .update();
    assertThat(in(series)).isEqualTo(MANY);
    letIn(series, addPerson("Kim", "Late", "kim@late.example"));
    JsonNode kept = api.get(path(series)).json();
    assertThat(kept.get("in").asInt()).as("as counted before").isEqualTo(MANY);
    assertThat(kept.get("countedAt").isNull()).as("and says so").isFalse();
    SeriesTally tallies = application.getBean(SeriesTally.class);
    tallies.refresh();
    assertThat(in(series)).as("not yet old enough").isEqualTo(MANY);
    clock.advance(Duration.ofMinutes(10));
    tallies.refresh();
    assertThat(in(series)).isEqualTo(MANY + 1);
    assertThat(api.get(path(series) + "/people").json()).hasSize(200);
  }

  /** Nobody of them is looked at in vain before the first step is due. */
  @Test
  public void onTheHousesClockWhoComesInIsLookedAtWhenTheFirstStepIsDue() {
    toMonday();
    long kai = addPerson("Kai", "Waits", "kai@waits.example");
    long series = active(step(3, "One"));
    letIn(series, kai);
    assertThat(
            sql.sql(
                    """
                    select extract(epoch from look_at - entered_at)::bigint
                    from series_entry where series_id = ?
                    """)
                .param(series)
                .query(Long.class)
                .single())
        .isEqualTo(Duration.ofDays(3).toSeconds());
    after(Duration.ofDays(3).plusMinutes(1), series);
    assertThat(got("kai@waits.example")).containsExactly("One");
  }

  private int in(long series) {
    return api.get(path(series)).json().get("in").asInt();
  }
}
