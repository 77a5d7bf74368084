package app.jemble.standins;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import org.testng.annotations.Test;

public class ProfileTest {

  private static final long SEED = 2026;

  private static List<Profile> many() {
    return IntStream.range(0, 4000)
        .mapToObj(i -> Profile.of("p" + i + "@quay.example", "<" + i + "@x>", SEED))
        .toList();
  }

  private static double share(Predicate<Profile> what) {
    return many().stream().filter(what).count() / 4000.0;
  }

  @Test
  public void theSameReaderTakesTheSameMailTheSameWay() {
    assertThat(Profile.of("bea@okonjo.example", "<1@x>", SEED))
        .isEqualTo(Profile.of("bea@okonjo.example", "<1@x>", SEED));
  }

  @Test
  public void aMailboxThatDoesNotExistNeverWill() {
    for (int i = 0; i < 500; i++) {
      String address = "p" + i + "@quay.example";
      assertThat(Profile.of(address, "<1@x>", SEED).mailbox())
          .isEqualTo(Profile.of(address, "<2@x>", SEED).mailbox());
    }
  }

  @Test
  public void readersDifferAsRealOnesDo() {
    assertThat(share(Profile::opens)).isBetween(0.35, 0.65);
    assertThat(share(Profile::replies)).isBetween(0.06, 0.2);
    assertThat(share(Profile::scanned)).isBetween(0.15, 0.25);
    assertThat(share(p -> p.mailbox() != Profile.Mailbox.WORKS)).isBetween(0.01, 0.03);
    assertThat(share(Profile::away)).isBetween(0.01, 0.04);
  }

  @Test
  public void nobodyActsWithoutReading() {
    assertThat(many())
        .allMatch(p -> p.opens() || (!p.clicks() && !p.replies() && !p.leaves()))
        .allMatch(p -> !(p.away() && p.opens()))
        .allMatch(p -> p.openAfter() >= 0 && p.openAfter() <= 1);
  }
}
