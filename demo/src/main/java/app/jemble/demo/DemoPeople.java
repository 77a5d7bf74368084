package app.jemble.demo;

import static app.jemble.demo.DemoWords.any;

import app.jemble.core.record.EmailAddress;
import app.jemble.core.record.Words;
import app.jemble.storage.CopyIn;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;

/** People with the dirt of real records: gaps, capitals, duplicates, other alphabets. */
final class DemoPeople {

  private static final List<String> PLANS =
      List.of("Oar", "Sail", "Sail", "Workshop", "Family", "School");
  private static final List<String> STAGES = List.of("new", "talking", "quoted", "won", "lost");
  private static final List<String> SOURCES =
      List.of("boat show", "web form", "a friend", "open day", "telephone");

  private final Instant now;
  private final LocalDate today;
  private final Random random;
  private final List<Long> introducers;
  private final List<Long> members = new ArrayList<>();

  /**
   * @param introducers the ids of two people who brought many of the others
   */
  DemoPeople(long seed, Instant now, List<Long> introducers) {
    this.introducers = introducers;
    this.now = now;
    this.today = now.atZone(ZoneOffset.UTC).toLocalDate();
    this.random = new Random(seed);
  }

  /** Writes so many people and their memberships; ids run from 1. */
  void write(Connection connection, int count, List<Long> owners, int organisations)
      throws SQLException {
    try (CopyIn people =
        new CopyIn(
            connection,
            "person (id, kind, honorific, first_name, last_name, email, email_valid, phone, "
                + "number, language, time_zone, birthday, address_street, address_postcode, "
                + "address_place, owner_id, organisation_id, introduced_by, tags, source, stage, "
                + "last_visit_at, created_at, asked_not, attributes)")) {
      for (long id = 1; id <= count; id++) {
        person(people, id, owners, organisations);
      }
    }
    try (CopyIn memberships =
        new CopyIn(
            connection,
            "membership (person_id, plan, status, joined_on, renews_on, dues_owed, currency)")) {
      for (long member : members) {
        membership(memberships, member);
      }
    }
  }

  private void person(CopyIn people, long id, List<Long> owners, int organisations)
      throws SQLException {
    int sort = random.nextInt(100);
    String kind = sort < 62 ? "member" : sort < 82 ? "lead" : "contact";
    String first = any(DemoWords.FIRST, random);
    String last = any(DemoWords.LAST, random);
    int place =
        random.nextInt(3) == 0 ? random.nextInt(DemoWords.PLACES.size()) : random.nextInt(2);
    String email = email(first, last, id);
    String[] name = asWritten(first, last);
    boolean member = kind.equals("member");
    if (member) {
      members.add(id);
    }
    people.row(
        id,
        kind,
        random.nextInt(20) == 0 ? "Dr" : null,
        name[0],
        name[1],
        email,
        email == null || EmailAddress.isValid(email),
        phone(),
        "TQ-" + (10_000 + id),
        "en-GB",
        random.nextInt(25) == 0 ? null : DemoWords.ZONES.get(place),
        birthday(),
        (1 + random.nextInt(80)) + " " + any(DemoWords.LAST, random) + " Lane",
        "LQ" + (1 + random.nextInt(9)) + " " + (1 + random.nextInt(9)) + "TQ",
        DemoWords.PLACES.get(place),
        owners.get(random.nextInt(3) == 0 ? 1 : 0),
        random.nextInt(member ? 20 : 3) == 0 ? 1 + random.nextInt(organisations) : null,
        introducedBy(id),
        tags(),
        random.nextInt(3) == 0 ? null : any(SOURCES, random),
        kind.equals("lead") ? any(STAGES, random) : null,
        lastVisit(member),
        created(),
        random.nextInt(90) == 0,
        attributes(member));
  }

  /** A first and a last name, as somebody once typed them; some in capitals, some without. */
  private String[] asWritten(String first, String last) {
    int dirt = random.nextInt(100);
    if (dirt < 2) {
      return new String[] {first.toUpperCase(Locale.ROOT), last.toUpperCase(Locale.ROOT)};
    }
    if (dirt == 2) {
      return new String[] {first.toLowerCase(Locale.ROOT), last};
    }
    if (dirt == 3) {
      return new String[] {null, last};
    }
    return dirt < 7 ? DemoWords.otherAlphabet(random) : new String[] {first, last};
  }

  /** Some were brought by the first two, others by somebody who came before. */
  private Long introducedBy(long id) {
    if (id <= 20 || id % 4 > 1 || id % 7 > 3) {
      return null;
    }
    return id % 8 == 0 ? introducers.get(id % 3 == 0 ? 0 : 1) : Long.valueOf(id - 1 - id % 5);
  }

  private String email(String first, String last, long id) {
    int luck = random.nextInt(100);
    if (luck < 3) {
      return null;
    }
    String local = Words.fold(first).replaceAll("[^a-z]", "x");
    String domain = Words.fold(last).replaceAll("[^a-z]", "x");
    if (luck == 3) {
      return local + "@" + domain;
    }
    // Now and then a household shares one address.
    long number = luck == 4 ? id / 20 * 20 : id;
    return local + number + "@" + domain + (random.nextInt(4) == 0 ? ".test" : ".example");
  }

  /** Ofcom's numbers for drama: 07700 900000 to 900999. */
  private String phone() {
    return random.nextInt(5) == 0
        ? null
        : "+44 7700 900" + String.format(Locale.ROOT, "%03d", random.nextInt(1000));
  }

  private LocalDate birthday() {
    return random.nextInt(3) == 0
        ? null
        : today.minusYears(18 + random.nextInt(60)).minusDays(random.nextInt(365));
  }

  private List<String> tags() {
    List<String> tags = new ArrayList<>();
    for (int i = random.nextInt(4); i > 1; i--) {
      String tag = any(DemoWords.TAGS, random);
      if (!tags.contains(tag)) {
        tags.add(tag);
      }
    }
    return tags;
  }

  private Instant lastVisit(boolean member) {
    if (random.nextInt(member ? 12 : 3) == 0) {
      return null;
    }
    double back = Math.abs(random.nextGaussian()) * 330;
    return now.minus(Duration.ofMinutes((long) (back * 1440) + random.nextInt(600)));
  }

  private Instant created() {
    return now.minus(Duration.ofHours(24L * random.nextInt(3000) + random.nextInt(24)));
  }

  private String attributes(boolean member) {
    return member && random.nextInt(6) != 0
        ? "{\"berth_name\": \"" + any(DemoWords.BERTHS, random) + "\"}"
        : "{}";
  }

  private void membership(CopyIn memberships, long personId) throws SQLException {
    LocalDate joined = today.minusDays(1 + random.nextInt(4000));
    boolean owes = random.nextInt(7) == 0;
    int state = random.nextInt(20);
    memberships.row(
        personId,
        any(PLANS, random),
        state == 0 ? "lapsed" : state == 1 ? "waiting" : "active",
        joined,
        today.plusDays(random.nextInt(365)),
        owes ? (12 + random.nextInt(30)) * 3 + ".00" : null,
        owes ? "GBP" : null);
  }
}
