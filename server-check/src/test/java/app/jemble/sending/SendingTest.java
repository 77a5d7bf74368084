package app.jemble.sending;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.ServerTest;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Hours, days off and caps of the workspace. */
public class SendingTest extends ServerTest {

  private static final Map<String, Object> TEN_TEXTS = Map.of("way", "TEXT", "most", 10);

  private Api wilma;

  @Override
  protected int people() {
    return 10;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    api.signIn("orla", "lowen-quay");
    wilma = new Api("http://127.0.0.1:" + port);
    wilma.signIn("wilma", "lowen-quay");
  }

  private Map<String, Object> now() {
    Map<String, Object> all = new HashMap<>();
    for (Map.Entry<String, JsonNode> e : wilma.get("/api/sending").json().properties()) {
      all.put(e.getKey(), e.getValue());
    }
    return all;
  }

  @Test
  public void anAdministratorSetsHoursAndCapsAndAllSeeThem() {
    Map<String, Object> wanted = now();
    wanted.put("dailyCap", 900);
    wanted.put("hours", List.of(Map.of("day", "MONDAY", "from", 540, "to", 720)));
    wanted.put("ways", List.of(Map.of("way", "TEXT", "most", 40)));
    assertThat(api.put("/api/sending", wanted).status()).as("not an administrator").isEqualTo(403);
    assertThat(wilma.put("/api/sending", wanted).status()).isEqualTo(200);
    JsonNode seen = api.get("/api/sending").json();
    assertThat(seen.get("dailyCap").asInt()).isEqualTo(900);
    assertThat(seen.get("ways").get(0).get("way").asString()).isEqualTo("TEXT");
    assertThat(seen.get("ways").get(0).get("most").asInt()).isEqualTo(40);
    assertThat(seen.get("hours").get(0).get("to").asInt()).isEqualTo(720);
    wanted.put("hours", null);
    wanted.put("dailyCap", null);
    wanted.put("ways", List.of());
    assertThat(wilma.put("/api/sending", wanted).json().get("hours").isNull()).isTrue();
  }

  @DataProvider
  public Object[][] whatCannotBe() {
    return new Object[][] {
      {"dailyCap", -1, "0 to 10,000,000"},
      {"ways", List.of(Map.of("way", "EMAIL", "most", 20_000_000)), "0 to 10,000,000"},
      {"ways", List.of(TEN_TEXTS, TEN_TEXTS), "Each way once"},
      {"spacingDays", 91, "0 to 90 days"},
      {"mostPerMailing", 0, "1 to 10,000,000 people"},
      {"hours", List.of(), "at least one hour"},
      {"hours", List.of(Map.of("day", "MONDAY", "from", 700, "to", 60)), "begin before they end"},
    };
  }

  @Test(dataProvider = "whatCannotBe")
  public void whatCannotBeIsRefusedAndNothingChanges(String what, Object value, String sentence) {
    Map<String, Object> wanted = now();
    wanted.put(what, value);
    Api.Answer refused = wilma.put("/api/sending", wanted);
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.json().toString()).contains(sentence);
    wanted.remove(what);
    assertThat(now().get(what)).isNotEqualTo(value);
  }

  /** After the examples of RFC 5545 sections 3.6.1 and 3.8.5.3: whole days, some every year. */
  private static String calendar(int year) {
    return String.format(
            Locale.ROOT,
            """
        BEGIN:VCALENDAR
        VERSION:2.0
        PRODID:-//quay//days//EN
        BEGIN:VEVENT
        UID:1@quay.example
        DTSTAMP:20200101T000000Z
        DTSTART;VALUE=DATE:19971102
        SUMMARY:Our Blissful Anniversary
        RRULE:FREQ=YEARLY
        END:VEVENT
        BEGIN:VEVENT
        UID:2@quay.example
        DTSTAMP:20200101T000000Z
        DTSTART;VALUE=DATE:%1$d0628
        DTEND;VALUE=DATE:%1$d0701
        SUMMARY:Festival\\, all quays
        END:VEVENT
        BEGIN:VEVENT
        UID:3@quay.example
        DTSTAMP:20200101T000000Z
        DTSTART:%1$d0903T163000Z
        DTEND:%1$d0903T190000Z
        SUMMARY:A meeting is no day off
        END:VEVENT
        END:VCALENDAR
        """,
            year)
        .replace("\n", "\r\n");
  }

  private Api.Answer importFile(String file) {
    return wilma.upload("/api/sending/days-off/import", file.getBytes(StandardCharsets.UTF_8));
  }

  @Test
  public void daysOffComeOutOfACalendar() {
    LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneId.of("Europe/London"));
    int year = today.getYear() + 1;
    sql.sql("insert into day_off (day, name) values (?, 'Boat blessing')")
        .param(LocalDate.of(year, 5, 1))
        .update();
    Api.Answer read = importFile(calendar(year));
    assertThat(read.status()).as(read.json().toString()).isEqualTo(200);
    List<String> days = new ArrayList<>();
    for (JsonNode day : read.json()) {
      days.add(day.get("day").asString() + " " + day.get("name").asString());
    }
    assertThat(days)
        .contains(
            year + "-06-28 Festival, all quays",
            year + "-06-30 Festival, all quays",
            year + "-11-02 Our Blissful Anniversary",
            (year + 2) + "-11-02 Our Blissful Anniversary")
        .noneMatch(d -> d.startsWith(year + "-07-01"))
        .noneMatch(d -> d.contains("meeting"));
    assertThat(days.stream().filter(d -> d.contains("Anniversary")).count()).isBetween(5L, 6L);
    assertThat(wilma.get("/api/sending/days-off").json().toString())
        .contains(year + "-06-29")
        .as("those there were stay")
        .contains("Boat blessing");
    assertThat(importFile(calendar(year)).json().size()).as("again").isEqualTo(days.size());
  }

  @Test
  public void aFileThatIsNoCalendarIsRefused() {
    assertThat(importFile("hello").json().toString()).contains("should be a calendar");
    assertThat(importFile("").status()).isEqualTo(422);
    assertThat(api.upload("/api/sending/days-off/import", new byte[] {1, 2, 3}).status())
        .isEqualTo(403);
  }

  @Test
  public void anAdministratorTestsTheMailServer() {
    JsonNode tried = wilma.post("/api/mail-server/try", Map.of()).json();
    assertThat(tried.get("failed").isNull()).as(tried.toString()).isTrue();
    assertThat(api.post("/api/mail-server/try", Map.of()).status()).isEqualTo(403);
  }

  @Test
  public void aDayOffStandsOnce() {
    Map<String, String> day = Map.of("day", "2031-01-01", "name", "New Year");
    assertThat(wilma.put("/api/sending/days-off", List.of(day, day)).json().toString())
        .contains("twice");
    assertThat(wilma.put("/api/sending/days-off", List.of(Map.of("day", "2031-01-01"))).status())
        .isEqualTo(422);
  }
}
