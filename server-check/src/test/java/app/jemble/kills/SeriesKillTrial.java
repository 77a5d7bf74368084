package app.jemble.kills;

import app.jemble.Api;
import app.jemble.standins.PostOffice;
import java.io.IOException;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.CompletableFuture;
import java.util.function.BooleanSupplier;
import org.springframework.jdbc.core.simple.JdbcClient;

/**
 * Two processes let people into a series of three steps, take them on and remember a day, and are
 * killed (SIGKILL) at random while they do; now and then both at once. Some of the people write
 * back and are to hear no more.
 */
public final class SeriesKillTrial {

  /** What a process is killed at. */
  public enum Moment {
    COMING_IN,
    LOOKING,
    HANDOVER,
    READING
  }

  /**
   * @param database its JDBC address; a house with the demo's colleagues is in it
   * @param kills how often a process is killed
   * @param people how many come in before each kill, and have a day
   */
  public record Setting(String database, long seed, int kills, int people) {}

  private static final Duration LIMIT = Duration.ofMinutes(4);
  private static final int REPLIES = 20;

  /** Minutes of a clock on which an hour passes in 15 seconds. */
  private static final int WAIT = 40;

  private static final int FORENOON = 9;
  private static final int FURTHEST_WEST = -12;

  /** The day is remembered so long after the processes started, by their clock. */
  private static final Duration UNTIL_THE_DAY = Duration.ofHours(2);

  private final Setting setting;
  private final PostOffice office;
  private final Random random;
  private final JdbcClient sql;
  private final KilledMail mail;
  private final Map<Moment, Integer> moments = new EnumMap<>(Moment.class);
  private KilledHouse house;
  private long series;
  private int lots;

  private SeriesKillTrial(Setting setting, PostOffice office) {
    this.setting = setting;
    this.office = office;
    this.random = new Random(setting.seed());
    this.sql = HouseTally.connect(setting.database());
    this.mail = new KilledMail(office, random);
  }

  /** Runs until everybody is through. */
  public static SeriesKillTally run(Setting setting) throws IOException {
    // No reader does anything of their own within the trial, but for mailboxes that do not work.
    try (PostOffice office =
        new PostOffice(0, 0, "ternquay.example", Duration.ofDays(30), setting.seed())) {
      return new SeriesKillTrial(setting, office).run();
    }
  }

  private SeriesKillTally run() {
    sql.sql("update sending_rules set hours = null, daily_cap = null").update();
    try (KilledHouse both = new KilledHouse(setting.database(), office, random)) {
      house = both;
      house.await("there is a series", LIMIT, asked(this::begin));
      for (int kill = 0; kill < setting.kills(); kill++) {
        Moment moment = Moment.values()[kill % Moment.values().length];
        moments.merge(moment, 1, Integer::sum);
        killAt(moment, house.either());
      }
      house.await("all are through", LIMIT, () -> SeriesKillTally.isSettled(sql, office));
      return SeriesKillTally.of(sql, office, series, moments);
    }
  }

  /** Whatever is cut off by a process that is not there yet, or no more, is asked anew. */
  private static BooleanSupplier asked(BooleanSupplier act) {
    return () -> {
      try {
        return act.getAsBoolean();
      } catch (IllegalStateException killed) {
        return false;
      }
    };
  }

  private boolean begin() {
    Api api = house.colleague(0);
    series = made(api, "/api/series", Map.of("name", "Kills", "topicId", 1));
    for (int step = 1; step <= 3; step++) {
      made(api, path() + "/steps", step(step));
    }
    made(api, path() + "/activate", Map.of());
    OffsetDateTime day = house.now().plus(UNTIL_THE_DAY).atOffset(forenoon());
    people("days", day.toLocalDate());
    long remembered = made(api, "/api/occasions", birthday(day.toLocalTime()));
    made(api, "/api/occasions/" + remembered + "/activate", Map.of());
    return true;
  }

  private static long made(Api api, String path, Map<String, Object> what) {
    Api.Answer answer = api.post(path, what);
    if (answer.status() != 200) {
      throw new AssertionError(path + ": " + answer.text());
    }
    return answer.json().path("id").asLong();
  }

