package app.jemble.outbox;

import app.jemble.carrier.HandoverResult;
import app.jemble.core.message.MessageId;
import app.jemble.core.message.MessageState;
import app.jemble.core.pace.Retry;
import java.time.Instant;
import java.util.List;

/**
 * What a message has become after it was in a worker's hands.
 *
 * @param tries how many hand-overs it has now had
 * @param due when it is tried again, or null when that does not change
 * @param sentAt when it was handed over, or null
 * @param references what the other side calls it in what it tells later
 */
record Ended(
    MessageId id,
    int tries,
    MessageState state,
    String reason,
    Instant due,
    Instant sentAt,
    List<String> references) {

  Ended {
    references = List.copyOf(references);
  }

  Ended(MessageId id, int tries, MessageState state, String reason, Instant due, Instant sentAt) {
    this(id, tries, state, reason, due, sentAt, List.of());
  }

  /** After a hand-over that the mail server answered, or should have. */
  static Ended after(HandoverMapper.Claimed message, HandoverResult result, Instant now) {
    int tries = message.tries() + 1;
    if (result instanceof HandoverResult.Accepted accepted) {
      return new Ended(
          message.id(), tries, MessageState.SENT, "", null, now, accepted.references());
    }
    if (result instanceof HandoverResult.PutOff putOff) {
      Instant first = message.firstTryAt() == null ? now : message.firstTryAt();
      String givenUp = "given up after two days: " + putOff.words();
      return Retry.next(tries, first, now)
          .map(
              next ->
                  new Ended(
                      message.id(),
                      tries,
                      MessageState.DEFERRED,
                      putOff.words(),
                      later(next, now.plus(putOff.atLeast())),
                      null))
          .orElseGet(
              () -> new Ended(message.id(), tries, MessageState.REFUSED, givenUp, null, null));
    }
    if (result instanceof HandoverResult.Closed closed) {
      return new Ended(message.id(), tries, MessageState.DEFERRED, closed.words(), now, null);
    }
    MessageState state =
        result instanceof HandoverResult.InDoubt ? MessageState.IN_DOUBT : MessageState.REFUSED;
    return new Ended(message.id(), tries, state, result.words(), null, null);
  }

  private static Instant later(Instant one, Instant other) {
    return one.isAfter(other) ? one : other;
  }

  /** The hand-over never began: as if it had not been tried. */
  static Ended notBegun(HandoverMapper.Claimed message, String reason, Instant due) {
    return notBegun(message.id(), message.tries(), reason, due);
  }

  static Ended notBegun(MessageId id, int triesBefore, String reason, Instant due) {
    return new Ended(id, triesBefore, MessageState.notBegun(triesBefore), reason, due, null);
  }

  /** It must not leave any more. */
  static Ended stopped(HandoverMapper.Claimed message, String reason) {
    return new Ended(message.id(), message.tries(), MessageState.WITHDRAWN, reason, null, null);
  }
}
