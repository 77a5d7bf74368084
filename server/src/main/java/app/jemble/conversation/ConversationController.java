package app.jemble.conversation;

import app.jemble.access.Needs;
import app.jemble.conversation.ConversationService.ReadAs;
import app.jemble.core.access.Right;
import app.jemble.core.message.MessageId;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Reading what was written back and forth, and answering it. */
@RestController
@RequestMapping("/api")
class ConversationController {

  record AnswerText(String text) {}

  record As(ReadAs what) {}

  private final ConversationService conversations;
  private final AnswerService answers;

  ConversationController(ConversationService conversations, AnswerService answers) {
    this.conversations = conversations;
    this.answers = answers;
  }

  @Needs(Right.SEE)
  @GetMapping("/conversations/{messageId}")
  Conversation conversation(@PathVariable MessageId messageId) {
    return conversations.of(messageId);
  }

  /** A message that has left, as it looked, with nothing alive in it. */
  @Needs(Right.SEE)
  @GetMapping("/messages/{id}/letter")
  SentLetter letter(@PathVariable MessageId id) {
    return conversations.letter(id);
  }

  /** Answers a mail by hand, in its thread. */
  @Needs(Right.WRITE_TO_ONE)
  @PostMapping("/mail/{mailId}/answer")
  AnswerService.HeldAnswer answer(@PathVariable long mailId, @RequestBody AnswerText answer) {
    return conversations.answer(mailId, answer.text());
  }

  @Needs(Right.WRITE_TO_ONE)
  @PostMapping("/answers/{mailingId}/take-back")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void takeBack(@PathVariable long mailingId) {
    answers.takeBack(mailingId);
  }

  /** Says that a mail is a reply, was written by software, or answers something else. */
  @Needs(Right.WORK)
  @PutMapping("/mail/{mailId}/as")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void readAs(@PathVariable long mailId, @RequestBody As as) {
    conversations.readAs(mailId, as.what());
  }
}
