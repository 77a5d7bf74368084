package app.jemble.core.response;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.jemble.core.followup.FollowUp;
import java.time.Duration;
import java.time.Instant;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class StandingTest {

  private static final Instant SENT = Instant.parse("2026-03-24T09:00:00Z");
  private static final Duration TOO_SOON = Duration.ofSeconds(5);
  private static final String READER = "Mozilla/5.0 (X11; Linux x86_64) Gecko/20100101 Mail/128";

  @DataProvider
  public Object[][] standings() {
    return new Object[][] {
      {EnumSet.noneOf(ResponseKind.class), Standing.NOTHING},
      {
        EnumSet.of(ResponseKind.MACHINE_OPENED, ResponseKind.MACHINE_CLICKED),
        Standing.MACHINE_OPENED
      },
      {EnumSet.of(ResponseKind.MACHINE_OPENED, ResponseKind.OPENED), Standing.OPENED},
      {EnumSet.of(ResponseKind.OPENED, ResponseKind.CLICKED), Standing.CLICKED},
      {EnumSet.of(ResponseKind.OPENED, ResponseKind.AUTO_REPLIED), Standing.OPENED},
      {EnumSet.of(ResponseKind.MACHINE_OPENED, ResponseKind.AUTO_REPLIED), Standing.AUTO_REPLIED},
      {EnumSet.of(ResponseKind.CLICKED, ResponseKind.REPLIED), Standing.REPLIED},
      {EnumSet.of(ResponseKind.CLICKED, ResponseKind.LEFT), Standing.LEFT},
      {EnumSet.of(ResponseKind.COMPLAINED), Standing.LEFT},
      {EnumSet.of(ResponseKind.RETURNED_SOFT), Standing.RETURNED},
      {EnumSet.of(ResponseKind.RETURNED_SOFT, ResponseKind.REPLIED), Standing.REPLIED},
      {EnumSet.of(ResponseKind.RETURNED_HARD, ResponseKind.REPLIED), Standing.RETURNED},
    };
  }

  @Test(dataProvider = "standings")
  public void oneAnswerAMessage(Set<ResponseKind> kinds, Standing expected) {
    assertThat(Standing.of(kinds)).isEqualTo(expected);
  }

  @Test
  public void quietIsNoSignOfAPerson() {
    assertThat(EnumSet.allOf(Standing.class).stream().filter(Standing::isQuiet))
        .containsExactly(Standing.MACHINE_OPENED, Standing.NOTHING);
  }

  @Test
  public void whoeverAnsweredLeftOrWasReturnedGetsNoFollowUp() {
    assertThat(
            EnumSet.allOf(Standing.class).stream().filter(s -> FollowUp.stoppedBy(s).isPresent()))
        .containsExactly(Standing.RETURNED, Standing.REPLIED, Standing.LEFT);
  }

  @DataProvider
  public Object[][] fetches() {
    return new Object[][] {
      {0, READER, true},
      {5, READER, true},
      {6, READER, false},
      {3600, READER, false},
      {3600, "", true},
      {3600, null, true},
      {3600, "SafeLinkScanner/2.0", true},
      {3600, "Examplebot (+https://bot.example)", true},
      {3600, "python-requests/2.31", true},
      {3600, "Mozilla/5.0 (Linux; Bottle 3)", false},
      {3600, "Mozilla/5.0 (iPhone; CPU iPhone OS 17_0 like Mac OS X)", false},
    };
  }

  @Test(dataProvider = "fetches")
  public void tellsSoftwareFromPeople(int secondsAfter, String agent, boolean machine) {
    assertThat(isMachine(secondsAfter, agent, "198.51.100.7")).isEqualTo(machine);
  }

  private static boolean isMachine(int secondsAfter, String agent, String address) {
    FetchRules rules =
        new FetchRules(
            TOO_SOON,
            Duration.ofSeconds(5),
            List.of("Bot", "scanner", "python"),
            List.of(AddressRange.of("192.0.2.0/24").orElseThrow()));
    return FetchJudge.isMachine(
        SENT, new FetchJudge.Fetch(SENT.plusSeconds(secondsAfter), agent, address), rules);
  }

  @DataProvider
  public Object[][] followed() {
    return new Object[][] {
      {Set.of("a", "b", "c"), List.of("a", "b", "c"), true},
      {Set.of("a", "b", "c"), List.of("c", "a", "a", "b"), true},
      {Set.of("a", "b", "c"), List.of("a", "b", "b"), false},
      {Set.of("a", "b", "c", "d"), List.of("a", "b", "c"), false},
      {Set.of("a", "b"), List.of("a", "b"), false},
      {Set.of(), List.of(), false},
    };
  }

  @Test(dataProvider = "followed")
  public void whoFollowsAllLinksAtOnceIsSoftware(
      Set<String> links, List<String> followed, boolean software) {
    assertThat(FetchJudge.isBurst(links, followed)).isEqualTo(software);
  }

  @Test
  public void aServiceThatNamesItselfAReaderIsKnownByWhereItFetchesFrom() {
    assertThat(isMachine(3600, READER, "192.0.2.200")).isTrue();
    assertThat(isMachine(3600, READER, "192.0.3.1")).isFalse();
    assertThat(isMachine(3600, READER, null)).isFalse();
  }

  /** RFC 4632 section 3.1, RFC 4291 section 2.3; addresses for documentation. */
  @DataProvider
  public Object[][] ranges() {
    return new Object[][] {
      {"192.0.2.0/24", "192.0.2.255", true},
      {"192.0.2.0/24", "192.0.3.0", false},
      {"192.0.2.128/25", "192.0.2.127", false},
      {"192.0.2.128/25", "192.0.2.128", true},
      {"192.0.2.7", "192.0.2.7", true},
      {"192.0.2.7", "192.0.2.8", false},
      {"0.0.0.0/0", "203.0.113.9", true},
      {"2001:db8::/32", "2001:db8:ffff::1", true},
      {"2001:db8::/32", "2001:db9::1", false},
      {"2001:db8::/32", "192.0.2.1", false},
      {"192.0.2.0/24", "mail.example", false},
    };
  }

  @Test(dataProvider = "ranges")
  public void aRangeHoldsWhatBeginsWithItsBits(String range, String address, boolean holds) {
    assertThat(AddressRange.of(range).orElseThrow().holds(address)).isEqualTo(holds);
  }

  @Test
  public void whatIsNoRangeIsNotReadAsOne() {
    for (String wrong : List.of("", "mail.example", "192.0.2.0/33", "::/129", "192.0.2/24", "/8")) {
      assertThat(AddressRange.of(wrong)).as(wrong).isEmpty();
    }
  }

  /**
   * Newcombe 1998, "Two-sided confidence intervals for the single proportion", table I, method 3
   * (Wilson's score interval without continuity correction).
   */
  @DataProvider
  public Object[][] intervals() {
    return new Object[][] {
      {81, 263, 0.2553, 0.3662},
      {15, 148, 0.0624, 0.1605},
      {0, 20, 0.0000, 0.1611},
      {1, 29, 0.0061, 0.1718},
    };
  }

  @Test(dataProvider = "intervals")
  public void intervalsAreWilsons(int count, int total, double low, double high) {
    Interval interval = Interval.of(count, total);
    assertThat(interval.low()).isCloseTo(low, within(0.00005));
    assertThat(interval.high()).isCloseTo(high, within(0.00005));
  }

  @Test
  public void noShareNoInterval() {
    assertThatThrownBy(() -> Interval.of(1, 0)).hasMessageContaining("1 of 0");
    assertThatThrownBy(() -> Interval.of(3, 2)).hasMessageContaining("3 of 2");
  }
}
