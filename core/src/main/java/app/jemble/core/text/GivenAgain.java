package app.jemble.core.text;

import java.time.Duration;

/**
 * A text that the network gives once more, as it had not heard that we have it. A part of a long
 * text is known by its reference (3GPP TS 23.040, 9.2.3.24.1); the same words in the same place
 * within a day are the same part. A short text has none: the same words are the same text where
 * nothing else came between, for some minutes (common practice).
 */
public final class GivenAgain {

  private static final Duration SHORT = Duration.ofMinutes(5);
  private static final Duration LONG = Duration.ofDays(1);

  private GivenAgain() {}

  /**
   * For how long what comes once more is the same.
   *
   * @param parts how many the text has, from 1 on
   */
  public static Duration within(int parts) {
    return parts > 1 ? LONG : SHORT;
  }
}
