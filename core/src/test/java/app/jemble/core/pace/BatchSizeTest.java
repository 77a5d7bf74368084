package app.jemble.core.pace;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import org.testng.annotations.Test;

/** How many messages are begun at once. */
public class BatchSizeTest {

  @Test
  public void itGrowsByDoublingToWhatLeavesInAQuarterOfASecond() {
    BatchSize size = new BatchSize(100);
    assertThat(size.next()).isEqualTo(4);
    for (int wanted : new int[] {8, 16, 25, 25}) {
      size.took(size.next(), Duration.ofMillis(10L * size.next()));
      assertThat(size.next()).as("at a hundred a second").isEqualTo(wanted);
    }
  }

  @Test
  public void aSlowServerBringsItDownAtOnce() {
    BatchSize size = new BatchSize(100);
    for (int i = 0; i < 10; i++) {
      size.took(size.next(), Duration.ofMillis(1));
    }
    assertThat(size.next()).isEqualTo(100);
    size.took(100, Duration.ofSeconds(50));
    assertThat(size.next()).as("half a second each").isEqualTo(1);
  }

  @Test
  public void afterAFailureOneIsTried() {
    BatchSize size = new BatchSize(2);
    assertThat(size.next()).isEqualTo(2);
    size.failed();
    assertThat(size.next()).isEqualTo(1);
    size.took(1, Duration.ZERO);
    assertThat(size.next()).isEqualTo(2);
  }
}
