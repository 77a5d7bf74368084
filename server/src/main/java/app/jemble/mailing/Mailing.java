package app.jemble.mailing;

import app.jemble.account.Account;
import app.jemble.core.record.Related;
import java.time.Instant;
import java.util.List;

/**
 * One message to one audience.
 *
 * @param templateVersion the version of the template that its texts began from, or null
 * @param letterheadId null for none
 * @param promotional whether its messages must say how to leave the list
 * @param replyColleague who gets the replies, when that is a colleague
 * @param isPrivate whether its sender alone sees it
 * @param followsId the mailing in whose threads its messages go, or null
 * @param byRule whether a rule of that mailing sends it
 * @param recordKind what kind of records it is about, or null
 * @param recordEach one message for each record, instead of one about each person's newest
 * @param audienceParts the parts of its audience, as JSON
 * @param leaveParts the parts that are left out, as JSON
 * @param plan when its messages leave, as JSON
 * @param pausedAt since when its messages are held back by hand, or null
 */
public record Mailing(
    long id,
    String name,
    String subject,
    String body,
    Long templateId,
    Integer templateVersion,
    long topicId,
    long senderId,
    String senderName,
    Long letterheadId,
    boolean promotional,
    Voice voice,
    RepliesTo repliesTo,
    Long replyColleague,
    boolean isPrivate,
    Long followsId,
    boolean byRule,
    Related recordKind,
    Long[] recordIds,
    boolean recordEach,
    String audienceParts,
    String leaveParts,
    Long[] audiencePicks,
    Long[] leftOut,
    String plan,
    boolean countOpens,
    boolean countClicks,
    State state,
    Instant releasedAt,
    Instant heldUntil,
    Instant dueAt,
    Instant pausedAt,
    int version) {

  /** In whose name its messages come. */
  public enum Voice {
    SENDER,
    /** each person's owner; the sender where there is none */
    OWNER,
    /** the house's own address */
    HOUSE
  }

  /** Where replies go. */
  public enum RepliesTo {
    SENDER,
    /** each person's owner; the sender where there is none */
    OWNER,
    COLLEAGUE
  }

  /** Where a mailing stands. */
  public enum State {
    DRAFT,
    /** a draft put away; it can be taken back */
    DISCARDED,
    RELEASED,
    WITHDRAWN
  }

  /** A mailing that is not on record, to see what its words would look like. */
  public static Mailing imagined(String subject, String body, Account sender, boolean promotional) {
    return new Mailing(
        0,
        "",
        subject,
        body,
        null,
        null,
        0,
        sender.id(),
        sender.name(),
        null,
        promotional,
        Voice.SENDER,
        RepliesTo.SENDER,
        null,
        false,
        null,
        false,
        null,
        new Long[0],
        false,
        "[]",
        "[]",
        new Long[0],
        new Long[0],
        "{}",
        false,
        false,
        State.DRAFT,
        null,
        null,
        null,
        null,
        0);
  }

  public List<Long> picks() {
    return List.of(audiencePicks);
  }

  public boolean hasBeenReleased() {
    return state == State.RELEASED || state == State.WITHDRAWN;
  }

  /** Released, and still to be taken back as if it had never been. */
  public boolean isHeld(Instant now) {
    return state == State.RELEASED && now.isBefore(heldUntil);
  }
}
