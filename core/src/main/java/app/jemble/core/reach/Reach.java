package app.jemble.core.reach;

import app.jemble.core.record.EmailAddress;
import app.jemble.core.record.PhoneNumber;

/**
 * Whether a person can be written to on a channel. The constants stand in the order in which they
 * are asked: the first that holds is the person's one reason, so counts of them add up to the
 * audience.
 */
public enum Reach {
  NO_ADDRESS("no address"),
  NOT_VALID("address not valid"),
  ASKED_NOT("asked not to be written to"),
  LEFT_TOPIC("left this topic"),
  DO_NOT_WRITE("on the do-not-write list"),
  SAME_ADDRESS("same address already in"),
  LEFT_OUT("left out by hand"),
  READY("can be e-mailed");

  private final String words;

  Reach(String words) {
    this.words = words;
  }

  /** The reason as people read it. */
  public String words() {
    return words;
  }

  /**
   * What is known of one person for one mailing.
   *
   * @param address the address on the channel: of e-mail, a phone number, a postal address, or what
   *     stands for the installed app; null or blank when there is none
   * @param askedNot asked not to be written to at all
   * @param leftTopic left the topic of this mailing
   * @param doNotWrite the address is on the do-not-write list
   * @param sameAddress somebody before in the audience has the same address
   * @param leftOut left out of this mailing by hand
   */
  public record Facts(
      String address,
      boolean askedNot,
      boolean leftTopic,
      boolean doNotWrite,
      boolean sameAddress,
      boolean leftOut) {

    /** Of an address of which nothing else is known. */
    public static Facts of(String address) {
      return new Facts(address, false, false, false, false, false);
    }
  }

  /** The first reason that holds on a channel, or {@link #READY}. */
  public static Reach by(Channel channel, Facts facts) {
    if (facts.address() == null || facts.address().isBlank()) {
      return NO_ADDRESS;
    }
    if (!isAddress(channel, facts.address())) {
      return NOT_VALID;
    }
    if (facts.askedNot()) {
      return ASKED_NOT;
    }
    if (facts.leftTopic()) {
      return LEFT_TOPIC;
    }
    if (facts.doNotWrite()) {
      return DO_NOT_WRITE;
    }
    if (facts.sameAddress()) {
      return SAME_ADDRESS;
    }
    return facts.leftOut() ? LEFT_OUT : READY;
  }

  /**
   * The same, where something that was sent to the address may have come back.
   *
   * @param cameBack whether it has, and the address is the same still
   */
  public static Reach by(Channel channel, Facts facts, boolean cameBack) {
    boolean closed = cameBack && facts.address() != null && !facts.address().isBlank();
    return closed ? NOT_VALID : by(channel, facts);
  }

  /** Whether something can be sent there: RFC 5321 and 5322 for e-mail, E.164 for phones. */
  public static boolean isAddress(Channel channel, String address) {
    return switch (channel) {
      case EMAIL -> EmailAddress.isValid(address);
      case TEXT -> PhoneNumber.international(address, "ZZ").isPresent();
      case APP, POST -> true;
    };
  }
}
