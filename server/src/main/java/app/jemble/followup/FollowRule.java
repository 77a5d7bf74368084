package app.jemble.followup;

import app.jemble.core.followup.After;
import app.jemble.core.followup.Sign;
import app.jemble.core.followup.Whom;
import app.jemble.core.response.ResponseKind;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * A rule of a mailing, as it is kept.
 *
 * @param whom null for a rule that acts at once
 * @param afterId the rule from whose act the wait counts; null: from the mailing's own message
 * @param onKinds at which responses it acts at once
 * @param exceptParts who is left out, as JSON
 * @param act what is done, as JSON
 * @param sendsId the mailing whose messages it sends; null when it sends none
 */
record FollowRule(
    long id,
    long mailingId,
    int place,
    Whom whom,
    Integer waitCount,
    After.Unit waitUnit,
    Long afterId,
    List<String> onKinds,
    String exceptParts,
    String act,
    Long sendsId,
    Instant stoppedAt) {

  boolean isAtOnce() {
    return whom == null;
  }

  boolean isStopped() {
    return stoppedAt != null;
  }

  /** How long it waits; only of a rule that waits. */
  After after() {
    return new After(waitCount, waitUnit);
  }

  /** At which sign it acts at once. */
  Optional<Sign> sign() {
    return Arrays.stream(Sign.values())
        .filter(sign -> sign.kinds().stream().map(ResponseKind::name).anyMatch(onKinds::contains))
        .findFirst();
  }
}
