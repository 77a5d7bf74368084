package app.jemble.task;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.ServerTest;
import biweekly.Biweekly;
import biweekly.component.VEvent;
import java.net.URI;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.testng.annotations.Test;

/** A colleague's tasks as a calendar that programs fetch, and on the desk. */
public class TaskCalendarTest extends ServerTest {

  @Override
  protected int people() {
    return 3;
  }

  private long task(String title, LocalDate due, boolean done, String owner) {
    long person =
        addPerson("Cal", title, title.toLowerCase(Locale.ROOT).replace(' ', '.') + "@cal.test");
    return sql.sql(
            """
            insert into task (person_id, kind, title, due_on, done_at, owner_id, created_at, created_by)
            select ?, 'call', ?, ?, case when ? then now() end, a.id, now(), a.id
            from account a where a.login = ?
            returning id
            """)
        .params(person, title, due, done, owner)
        .query(Long.class)
        .single();
  }

  @Test
  public void openTasksStandInTheirOwnersCalendarUnderASecretAddress() {
    api.signIn("orla", "lowen-quay");
    sql.sql("delete from task").update();
    LocalDate today = LocalDate.ofInstant(clock.instant(), java.time.ZoneId.of("Europe/London"));
    long open = task("Ask, about; the\\mast", today, false, "orla");
    task("Done", today, true, "orla");
    task("Of another", today, false, "tomas");
    assertThat(api.get("/api/tasks/calendar").json().get("address").isNull()).isTrue();
    String address = api.post("/api/tasks/calendar", Map.of()).json().get("address").asString();
    String path = URI.create(address).getPath();

    Api anybody = new Api("http://127.0.0.1:" + port);
    Api.Answer file = anybody.get(path);
    assertThat(file.status()).isEqualTo(200);
    assertThat(file.raw().headers().firstValue("Content-Type").orElse(""))
        .startsWith("text/calendar");
    List<VEvent> events = Biweekly.parse(file.text()).first().getEvents();
    assertThat(events).hasSize(1);
    VEvent event = events.get(0);
    assertThat(event.getUid().getValue()).isEqualTo("task-" + open + "@ternquay.example");
    assertThat(event.getSummary().getValue())
        .contains("Call: Cal")
        .contains("Ask, about; the\\mast");
    assertThat(event.getDateStart().getValue().hasTime()).isFalse();
    assertThat(file.text()).contains("DTSTART;VALUE=DATE:" + today.toString().replace("-", ""));

    String renewed = api.post("/api/tasks/calendar", Map.of()).json().get("address").asString();
    assertThat(anybody.get(path).status()).isEqualTo(404);
    assertThat(anybody.get(URI.create(renewed).getPath()).status()).isEqualTo(200);
    assertThat(api.delete("/api/tasks/calendar").status()).isEqualTo(204);
    assertThat(anybody.get(URI.create(renewed).getPath()).status()).isEqualTo(404);
    assertThat(anybody.get("/calendar/null.ics").status()).isEqualTo(404);
  }

  @Test(dependsOnMethods = "openTasksStandInTheirOwnersCalendarUnderASecretAddress")
  public void theDeskHasWhatIsDueAndWhatWasDue() {
    LocalDate today = LocalDate.ofInstant(clock.instant(), java.time.ZoneId.of("Europe/London"));
    task("Late", today.minusDays(3), false, "orla");
    task("Later", today.plusDays(1), false, "orla");
    var due = api.get("/api/desk").json().get("due");
    assertThat(due.size()).isEqualTo(2);
    assertThat(due.get(0).get("title").asString()).isEqualTo("Late");
    assertThat(api.get("/api/desk/counts").json().get("tasks").asLong()).isEqualTo(2);
  }
}
