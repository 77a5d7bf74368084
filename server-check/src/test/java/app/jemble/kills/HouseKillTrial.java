package app.jemble.kills;

import app.jemble.Api;
import app.jemble.Drafts;
import app.jemble.standins.PostOffice;
import java.io.IOException;
import java.time.Duration;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.CompletableFuture;
import org.springframework.jdbc.core.simple.JdbcClient;

/**
 * Two processes release mailings, hand messages over, read the mailbox and act on rules, and are
 * killed (SIGKILL) at random while they do; now and then both at once. After each kill a mail is
 * put into the mailbox, and the time is taken until it is read.
 */
public final class HouseKillTrial {

  /** What a process is killed at. */
  public enum Moment {
    RELEASE,
    HANDOVER,
    READING,
    RULES
  }

  /**
   * @param database its JDBC address; a house with the demo's colleagues is in it
   * @param kills how often a process is killed
   * @param people how many each mailing goes to
   */
  public record Setting(String database, long seed, int kills, int people) {}

  /**
   * What came of it.
   *
   * @param moments how often one was killed at each
   * @param slowest from a kill, or from the next start where both were killed, to when a mail that
   *     came after it was read
   */
  public record Outcome(Map<Moment, Integer> moments, HouseTally tally, Duration slowest) {}

  private static final Duration LIMIT = Duration.ofMinutes(4);
  private static final Duration TO_READ = Duration.ofMinutes(1);
  private static final int REPLIES = 30;

  private final Setting setting;
  private final PostOffice office;
  private final Random random;
  private final JdbcClient sql;
  private final KilledMail mail;
  private final Map<Moment, Integer> moments = new EnumMap<>(Moment.class);
  private KilledHouse house;
  private int mailings;
  private Duration slowest = Duration.ZERO;

  private HouseKillTrial(Setting setting, PostOffice office) {
    this.setting = setting;
    this.office = office;
    this.random = new Random(setting.seed());
    this.sql = HouseTally.connect(setting.database());
    this.mail = new KilledMail(office, random);
  }

  /** Runs until everything that was begun is done. */
  public static Outcome run(Setting setting) throws IOException {
    // No reader does anything of their own within the trial, but for mailboxes that do not work.
    try (PostOffice office =
        new PostOffice(0, 0, "ternquay.example", Duration.ofDays(30), setting.seed())) {
      return new HouseKillTrial(setting, office).run();
    }
  }

  private Outcome run() {
    sql.sql("update sending_rules set hours = null, daily_cap = null").update();
    sql.sql("update workspace set hold_seconds = 0").update();
    try (KilledHouse both = new KilledHouse(setting.database(), office, random)) {
      house = both;
      release(0);
      for (int kill = 0; kill < setting.kills(); kill++) {
        Moment moment = Moment.values()[kill % Moment.values().length];
        moments.merge(moment, 1, Integer::sum);
        // Whoever is killed leaves the other behind; how long a start takes is not asked here.
        house.await("both are up", LIMIT, () -> house.isUp(0) && house.isUp(1));
        killAt(moment, house.either());
        probe(kill);
      }
      house.await("all is settled", LIMIT, () -> HouseTally.isSettled(sql, office));
      return new Outcome(moments, HouseTally.of(sql, office), slowest);
    }
  }

  private void killAt(Moment moment, int which) {
    switch (moment) {
      case RELEASE -> {
        CompletableFuture<Void> release = CompletableFuture.runAsync(() -> release(which));
        KilledHouse.pause(Duration.ofMillis(200 + random.nextInt(1500)));
        house.kill(which);
        release.join();
      }
      case HANDOVER -> {
        release(which);
        int before = office.delivered().size();
        int more = 1 + random.nextInt(setting.people() / 2);
        KilledHouse.watch(() -> office.delivered().size() >= before + more);
        house.kill(which);
      }
      case READING -> {
        long before = count("select count(*) from inbound_mail");
        mail.replies(REPLIES, ".kills.example");
        int more = 1 + random.nextInt(REPLIES / 2);
        KilledHouse.watch(() -> count("select count(*) from inbound_mail") >= before + more);
        house.kill(which);
      }
      case RULES -> {
        long before = count("select count(*) from follow_act");
        int more = 1 + random.nextInt(setting.people());
        KilledHouse.watch(() -> count("select count(*) from follow_act") >= before + more);
        house.kill(which);
      }
    }
  }

