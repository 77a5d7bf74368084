package app.jemble.core.signup;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.signup.Confirmation.Standing;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What keeps software and strangers from signing up others, and the reader's language. */
public class SignUpRulesTest {

  private static final byte[] KEY =
      "a secret of thirty-two octets ok".getBytes(StandardCharsets.UTF_8);
  private static final Instant NOW = Instant.parse("2026-11-27T10:00:00Z");

  @Test
  public void aFormIsTakenWhenAPersonCanHaveFilledIt() {
    String seal = FormSeal.of(NOW, KEY);
    assertThat(FormSeal.shownAt(seal, KEY)).contains(NOW);
    assertThat(FormSeal.isTaken(seal, NOW.plusMillis(1999), KEY)).isFalse();
    assertThat(FormSeal.isTaken(seal, NOW.plusSeconds(2), KEY)).isTrue();
    assertThat(FormSeal.isTaken(seal, NOW.plus(Duration.ofHours(48)), KEY)).isTrue();
    assertThat(FormSeal.isTaken(seal, NOW.plus(Duration.ofHours(49)), KEY)).isFalse();
    assertThat(FormSeal.isTaken(seal, NOW.minusSeconds(5), KEY)).isFalse();
  }

  @Test
  public void noSealIsMadeByAnybodyElse() {
    String seal = FormSeal.of(NOW, KEY);
    byte[] other = "another secret of thirty-two oct".getBytes(StandardCharsets.UTF_8);
    Instant later = NOW.plusSeconds(60);
    assertThat(FormSeal.isTaken(FormSeal.of(NOW, other), later, KEY)).isFalse();
    assertThat(FormSeal.isTaken(null, later, KEY)).isFalse();
    assertThat(FormSeal.isTaken("", later, KEY)).isFalse();
    assertThat(FormSeal.isTaken("é", later, KEY)).isFalse();
    for (int i = 0; i < seal.length(); i++) {
      char turned = seal.charAt(i) == 'A' ? 'B' : 'A';
      String forged = seal.substring(0, i) + turned + seal.substring(i + 1);
      assertThat(FormSeal.isTaken(forged, later, KEY)).as("letter %d", i).isFalse();
    }
  }

  @Test
  public void aConfirmationIsGoodForSevenDaysAndOnce() {
    Confirmation asked = new Confirmation(NOW, null);
    assertThat(asked.at(NOW)).isEqualTo(Standing.WAITS);
    assertThat(asked.at(NOW.plus(Duration.ofDays(7)).minusMillis(1))).isEqualTo(Standing.WAITS);
    assertThat(asked.at(NOW.plus(Duration.ofDays(7)))).isEqualTo(Standing.OVER);
    assertThat(new Confirmation(NOW, NOW.plusSeconds(9)).at(NOW.plus(Duration.ofDays(30))))
        .isEqualTo(Standing.CONFIRMED);
  }

  @DataProvider
  public Object[][] networks() {
    return new Object[][] {
      // Documentation prefixes: RFC 5737 and RFC 3849.
      {"192.0.2.17", "192.0.2.0/24"},
      {"192.0.2.255", "192.0.2.0/24"},
      {"2001:db8:1:2:3:4:5:6", "2001:db8:1:2:0:0:0:0/64"},
      {"2001:db8:1:2::", "2001:db8:1:2:0:0:0:0/64"},
      {"no address", "no address"},
    };
  }

  @Test(dataProvider = "networks")
  public void aNetworkIsWhatOneHouseholdHas(String address, String network) {
    assertThat(PostLimit.network(address)).isEqualTo(network);
  }

  @DataProvider
  public Object[][] accepted() {
    Set<ReaderLanguage> all = EnumSet.allOf(ReaderLanguage.class);
    return new Object[][] {
      {"de-CH, fr;q=0.9, en;q=0.8", all, ReaderLanguage.DE},
      {"en;q=0.3, nb-NO", all, ReaderLanguage.NO},
      {"nn", all, ReaderLanguage.NO},
      {"it, es-419;q=0.5", all, ReaderLanguage.ES},
      {"da, de;q=0", all, null},
      {"de, fr;q=0.5", Set.of(ReaderLanguage.FR), ReaderLanguage.FR},
      {null, all, null},
      {"", all, null},
      {"de;q=many", all, null},
      {"x".repeat(9000), all, null},
    };
  }

  @Test(dataProvider = "accepted")
  public void theReadersLanguageIsTheFirstThatShips(
      String accepted, Set<ReaderLanguage> some, ReaderLanguage best) {
    assertThat(ReaderLanguage.best(accepted, some).orElse(null)).isEqualTo(best);
  }

  @Test
  public void tagsOfPeopleOnRecordAreRead() {
    assertThat(List.of("en-GB", "de", "fr_CA", "nb-NO", "es-MX"))
        .allSatisfy(tag -> assertThat(ReaderLanguage.of(tag)).isPresent());
    assertThat(ReaderLanguage.of("cy-GB")).isEmpty();
    assertThat(ReaderLanguage.of(null)).isEmpty();
    assertThat(ReaderLanguage.of("!!")).isEmpty();
  }

  @Test
  public void theFirstLanguageThatShipsIsTaken() {
    assertThat(ReaderLanguage.firstOf(null, "nb-NO")).isEqualTo(ReaderLanguage.NO);
    assertThat(ReaderLanguage.firstOf("de", "fr-FR")).isEqualTo(ReaderLanguage.DE);
    assertThat(ReaderLanguage.firstOf("cy-GB", "", "es-ES")).isEqualTo(ReaderLanguage.ES);
    assertThat(ReaderLanguage.firstOf(null, "cy-GB")).isEqualTo(ReaderLanguage.EN);
  }
}
