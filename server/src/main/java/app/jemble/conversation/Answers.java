package app.jemble.conversation;

import app.jemble.cause.Cause;
import app.jemble.cause.CauseChanges;
import app.jemble.cause.NewCause;
import app.jemble.cause.OpenCauses;
import app.jemble.core.message.MailWording;
import app.jemble.problem.Problem;
import java.time.Duration;
import java.time.Instant;
import org.springframework.stereotype.Component;

/** The answers by hand, each the cause of one message; in a private thread its writer's alone. */
@Component
class Answers {

  /** The same words again within this are a slip of the finger. */
  private static final Duration SAME_ANSWER = Duration.ofMinutes(10);

  private final AnswerMapper mapper;
  private final OpenCauses open;
  private final CauseChanges causes;

  Answers(AnswerMapper mapper, OpenCauses open, CauseChanges causes) {
    this.mapper = mapper;
    this.open = open;
    this.causes = causes;
  }

  /**
   * An answer that is held until an instant.
   *
   * @param name how it is called among other causes
   */
  record NewAnswer(
      String name,
      MailWording wording,
      long topicId,
      long senderId,
      long mailId,
      Instant at,
      Instant heldUntil) {}

  /** Adds one; a problem when the colleague has said just this a moment ago. */
  Cause add(NewAnswer answer) {
    mapper.lock(answer.mailId());
    if (mapper.isSaid(
        answer.mailId(),
        answer.senderId(),
        answer.wording().body(),
        answer.at().minus(SAME_ANSWER))) {
      throw Problem.conflict("You have answered just this a moment ago.");
    }
    long id =
        causes.create(
            new NewCause(
                Cause.Kind.ANSWER,
                answer.name(),
                answer.topicId(),
                answer.senderId(),
                mapper.isPrivate(answer.mailId()),
                null),
            answer.wording());
    causes.release(id, answer.at(), answer.heldUntil(), answer.heldUntil());
    mapper.add(id, answer.mailId());
    return open.anybodys(id);
  }

  /** Holds one that is open to the colleague; a problem when there is none. */
  void lock(long id) {
    open.lock(id);
    if (!mapper.isAnswer(id)) {
      throw Problem.notFound("There is no such answer any more.");
    }
  }

  void remove(long id) {
    causes.remove(id);
  }
}
