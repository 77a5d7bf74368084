package app.jemble.conversation;

import app.jemble.core.message.MessageId;
import app.jemble.core.reach.Channel;
import app.jemble.core.record.PersonId;
import app.jemble.core.response.ResponseKind;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;

/**
 * What was written back and forth with one person.
 *
 * @param answerable the mail that an answer by hand would answer; null when none came
 * @param answersTo whom that answer goes to; null when none came
 */
record Conversation(
    MessageId messageId,
    PersonId personId,
    String name,
    Channel channel,
    String address,
    long mailingId,
    String mailing,
    @Schema(nullable = true) Long answerable,
    @Schema(nullable = true) AnswersTo answersTo,
    List<ConversationStep> steps) {

  /**
   * Whom an answer goes to.
   *
   * @param known whether the address is on record for the person, or a colleague said it is theirs
   */
  record AnswersTo(String sender, boolean known, Channel channel) {}

  /** One step, oldest first: a letter of ours, a mail of theirs, or a sign such as an open. */
  record ConversationStep(
      Instant at,
      @Schema(nullable = true) OurLetter ours,
      @Schema(nullable = true) TheirMail theirs,
      @Schema(nullable = true) ReadingSign sign) {}

  /**
   * @param state as in the outbox
   * @param answer whether it was written by hand to one mail, not with a mailing
   * @param receipts what the network said that became of it, or null
   * @param text null while it has not left
   */
  record OurLetter(
      MessageId messageId,
      Channel channel,
      long mailingId,
      String mailing,
      String writer,
      String subject,
      String state,
      boolean answer,
      @Schema(nullable = true) String receipts,
      @Schema(nullable = true) String text) {}

  /**
   * @param kind what it is; null while a person still has to read it
   * @param unsure whether nobody knows yet that the person wrote it
   * @param authentication what the house's mail server says of its sender, or empty
   * @param words what they wrote themselves
   * @param quoted what stands below it, mostly our own words
   */
  record TheirMail(
      long mailId,
      Channel channel,
      @Schema(nullable = true) ResponseKind kind,
      String from,
      boolean unsure,
      String authentication,
      String subject,
      String words,
      String quoted) {}

  record ReadingSign(ResponseKind kind, String detail) {}
}