  /** How long the mailbox is not read after a kill, while there is a process. */
  private void probe(int kill) {
    house.await("one of them is up", LIMIT, () -> house.isUp(0) || house.isUp(1));
    long killed = System.nanoTime();
    String identity = mail.probe(kill);
    house.await("mail " + identity + " is read", TO_READ, () -> isRead(identity));
    Duration took = Duration.ofNanos(System.nanoTime() - killed);
    slowest = took.compareTo(slowest) > 0 ? took : slowest;
  }

  private boolean isRead(String identity) {
    return sql.sql("select exists (select from inbound_mail where identity = ?)")
        .param(identity)
        .query(Boolean.class)
        .single();
  }

  /** A mailing to people of its own with two rules; whatever fails is asked of either again. */
  private void release(int which) {
    int number = ++mailings;
    List<Long> people = people(number);
    long[] mailing = {0};
    boolean[] written = {false};
    int[] asked = {which};
    int[] key = {0};
    house.await(
        "mailing " + number + " is released",
        LIMIT,
        () -> {
          try {
            Api api = house.colleague(asked[0]++);
            mailing[0] = mailing[0] > 0 ? mailing[0] : begin(api, number + "-" + key[0], people);
            written[0] = written[0] || write(api, mailing[0], number);
            return isReleased(api, mailing[0]);
          } catch (IllegalStateException killed) {
            return false;
          } catch (NotKnown doubt) {
            key[0]++;
            return false;
          }
        });
  }

  /** The process that began an act was killed at it; who asked looks, and asks anew. */
  private static final class NotKnown extends RuntimeException {
    private static final long serialVersionUID = 1L;

    NotKnown(String what) {
      super(what);
    }
  }

  private static long begin(Api api, String key, List<Long> people) {
    Map<String, Object> begin = new HashMap<>();
    begin.putAll(Map.of("parts", List.of(), "picks", people, "leftOut", List.of()));
    Api.Answer begun = api.once("kill-mailing-" + key, "/api/mailings", begin);
    if (begun.status() == 409) {
      throw new NotKnown(begun.text());
    }
    if (begun.status() != 200) {
      throw new AssertionError("a mailing cannot be begun: " + begun.text());
    }
    return begun.json().get("id").asLong();
  }

  private static boolean write(Api api, long mailing, int number) {
    String path = "/api/mailings/" + mailing;
    Map<String, Object> change =
        Drafts.change(api, mailing, "Kills " + number, "<p>Dear {{first_name}}</p>");
    Map<String, Object> send = rule(Map.of("kind", "SEND"));
    send.put("body", "<p>Dear {{first_name}}, once more.</p>");
    Map<String, Object> call =
        rule(Map.of("kind", "TASK", "taskKind", "call", "title", HouseTally.title(mailing)));
    return api.put(path, change).status() == 200
        && api.put(path + "/rules", List.of(send, call)).status() == 200;
  }

  private static Map<String, Object> rule(Map<String, Object> act) {
    Map<String, Object> rule = new HashMap<>();
    rule.putAll(Map.of("whom", "NO_REPLY", "waitCount", 1, "waitUnit", "HOURS"));
    rule.put("except", List.of());
    rule.put("act", act);
    return rule;
  }

  /** An answer that a kill has cut off says nothing: it is looked whether it was done. */
  private static boolean isReleased(Api api, long mailing) {
    String path = "/api/mailings/" + mailing;
    Api.Answer now = api.get(path);
    if (now.json().get("state").asString().equalsIgnoreCase("released")) {
      return true;
    }
    Map<String, Object> version = Map.of("version", now.json().get("version").asInt());
    return api.post(path + "/release", version).status() == 200;
  }

  private List<Long> people(int number) {
    return sql.sql(
            """
            insert into person (kind, first_name, last_name, email, created_at)
            select 'contact', 'Ann', 'Other ' || n, 'a' || n || '@m' || ? || '.kills.example', now()
            from generate_series(1, ?) n
            returning id
            """)
        .params(number, setting.people())
        .query(Long.class)
        .list();
  }

  private long count(String query) {
    return sql.sql(query).query(Long.class).single();
  }
}
