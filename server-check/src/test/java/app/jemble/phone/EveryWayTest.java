package app.jemble.phone;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.AppHouse;
import app.jemble.Eventually;
import app.jemble.ServerTest;
import app.jemble.TextHouse;
import app.jemble.carrier.notice.PushKeys;
import app.jemble.core.reach.Channel;
import app.jemble.core.reach.Reach;
import app.jemble.core.reach.Ways;
import app.jemble.standins.push.PretendApp;
import app.jemble.standins.push.PushService;
import app.jemble.standins.text.MessageCentre;
import java.sql.Timestamp;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.zone.ZoneRules;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Base64;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Collectors;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/**
 * Random people, each with random addresses, refusals and a clock of their own: the whole house
 * gives each exactly one message, on the way that core finds, and none at night.
 */
public class EveryWayTest extends ServerTest {

  private static final int PEOPLE = 120;
  private static final int HOURS = 26;
  private static final LocalTime NIGHT = LocalTime.of(21, 0);
  private static final LocalTime MORNING = LocalTime.of(8, 0);

  private static final List<String> ZONES =
      ZoneId.getAvailableZoneIds().stream()
          .filter(zone -> zone.matches("(Africa|America|Asia|Australia|Europe|Pacific)/\\w+"))
          .sorted()
          .filter(zone -> zone.hashCode() % 9 == 0)
          .toList();

  private final AtomicInteger notices = new AtomicInteger();
  private MessageCentre centre;
  private PushService service;
  private PretendApp app;
  private int named;

  /** What is on record of somebody, as the oracle knows it. */
  private static final class Known {
    private final Map<Channel, String> addresses = new EnumMap<>(Channel.class);
    private final Set<Channel> left = EnumSet.noneOf(Channel.class);
    private final Set<Channel> listed = EnumSet.noneOf(Channel.class);
    private boolean askedNot;
    private long id;
    private ZoneId zone;

    private Reach by(Channel way) {
      return Reach.by(
          way,
          new Reach.Facts(
              addresses.get(way),
              askedNot,
              left.contains(way),
              listed.contains(way),
              false,
              false));
    }
  }

  @Override
  protected List<String> moreSettings() {
    if (centre == null) {
      centre = new MessageCentre(0, TextHouse.USER, TextHouse.PASSWORD);
      service = new PushService(0);
      service.tells(notice -> notices.incrementAndGet());
      app = new PretendApp("all", new byte[] {7});
    }
    List<String> settings = new ArrayList<>(TextHouse.through(centre.port()));
    settings.addAll(AppHouse.through(service));
    return settings;
  }

  @Override
  protected int people() {
    return 3;
  }

