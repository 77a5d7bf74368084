package app.jemble.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.ServerTest;
import app.jemble.core.pace.WallClock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.zone.ZoneOffsetTransition;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * The clocks that plans are made with, against zone data that is not Java's: PostgreSQL reads the
 * IANA database as Debian packages it (tzdata).
 */
public class ZoneDataTest extends ServerTest {

  private static final Instant FROM = Instant.parse("2025-01-01T00:00:00Z");
  private static final Instant TO = Instant.parse("2029-01-01T00:00:00Z");

  @DataProvider
  public Object[] zones() {
    return new Object[] {
      "Europe/London",
      "Europe/Dublin",
      "Europe/Lisbon",
      "Europe/Oslo",
      "Europe/Helsinki",
      "Atlantic/Azores",
      "America/New_York",
      "America/St_Johns",
      "America/Halifax",
      "America/Phoenix",
      "America/Santiago",
      "Africa/Casablanca",
      "Asia/Beirut",
      "Asia/Kolkata",
      "Asia/Kathmandu",
      "Asia/Tokyo",
      "Australia/Adelaide",
      "Australia/Lord_Howe",
      "Pacific/Auckland",
      "Pacific/Chatham",
      "Pacific/Honolulu"
    };
  }

  @Test(dataProvider = "zones")
  public void aClockShowsTheSameAtEveryInstant(String zone) {
    ZoneId id = ZoneId.of(zone);
    List<Instant> instants = instants(id);
    List<LocalDateTime> theirs = walls(instants, zone);
    for (int i = 0; i < instants.size(); i++) {
      assertThat(LocalDateTime.ofInstant(instants.get(i), id))
          .as("%s in %s", instants.get(i), zone)
          .isEqualTo(theirs.get(i));
    }
  }

  /** A start at a wall-clock time is when their clock shows it, or the first instant after. */
  @Test(dataProvider = "zones")
  public void aStartIsWhenTheClockShowsIt(String zone) {
    ZoneId id = ZoneId.of(zone);
    List<Instant> starts = new ArrayList<>();
    List<LocalDateTime> wanted = new ArrayList<>();
    for (Instant instant : instants(id)) {
      LocalDateTime wall = LocalDateTime.ofInstant(instant, id).plusMinutes(7);
      wanted.add(wall);
      starts.add(WallClock.at(wall, id));
    }
    List<LocalDateTime> shown = walls(starts, zone);
    List<LocalDateTime> justBefore =
        walls(starts.stream().map(s -> s.minusSeconds(1)).toList(), zone);
    for (int i = 0; i < starts.size(); i++) {
      boolean exact = shown.get(i).equals(wanted.get(i));
      boolean afterGap =
          shown.get(i).isAfter(wanted.get(i)) && justBefore.get(i).isBefore(wanted.get(i));
      assertThat(exact || afterGap).as("%s in %s", wanted.get(i), zone).isTrue();
    }
  }

  /** Around every change of the clocks, and some between. */
  private static List<Instant> instants(ZoneId zone) {
    List<Instant> instants = new ArrayList<>();
    ZoneOffsetTransition next = zone.getRules().nextTransition(FROM);
    while (next != null && next.getInstant().isBefore(TO)) {
      for (int minutes = -150; minutes <= 150; minutes += 15) {
        instants.add(next.getInstant().plusSeconds(minutes * 60L));
      }
      instants.add(next.getInstant().minusSeconds(1));
      next = zone.getRules().nextTransition(next.getInstant());
    }
    Random random = new Random(zone.getId().hashCode());
    long length = Duration.between(FROM, TO).toSeconds();
    for (int i = 0; i < 200; i++) {
      instants.add(FROM.plusSeconds((long) (random.nextDouble() * length)));
    }
    return instants;
  }

  private List<LocalDateTime> walls(List<Instant> instants, String zone) {
    Long[] seconds = instants.stream().map(Instant::getEpochSecond).toArray(Long[]::new);
    return sql
        .sql(
            """
            select extract(epoch from to_timestamp(s) at time zone ?)::bigint
            from unnest(?) with ordinality as asked (s, place)
            order by place
            """)
        .params(zone, seconds)
        .query(Long.class)
        .list()
        .stream()
        .map(local -> LocalDateTime.ofEpochSecond(local, 0, ZoneOffset.UTC))
        .toList();
  }
}
