package app.jemble.conversation;

import app.jemble.cause.Cause;
import app.jemble.cause.CauseChanges;
import app.jemble.cause.NewCause;
import app.jemble.cause.OpenCauses;
import app.jemble.cause.Wordings;
import app.jemble.core.message.MailWording;
import app.jemble.core.message.TextWording;
import app.jemble.core.reach.Channel;
import app.jemble.core.reach.Ways;
import app.jemble.problem.Problem;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Component;

/** The answers by hand, each the cause of one message; in a private thread its writer's alone. */
@Component
class Answers {

  /** The same words again within this are a slip of the finger. */
  private static final Duration SAME_ANSWER = Duration.ofMinutes(10);

  private final AnswerMapper mapper;
  private final OpenCauses open;
  private final CauseChanges causes;
  private final Wordings wordings;

  Answers(AnswerMapper mapper, OpenCauses open, CauseChanges causes, Wordings wordings) {
    this.mapper = mapper;
    this.open = open;
    this.causes = causes;
    this.wordings = wordings;
  }

  /**
   * An answer that is held until an instant.
   *
   * @param name how it is called among other causes
   * @param channel the way that was written on, and is answered on
   * @param text its words, plain
   */
  record NewAnswer(
      String name,
      MailWording wording,
      Channel channel,
      String text,
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
    if (answer.channel() == Channel.TEXT) {
      causes.goBy(id, new Ways(List.of(Channel.TEXT)));
      wordings.write(open.anybodys(id), TextWording.saying(answer.text()));
    }
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
