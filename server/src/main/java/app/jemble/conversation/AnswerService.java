package app.jemble.conversation;

import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.audience.AudienceService;
import app.jemble.audience.AudienceService.Reader;
import app.jemble.cause.Cause;
import app.jemble.core.message.MailWording;
import app.jemble.core.message.PlainWords;
import app.jemble.core.message.ThreadPlace;
import app.jemble.core.reach.Address;
import app.jemble.core.reach.Channel;
import app.jemble.core.reach.Reach;
import app.jemble.core.record.EmailAddress;
import app.jemble.core.record.PersonId;
import app.jemble.core.response.ReplySubject;
import app.jemble.message.Letter;
import app.jemble.message.LetterService;
import app.jemble.message.MessageMaker;
import app.jemble.outbox.OutboxService;
import app.jemble.people.PersonRecord;
import app.jemble.problem.Problem;
import app.jemble.workspace.Workspace;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Answers one person by hand: a single message in the thread of theirs, without any looks or
 * counting. It leaves by the outbox, as everything does.
 */
@Service
public class AnswerService {

  private static final int MOST_CHARACTERS = 100_000;
  private static final int LONGEST_TEXT = 1_600;

  /**
   * What is answered.
   *
   * @param address where the answer goes
   * @param messageId the Message-ID of the mail, null when it has none
   * @param token of the message of ours that it answered
   * @param referenceIds what that message followed, oldest first
   */
  public record Answered(
      long mailId,
      PersonId personId,
      long topicId,
      Address address,
      String messageId,
      String subject,
      String token,
      List<String> referenceIds) {}

  /** An answer that leaves in a moment and can be taken back till then. */
  public record HeldAnswer(long mailingId, Instant heldUntil) {}

  private final Answers answers;
  private final AudienceService audience;
  private final LetterService letters;
  private final MessageMaker maker;
  private final OutboxService outbox;
  private final WorkspaceService workspace;
  private final AccountService accounts;
  private final Clock clock;

  AnswerService(
      Answers answers,
      AudienceService audience,
      LetterService letters,
      MessageMaker maker,
      OutboxService outbox,
      WorkspaceService workspace,
      AccountService accounts,
      Clock clock) {
    this.answers = answers;
    this.audience = audience;
    this.letters = letters;
    this.maker = maker;
    this.outbox = outbox;
    this.workspace = workspace;
    this.accounts = accounts;
    this.clock = clock;
  }

  /** Puts an answer in the outbox, from the colleague who writes it. */
  @Transactional
  public HeldAnswer answer(Answered to, String text) {
    Account writer = accounts.currentWriter();
    List<PersonRecord> people = audience.records(List.of(to.personId()));
    sound(to, text, people);
    Workspace house = workspace.current();
    Instant now = clock.instant();
    Instant heldUntil = now.plus(house.hold());
    String subject = ReplySubject.answering(to.subject()).replace("{{", "{ {");
    Cause answer =
        answers.add(
            new Answers.NewAnswer(
                "Answer to " + people.get(0).name(),
                MailWording.by(subject, PlainWords.toHtml(text), null, false).uncounted(),
                to.address().channel(),
                text.strip(),
                to.topicId(),
                writer.id(),
                to.mailId(),
                now,
                heldUntil));
    Letter letter = letters.of(answer);
    Reader reader = audience.one(answer, letter::values, to.personId(), 0);
    outbox.enqueue(
        answer.id(),
        List.of(maker.answer(letter, reader, to.address(), place(to, house), heldUntil)));
    return new HeldAnswer(answer.id(), heldUntil);
  }

  private static void sound(Answered to, String text, List<PersonRecord> person) {
    if (text == null || text.isBlank()) {
      throw Problem.wrong("text", "Write something first.");
    }
    if (text.length() > MOST_CHARACTERS) {
      throw Problem.wrong("text", "An answer has at most 100,000 characters.");
    }
    if (text.contains("{{")) {
      throw Problem.wrong("text", "Two curly braces together begin a merge field; leave one out.");
    }
    if (person.isEmpty()) {
      throw Problem.conflict("This person is no longer on record; bring them back first.");
    }
    boolean byText = to.address() instanceof Address.Phone;
    if (byText && text.length() > LONGEST_TEXT) {
      throw Problem.wrong("text", "An answer by text has at most 1,600 characters.");
    }
    boolean answerable =
        byText
            ? Reach.by(Channel.TEXT, Reach.Facts.of(to.address().stored())) == Reach.READY
            : EmailAddress.isValid(to.address().stored());
    if (!answerable) {
      throw Problem.conflict("It came from no address that can be answered.");
    }
  }

  private static ThreadPlace place(Answered to, Workspace house) {
    String ours = "<" + to.token() + "@" + house.returnDomain() + ">";
    ThreadPlace after = ThreadPlace.following(ours, to.referenceIds());
    return to.messageId() == null
        ? after
        : ThreadPlace.following(to.messageId(), after.references());
  }

  /** While it is held: as if it had never been written. */
  @Transactional
  public void takeBack(long id) {
    accounts.currentWriter();
    answers.lock(id);
    outbox.removeHeld(id);
    answers.remove(id);
  }
}