  @Override
  protected Duration readersDay() {
    return Duration.ofDays(30);
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void begin() {
    api.signIn("orla", "lowen-quay");
    sql.sql("update workspace set zone = 'Europe/London'").update();
    sql.sql("update phone_rules set most_a_day = null, most_a_month = null").update();
  }

  @AfterClass(alwaysRun = true)
  public void closeServices() {
    centre.close();
    service.close();
  }

  /** The evenings before clocks change in America, Europe and Australia. */
  @DataProvider
  public Object[][] orders() {
    return new Object[][] {
      {List.of(Channel.APP, Channel.TEXT, Channel.EMAIL), 18, "2027-03-13T18:00:00Z", "America"},
      {List.of(Channel.TEXT, Channel.EMAIL), 13, "2027-03-27T18:00:00Z", "Europe"},
      {List.of(Channel.EMAIL, Channel.APP), 29, "2027-04-03T10:00:00Z", "Australia"}
    };
  }

  @Test(dataProvider = "orders")
  public void eachGetsOneMessageOnTheFirstOpenWay(
      List<Channel> order, long seed, String evening, String continent) {
    Instant begin = Instant.parse(evening);
    assertThat(changing(begin))
        .as("clocks change that night")
        .anyMatch(z -> z.startsWith(continent));
    clock.advance(Duration.between(clock.instant(), begin));
    Random random = new Random(seed);
    Ways ways = new Ways(order);
    sql.sql("update workspace set hold_seconds = 3600").update();
    List<Known> everyone = new ArrayList<>();
    for (int i = 0; i < PEOPLE; i++) {
      everyone.add(somebody(random));
    }
    long mailing = mailing(everyone, order);
    Map<Known, Ways.Found> found = new HashMap<>();
    everyone.forEach(one -> found.put(one, ways.first(one::by)));
    theCheckAddsUp(mailing, found);

    assertThat(release(mailing).status()).isEqualTo(200);
    long written = found.values().stream().filter(Ways.Found::isReady).count();
    Eventually.holds(() -> assertThat(count(mailing, "true")).isEqualTo(written));
    closeSome(random, ways, found);
    int noticesBefore = notices.get();
    int textsBefore = centre.arrived().size();
    for (int hour = 0; hour < HOURS; hour++) {
      clock.advance(Duration.ofHours(1));
      Timestamp now = Timestamp.from(clock.instant());
      Eventually.holds(
          () ->
              assertThat(
                      count(
                          mailing, "state in ('waiting', 'deferred') and due_at <= '" + now + "'"))
                  .isZero());
    }
    theOutboxHasWhatCoreFound(mailing, found);
    assertThat(notices.get() - noticesBefore).isEqualTo(sent(mailing, Channel.APP));
    assertThat(centre.arrived().size() - textsBefore).isEqualTo(sent(mailing, Channel.TEXT));
  }

  /** Zones of the trial whose clocks change within a day. */
  private static List<String> changing(Instant from) {
    return ZONES.stream()
        .filter(
            zone -> {
              ZoneRules rules = ZoneId.of(zone).getRules();
              return !rules.getOffset(from).equals(rules.getOffset(from.plus(Duration.ofDays(1))));
            })
        .toList();
  }

  private long count(long mailing, String which) {
    return sql.sql("select count(*) from message where cause_id = ? and " + which)
        .param(mailing)
        .query(Long.class)
        .single();
  }

  private int sent(long mailing, Channel way) {
    return (int) count(mailing, "state = 'sent' and channel = '" + way + "'");
  }

  private Known somebody(Random random) {
    Known one = new Known();
    int number = ++named;
    one.zone = ZoneId.of(ZONES.get(random.nextInt(ZONES.size())));
    one.askedNot = random.nextInt(20) == 0;
    String email =
        random.nextInt(4) == 0
            ? null
            : random.nextInt(12) == 0 ? "no address" : "n" + number + "@every.example";
    String phone =
        random.nextInt(5) < 2
            ? null
            : random.nextInt(8) == 0
                ? "12"
                : String.format(Locale.ROOT, "+447700%06d", 100_000 + number);
    one.id = addPerson("Ann", "Every" + number, email);
    one.addresses.put(Channel.EMAIL, email);
    one.addresses.put(Channel.TEXT, phone);
    sql.sql(
            """
            update person
            set phone = ?, time_zone = ?, asked_not = ?, email_valid = ?, phone_valid = ?
            where id = ?
            """)
        .params(
            Arrays.asList(
                phone,
                one.zone.getId(),
                one.askedNot,
                email == null || email.contains("@"),
                phone == null || phone.length() > 2,
                one.id))
        .update();
    if (random.nextInt(5) < 2) {
      register(one);
    }
    for (Channel way : List.of(Channel.EMAIL, Channel.TEXT, Channel.APP)) {
      refuse(one, way, random);
    }
    return one;
  }

  private void register(Known one) {
    String device = "d" + one.id;
    String address = service.subscribe(device, application.getBean(PushKeys.class).publicKey());
    Base64.Decoder base64 = Base64.getUrlDecoder();
    sql.sql(
            """
            insert into device (person_id, address, key, secret, registered_at, heard_at)
            values (?, ?, ?, ?, now(), now())
            """)
        .params(one.id, address, base64.decode(app.key()), base64.decode(app.secret()))
        .update();
    one.addresses.put(Channel.APP, address);
  }

  private void refuse(Known one, Channel way, Random random) {
    if (random.nextInt(10) == 0) {
      close(one, way);
    } else if (random.nextInt(10) == 0) {
      one.left.add(way);
      sql.sql(
              "insert into topic_left (person_id, topic_id, channel, left_at) select ?, id, ?, now() from topic")
          .params(one.id, way.name())
          .update();
    }
    String address = one.addresses.get(way);
    if (address != null && random.nextInt(12) == 0) {
      one.listed.add(way);
      sql.sql(
              "insert into do_not_write (address_key, reason, since) values (lower(?), 'by hand', now()) on conflict do nothing")
          .param(address)
          .update();
    }
  }

  private void close(Known one, Channel way) {
    one.left.add(way);
    sql.sql(
            """
            insert into way_closed (person_id, channel, closed_at, how)
            values (?, ?, now(), 'said so') on conflict do nothing
            """)
        .params(one.id, way.name())
        .update();
  }

  private long mailing(List<Known> everyone, List<Channel> order) {
    long id = draft(everyone.stream().map(one -> one.id).toList(), "Every", "<p>By mail</p>");
    Map<String, Object> change = change(id, "Every", "<p>By mail</p>");
    change.put("ways", order.stream().map(Channel::name).toList());
    change.put("text", Map.of("words", "By text", "likeness", "NOWHERE"));
    change.put("notice", Map.of("title", "In the app", "words", "A notice", "link", ""));
    assertThat(api.put("/api/mailings/" + id, change).status()).isEqualTo(200);
    return id;
  }

  /** Those who are ready by way, and the others by reason, are all there are. */
  private void theCheckAddsUp(long mailing, Map<Known, Ways.Found> found) {
    JsonNode check = api.get("/api/mailings/" + mailing + "/check").json();
    Map<String, Long> seen = new TreeMap<>();
    check
        .get("ways")
        .forEach(w -> add(seen, w.get("channel").asString(), w.get("people").asLong()));
    check
        .get("cannot")
        .forEach(c -> add(seen, c.get("reach").asString(), c.get("people").asLong()));
    Map<String, Long> meant =
        found.values().stream()
            .collect(
                Collectors.groupingBy(
                    f -> f.isReady() ? f.channel().name() : f.reach().name(),
                    TreeMap::new,
                    Collectors.counting()));
    assertThat(seen).isEqualTo(meant);
    assertThat(seen.values().stream().mapToLong(n -> n).sum()).isEqualTo(PEOPLE);
  }

  private static void add(Map<String, Long> seen, String what, long people) {
    if (people > 0) {
      seen.put(what, people);
    }
  }

  /** Between release and hand-over some ways close: the next one is taken, or none. */
  private void closeSome(Random random, Ways ways, Map<Known, Ways.Found> found) {
    for (Map.Entry<Known, Ways.Found> of : found.entrySet()) {
      Known one = of.getKey();
      if (of.getValue().isReady() && random.nextInt(6) == 0) {
        Channel way = of.getValue().channel();
        close(one, way);
        of.setValue(ways.after(new Ways.Shut(way, one.by(way)), one::by));
      }
    }
  }

  private void theOutboxHasWhatCoreFound(long mailing, Map<Known, Ways.Found> found) {
    found.forEach(
        (one, way) -> {
          String state = messageValue(mailing, one.id, "state");
          if (!way.isReady()) {
            assertThat(state).as("%s", way).isIn(null, "withdrawn");
            return;
          }
          assertThat(state).as("%s", way).isEqualTo("sent");
          assertThat(messageValue(mailing, one.id, "channel")).isEqualTo(way.channel().name());
          if (way.channel().rings()) {
            notAtNight(mailing, one);
          }
        });
  }

  private void notAtNight(long mailing, Known one) {
    Instant at =
        sql.sql("select sent_at from message where cause_id = ? and person_id = ?")
            .params(mailing, one.id)
            .query(Timestamp.class)
            .single()
            .toInstant();
    LocalTime there = at.atZone(one.zone).toLocalTime();
    assertThat(there.isBefore(MORNING) || !there.isBefore(NIGHT))
        .as("%s in %s", there, one.zone)
        .isFalse();
  }
}
