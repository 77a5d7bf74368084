package app.jemble.core.access;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What OWASP ASVS 5, V6.2 asks of passwords, from memory. */
public class PasswordRuleTest {

  private static final Set<String> COMMONEST = Set.of("password", "qwertyuiopas", "correcthorse");
  private static final List<String> KNOWN = List.of("orla", "Orla Finch", "Tern Quay Boatyard");

  private static Optional<String> refusal(String password) {
    return PasswordRule.refusal(password, COMMONEST::contains, KNOWN);
  }

  @DataProvider
  public Object[][] taken() {
    return new Object[][] {
      {"green stair 7"},
      {"only small letters"},
      {"пароль из слов"},
      {"🛶🏠🌧🪵🧭🪝⛵🌊🐚🦀🐟🪨"},
      {"x1y2".repeat(50).replaceFirst("x", "z")},
      {"orla drives a green van"},
    };
  }

  @Test(dataProvider = "taken")
  public void wordsThatDoNotBelongTogetherAreTaken(String password) {
    assertThat(refusal(password)).isEmpty();
  }

  @DataProvider
  public Object[][] refused() {
    return new Object[][] {
      {"", "at least 12"},
      {"eleven11chr", "at least 12"},
      // Twelve characters are counted as people count them, not as they are stored.
      {"🛶🏠🌧🪵🧭🪝⛵🌊🐚🦀🐟", "at least 12"},
      {"ab".repeat(101), "at most 200"},
      {"aaaaaaaaaaaaaaab", "repeats"},
      {"Qwertyuiopas", "commonest"},
      {"123PASSWORD2026!", "commonest"},
      {"OrlaFinch2026", "made of your name"},
      {"ternquayboatyard", "made of your name"},
    };
  }

  @Test(dataProvider = "refused")
  public void whatIsGuessedFirstIsRefusedWithTheReason(String password, String reason) {
    assertThat(refusal(password)).hasValueSatisfying(said -> assertThat(said).contains(reason));
  }

  @Test
  public void aLoginIsOneWord() {
    assertThat(LoginRule.refusal("orla.finch-2")).isEmpty();
    for (String wrong : List.of("", "two words", "9to5", "a".repeat(41), "orla@quay", "a\r\nb")) {
      assertThat(LoginRule.refusal(wrong)).as(wrong).isPresent();
    }
  }
}
