package app.jemble.core.message;

import app.jemble.core.reach.Channel;

/**
 * What a mail says, and how it comes.
 *
 * @param subject template text
 * @param body template text, safe HTML
 * @param templateId the template that the texts began from, or null
 * @param templateVersion its version, or null
 * @param letterheadId null for none
 * @param promotional whether it must say how to leave the list
 * @param replyColleague who gets the replies, when that is a colleague; else null
 */
public record MailWording(
    String subject,
    String body,
    Long templateId,
    Integer templateVersion,
    Long letterheadId,
    boolean promotional,
    Voice voice,
    RepliesTo repliesTo,
    Long replyColleague,
    boolean countOpens,
    boolean countClicks)
    implements Wording {

  @Override
  public Channel channel() {
    return Channel.EMAIL;
  }

  /** Said by the sender, replies to the sender, and counted. */
  public static MailWording by(
      String subject, String body, Long letterheadId, boolean promotional) {
    return new MailWording(
        subject,
        body,
        null,
        null,
        letterheadId,
        promotional,
        Voice.SENDER,
        RepliesTo.SENDER,
        null,
        true,
        true);
  }

  /** Begun from a version of a template. */
  public MailWording from(Long template, Integer version) {
    return new MailWording(
        subject,
        body,
        template,
        version,
        letterheadId,
        promotional,
        voice,
        repliesTo,
        replyColleague,
        countOpens,
        countClicks);
  }

  /** The same in other words. */
  public MailWording saying(String otherSubject, String otherBody) {
    return new MailWording(
        otherSubject,
        otherBody,
        templateId,
        templateVersion,
        letterheadId,
        promotional,
        voice,
        repliesTo,
        replyColleague,
        countOpens,
        countClicks);
  }

  /** The same, of which nobody is told whether it was opened or clicked. */
  public MailWording uncounted() {
    return new MailWording(
        subject,
        body,
        templateId,
        templateVersion,
        letterheadId,
        promotional,
        voice,
        repliesTo,
        replyColleague,
        false,
        false);
  }

  public LetterText.Written written() {
    return new LetterText.Written(subject, body);
  }
}
