package app.jemble.core.response;

import java.time.Duration;
import java.time.Instant;
import java.util.List;

/** When mail that comes back for now has come back too often (common practice). */
public final class SoftReturns {

  private static final int TOO_MANY = 3;
  private static final Duration PERIOD = Duration.ofDays(30);

  private SoftReturns() {}

  /** What came back before this no longer counts. */
  public static Instant since(Instant now) {
    return now.minus(PERIOD);
  }

  /**
   * Whether an address is written to no more.
   *
   * @param said what was said of each return since {@link #since}
   */
  public static boolean tooMany(List<String> said) {
    return said.stream()
            .filter(words -> ReturnMeaning.inWords(words).speaksAgainstTheAddress())
            .count()
        >= TOO_MANY;
  }
}
