package app.jemble.series.entry;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** People come in in waves, and so that the last step is had by a day. */
public class WavesTest extends SeriesTrial {

  private static final Duration DAY = Duration.ofDays(1);

  private List<Long> crew(String name, int size) {
    return IntStream.range(0, size)
        .mapToObj(i -> addPerson(name + i, "Crew", name + i + "@crew.example"))
        .toList();
  }

  private Map<String, Object> coming(List<Long> people, String sentence) {
    Map<String, Object> who = new HashMap<>();
    who.put("filter", null);
    who.put("people", people);
    Api.Answer plan =
        api.get("/api/typed/plan?text=" + URLEncoder.encode(sentence, StandardCharsets.UTF_8));
    assertThat(plan.status()).as(plan.text()).isEqualTo(200);
    who.put("plan", plan.json());
    return who;
  }

  @Test
  public void eachWaveHasItsOwnDays() {
    toMonday();
    List<Long> crew = crew("wave", 6);
    long series = active(step(0, "One"), step(1, "Two"));
    Api.Answer in = api.post(path(series) + "/people", coming(crew, "now, 2 every 1 day"));
    assertThat(in.json().get("in").asInt()).isEqualTo(6);
    after(Duration.ofMinutes(1), series);
    assertThat(gotBy("wave", "One")).isEqualTo(2);
    after(DAY.plusMinutes(1), series);
    assertThat(gotBy("wave", "One")).isEqualTo(4);
    assertThat(gotBy("wave", "Two")).isEqualTo(2);
    after(DAY.plusMinutes(1), series);
    after(DAY.plusMinutes(1), series);
    assertThat(gotBy("wave", "One")).isEqualTo(6);
    assertThat(gotBy("wave", "Two")).isEqualTo(6);
  }

  private long gotBy(String name, String subject) {
    return IntStream.range(0, 6)
        .filter(i -> got(name + i + "@crew.example").contains(subject))
        .count();
  }

  @Test
  public void thePlanSaysWhenTheLastStepIsHadAndWhatWouldDoIt() {
    Instant now = toMonday();
    List<Long> crew = crew("late", 6);
    long series = active(step(0, "One"), step(10, "Two"));
    String plan = path(series) + "/people/plan";
    JsonNode waves = api.post(plan, coming(crew, "now, 2 every 1 day")).json();
    assertThat(waves.get("people").asInt()).isEqualTo(6);
    assertThat(waves.get("waves").asInt()).isEqualTo(3);
    Instant lastStep = Instant.parse(waves.get("lastStep").asString());
    assertThat(Duration.between(now, lastStep).toDays()).isEqualTo(12);
    LocalDate by = now.atZone(HOUSE).toLocalDate().plusDays(11);
    JsonNode late =
        api.post(plan, coming(crew, "now, 2 every 1 day, done by " + by)).json().get("hadBy");
    assertThat(late.get("met").asBoolean()).isFalse();
    assertThat(late.get("latestEntry").isNull()).isFalse();
    // Each of the ways out is in time when it is asked for.
    assertThat(late.get("others")).isNotEmpty();
    for (JsonNode other : late.get("others")) {
      Map<String, Object> asOther = coming(crew, "now");
      asOther.put("plan", other.get("plan"));
      assertThat(api.post(plan, asOther).json().get("hadBy").get("met").asBoolean())
          .as(other.get("words").asString())
          .isTrue();
    }
    LocalDate past = now.atZone(HOUSE).toLocalDate().plusDays(5);
    JsonNode never = api.post(plan, coming(crew, "now, done by " + past)).json().get("hadBy");
    assertThat(never.get("latestEntry").isNull()).isTrue();
  }
}
