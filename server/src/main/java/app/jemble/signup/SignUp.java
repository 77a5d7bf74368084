package app.jemble.signup;

import app.jemble.core.signup.Confirmation;
import java.time.Instant;

/**
 * Somebody who asked to be written to.
 *
 * @param said what they answered, by field, as JSON
 * @param topics that they ticked, as JSON
 * @param ways likewise
 * @param language a tag such as {@code de}
 * @param personId who they are on record; null before they confirmed
 * @param differs what they said otherwise than it stands on record, by field, as JSON
 */
public record SignUp(
    long id,
    long pageId,
    String token,
    String address,
    String said,
    String topics,
    String ways,
    String language,
    Instant askedAt,
    Instant confirmedAt,
    Long personId,
    boolean wasKnown,
    String differs,
    Instant settledAt) {

  public Confirmation confirmation() {
    return new Confirmation(askedAt, confirmedAt);
  }
}