  /** Where the day of those who have one is still young, so that none of them is late. */
  private ZoneOffset forenoon() {
    int hours = FORENOON - house.now().atOffset(ZoneOffset.UTC).getHour();
    return ZoneOffset.ofHours(hours < FURTHEST_WEST ? hours + 24 : hours);
  }

  private String path() {
    return "/api/series/" + series;
  }

  private static Map<String, Object> step(int number) {
    Map<String, Object> step = new HashMap<>();
    step.put("waitCount", number == 1 ? 0 : WAIT);
    step.put("waitUnit", "MINUTES");
    step.put("waitAt", null);
    step.put("inThread", number == 3);
    step.put("meant", List.of());
    step.put("subject", "Step " + number);
    step.put("body", "<p>Dear {{first_name}}, this is " + number + ".</p>");
    step.put("letterheadId", null);
    step.put("promotional", false);
    return step;
  }

  private static Map<String, Object> birthday(LocalTime at) {
    Map<String, Object> body = new HashMap<>();
    body.putAll(Map.of("name", "Birthday", "topicId", 1, "field", "birthday", "kind", "YEARLY"));
    body.putAll(Map.of("offset", 0, "rounds", List.of(), "whom", List.of(), "leaves", "ITSELF"));
    body.put("at", String.format(Locale.ROOT, "%02d:%02d", at.getHour(), at.getMinute()));
    body.put("card", null);
    body.put("subject", "{{years}} today");
    body.put("body", "<p>Dear {{first_name}}, you are {{years}}.</p>");
    body.put("letterheadId", null);
    body.put("version", 0);
    return body;
  }

  private void killAt(Moment moment, int which) {
    switch (moment) {
      case COMING_IN -> {
        CompletableFuture<Void> lot = CompletableFuture.runAsync(() -> letIn(which));
        KilledHouse.pause(Duration.ofMillis(50 + random.nextInt(600)));
        house.kill(which);
        lot.join();
      }
      case LOOKING -> {
        letIn(which);
        killOnce(which, "select count(*) from series_pass", setting.people());
      }
      case HANDOVER -> {
        letIn(which);
        String theirs = "@s" + lots + ".kills.example";
        int more = REPLIES + random.nextInt(setting.people() - REPLIES);
        KilledHouse.watch(
            () -> office.delivered().stream().filter(d -> d.to().endsWith(theirs)).count() >= more);
        // The other one reads it, and has nothing more leave to them.
        mail.replies(REPLIES, theirs);
        house.kill(which);
      }
      case READING -> {
        mail.replies(REPLIES, ".kills.example");
        killOnce(which, "select count(*) from inbound_mail", REPLIES / 2);
      }
    }
  }

  /** Kills one once something is counted that was not before. */
  private void killOnce(int which, String counted, int most) {
    long before = count(counted);
    int more = 1 + random.nextInt(most);
    KilledHouse.watch(() -> count(counted) >= before + more);
    house.kill(which);
  }

  /** Lets people of their own in; whatever fails is asked of either again. */
  private void letIn(int which) {
    List<Long> people = people("s" + ++lots, null);
    Map<String, Object> who = new HashMap<>();
    who.put("filter", null);
    who.put("people", people);
    int[] asked = {which};
    house.await(
        "lot " + lots + " is in",
        LIMIT,
        asked(() -> house.colleague(asked[0]++).post(path() + "/people", who).status() == 200));
  }

  private List<Long> people(String lot, LocalDate birthday) {
    LocalDate born = birthday == null ? null : birthday.minusYears(30);
    return sql.sql(
            """
            insert into person
              (kind, first_name, last_name, email, created_at, birthday, time_zone)
            select 'contact', 'Ann', 'Other ' || n, 'a' || n || '@' || :lot || '.kills.example',
                   now(), :born, :zone
            from generate_series(1, :people) n
            returning id
            """)
        .param("lot", lot)
        .param("born", born, java.sql.Types.DATE)
        .param("zone", forenoon().getId())
        .param("people", setting.people())
        .query(Long.class)
        .list();
  }

  private long count(String query) {
    return sql.sql(query).query(Long.class).single();
  }
}
