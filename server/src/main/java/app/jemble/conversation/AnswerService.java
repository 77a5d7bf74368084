package app.jemble.conversation;

import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.core.message.PlainWords;
import app.jemble.core.message.ThreadPlace;
import app.jemble.core.record.EmailAddress;
import app.jemble.core.record.Values;
import app.jemble.core.response.ReplySubject;
import app.jemble.mailing.OpenMailings;
import app.jemble.message.FrozenValues;
import app.jemble.message.Letter;
import app.jemble.message.LetterService;
import app.jemble.outbox.NewMessage;
import app.jemble.outbox.OutboxService;
import app.jemble.people.PeopleService;
import app.jemble.people.PersonRecord;
import app.jemble.people.PersonValues;
import app.jemble.problem.Problem;
import app.jemble.workspace.Workspace;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Answers one person by hand: a mailing of a single message in the thread of theirs, without any
 * looks or counting. It leaves by the outbox, as everything does.
 */
@Service
public class AnswerService {

  private static final int MOST_CHARACTERS = 100_000;

  /** The same words again within this are a slip of the finger. */
  private static final Duration SAME_ANSWER = Duration.ofMinutes(10);

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
      long personId,
      long topicId,
      String address,
      String messageId,
      String subject,
      String token,
      List<String> referenceIds) {}

  /** An answer that leaves in a moment and can be taken back till then. */
  public record HeldAnswer(long mailingId, Instant heldUntil) {}

  private final AnswerMapper mapper;
  private final OpenMailings mailings;
  private final PeopleService people;
  private final PersonValues personValues;
  private final LetterService letters;
  private final FrozenValues frozen;
  private final OutboxService outbox;
  private final WorkspaceService workspace;
  private final AccountService accounts;
  private final Clock clock;

  AnswerService(
      AnswerMapper mapper,
      OpenMailings mailings,
      PeopleService people,
      PersonValues personValues,
      LetterService letters,
      FrozenValues frozen,
      OutboxService outbox,
      WorkspaceService workspace,
      AccountService accounts,
      Clock clock) {
    this.mapper = mapper;
    this.mailings = mailings;
    this.people = people;
    this.personValues = personValues;
    this.letters = letters;
    this.frozen = frozen;
    this.outbox = outbox;
    this.workspace = workspace;
    this.accounts = accounts;
    this.clock = clock;
  }

  /** Puts an answer in the outbox, from the colleague who writes it. */
  @Transactional
  public HeldAnswer answer(Answered to, String text) {
    Account writer = accounts.currentWriter();
    PersonRecord person = people.record(to.personId());
    sound(to, text, person);
    Workspace house = workspace.current();
    Instant now = clock.instant();
    Instant heldUntil = now.plus(house.hold());
    String body = PlainWords.toHtml(text);
    mapper.lock(to.mailId());
    if (mapper.isSaid(to.mailId(), writer.id(), body, now.minus(SAME_ANSWER))) {
      throw Problem.conflict("You have answered just this a moment ago.");
    }
    long id =
        mapper.add(
            new AnswerMapper.NewAnswer(
                "Answer to " + person.name(),
                ReplySubject.answering(to.subject()).replace("{{", "{ {"),
                body,
                to.topicId(),
                writer.id(),
                to.personId(),
                to.mailId(),
                now,
                heldUntil));
    outbox.enqueue(id, List.of(message(id, to, person, house, heldUntil)));
    return new HeldAnswer(id, heldUntil);
  }

  private static void sound(Answered to, String text, PersonRecord person) {
    if (text == null || text.isBlank()) {
      throw Problem.wrong("text", "Write something first.");
    }
    if (text.length() > MOST_CHARACTERS) {
      throw Problem.wrong("text", "An answer has at most 100,000 characters.");
    }
    if (text.contains("{{")) {
      throw Problem.wrong("text", "Two curly braces together begin a merge field; leave one out.");
    }
    if (person == null) {
      throw Problem.conflict("This person is no longer on record; bring them back first.");
    }
    if (!EmailAddress.isValid(to.address())) {
      throw Problem.conflict("The mail came from no address that can be answered.");
    }
  }

  private NewMessage message(
      long id, Answered to, PersonRecord person, Workspace house, Instant due) {
    Letter letter = letters.of(mailings.find(id));
    Set<String> fields = letter.fields(person.id());
    Values values = letter.values(personValues.of(person, workspace.fields()));
    String ours = "<" + to.token() + "@" + house.returnDomain() + ">";
    ThreadPlace after = ThreadPlace.following(ours, to.referenceIds());
    return new NewMessage(
        person.id(),
        to.address(),
        person.name(),
        workspace.newToken(),
        frozen.freeze(person, fields, values),
        null,
        null,
        to.messageId() == null ? after : ThreadPlace.following(to.messageId(), after.references()),
        0,
        due);
  }

  /** While it is held: as if it had never been written. */
  @Transactional
  public void takeBack(long mailingId) {
    accounts.currentWriter();
    mailings.lock(mailingId);
    if (!mapper.isAnswer(mailingId)) {
      throw Problem.notFound("There is no such answer any more.");
    }
    outbox.removeHeld(mailingId);
    mapper.remove(mailingId);
  }
}
