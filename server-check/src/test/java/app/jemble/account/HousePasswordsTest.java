package app.jemble.account;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.testng.annotations.Test;

/** Passwords are kept as Argon2id; those that bcrypt kept are known still. */
public class HousePasswordsTest {

  private static final String PASSWORD = "green stair 7, ü and 日本";

  private final PasswordEncoder passwords = new HousePasswords();

  /** RFC 9106 gives the form; 19 MiB, 2 passes and 1 lane are the least OWASP names (2023). */
  @Test
  public void theyAreKeptAsArgon2id() {
    String kept = passwords.encode(PASSWORD);
    assertThat(kept).startsWith("$argon2id$v=19$m=19456,t=2,p=1$");
    assertThat(kept).isNotEqualTo(passwords.encode(PASSWORD));
    assertThat(passwords.matches(PASSWORD, kept)).isTrue();
    assertThat(passwords.matches(PASSWORD + " ", kept)).isFalse();
    assertThat(passwords.upgradeEncoding(kept)).isFalse();
  }

  /** A letter with a mark is one sign on one keyboard and two on another. */
  @Test
  public void howAKeyboardWritesALetterDoesNotMatter() {
    String kept = passwords.encode("gr\u00fcne Treppe 7");
    assertThat(passwords.matches("gru\u0308ne Treppe 7", kept)).isTrue();
    assertThat(passwords.matches("grune Treppe 7", kept)).isFalse();
  }

  @Test
  public void aLongOneCountsToItsEnd() {
    String kept = passwords.encode("x".repeat(150) + "a");
    assertThat(passwords.matches("x".repeat(150) + "b", kept)).isFalse();
  }

  @Test
  public void whatBcryptKeptIsKnownAndKeptAnew() {
    String kept = new BCryptPasswordEncoder(4).encode(PASSWORD);
    assertThat(passwords.matches(PASSWORD, kept)).isTrue();
    assertThat(passwords.matches("guessed", kept)).isFalse();
    assertThat(passwords.upgradeEncoding(kept)).isTrue();
  }

  @Test
  public void whoHasNoneHasNone() {
    assertThat(passwords.matches("", null)).isFalse();
    assertThat(passwords.matches("", "")).isFalse();
  }

  /** However many ask at once, all are answered, and rightly. */
  @Test
  public void manyAtOnceAreAnswered() throws Exception {
    String kept = passwords.encode(PASSWORD);
    ExecutorService many = Executors.newFixedThreadPool(30);
    try {
      List<Future<Boolean>> answers =
          java.util.stream.IntStream.range(0, 60)
              .mapToObj(
                  i -> many.submit(() -> passwords.matches(i % 2 == 0 ? PASSWORD : "no", kept)))
              .toList();
      for (int i = 0; i < answers.size(); i++) {
        assertThat(answers.get(i).get()).isEqualTo(i % 2 == 0);
      }
    } finally {
      many.shutdownNow();
    }
  }

  @Test
  public void theCommonestAreListed() {
    assertThat(List.of("password", "qwertyuiop", "1234567890")).allMatch(CommonPasswords::has);
    assertThat(CommonPasswords.has("green stair 7")).isFalse();
  }
}
