package app.jemble.response;

import app.jemble.core.response.ResponseKind;
import app.jemble.mailing.AnswerService;
import app.jemble.response.ConversationService.ReadAs;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Reading what was written back and forth, answering it, and placing what nobody could place. */
@RestController
@RequestMapping("/api")
class ConversationController {

  /** A conversation with one person. */
  record Conversation(
      long messageId,
      long personId,
      String name,
      String address,
      long mailingId,
      String mailing,
      List<Step> steps) {}

  /** One step, oldest first: a letter of ours, a mail of theirs, or a sign such as an open. */
  record Step(
      Instant at,
      @Schema(nullable = true) OurLetter ours,
      @Schema(nullable = true) TheirMail theirs,
      @Schema(nullable = true) PlainSign sign) {}

  /**
   * @param answer whether it was written by hand to one mail, not with a mailing
   * @param text null while it has not left
   */
  record OurLetter(
      long messageId,
      long mailingId,
      String mailing,
      String writer,
      String subject,
      String state,
      boolean answer,
      @Schema(nullable = true) String text) {}

  /**
   * @param words what they wrote themselves
   * @param quoted what stands below it, mostly our own words
   */
  record TheirMail(
      long mailId, ResponseKind kind, String from, String subject, String words, String quoted) {}

  record PlainSign(ResponseKind kind, String detail) {}

  record AnswerText(String text) {}

  record HeldAnswer(long mailingId, Instant heldUntil) {}

  record As(ReadAs what) {}

  /** A mail nobody could place. */
  record UnplacedMail(
      long id, Instant at, String from, String subject, String words, String sortedAs) {}

  /** One of them with the messages that it may be about. */
  record ToPlace(UnplacedMail mail, List<PlaceCandidate> candidates) {}

  record PlaceCandidate(
      long messageId, long personId, String name, String address, String mailing, Instant sentAt) {}

  record Place(long messageId, ResponseKind kind) {}

  private final ConversationService conversations;
  private final UnplacedService unplaced;
  private final AnswerService answers;

  ConversationController(
      ConversationService conversations, UnplacedService unplaced, AnswerService answers) {
    this.conversations = conversations;
    this.unplaced = unplaced;
    this.answers = answers;
  }

  @GetMapping("/conversations/{messageId}")
  Conversation conversation(@PathVariable long messageId) {
    ConversationMapper.Head head = conversations.head(messageId);
    return new Conversation(
        head.messageId(),
        head.personId(),
        head.name(),
        head.address(),
        head.mailingId(),
        head.mailing(),
        conversations.steps(messageId).stream().map(ConversationController::step).toList());
  }

  private static Step step(ConversationService.Step s) {
    var o = s.ours();
    var t = s.theirs();
    return new Step(
        s.at(),
        o == null
            ? null
            : new OurLetter(
                o.messageId(),
                o.mailingId(),
                o.mailing(),
                o.writer(),
                o.subject(),
                o.state(),
                o.answer(),
                o.text()),
        t == null
            ? null
            : new TheirMail(t.mailId(), t.kind(), t.from(), t.subject(), t.words(), t.quoted()),
        s.sign() == null ? null : new PlainSign(s.sign().kind(), s.sign().detail()));
  }

  /** Answers a mail by hand, in its thread. */
  @PostMapping("/mail/{mailId}/answer")
  HeldAnswer answer(@PathVariable long mailId, @RequestBody AnswerText answer) {
    AnswerService.Held held = conversations.answer(mailId, answer.text());
    return new HeldAnswer(held.mailingId(), held.heldUntil());
  }

  @PostMapping("/answers/{mailingId}/take-back")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void takeBack(@PathVariable long mailingId) {
    answers.takeBack(mailingId);
  }

  /** Says that a mail is a reply, was written by software, or answers something else. */
  @PutMapping("/mail/{mailId}/as")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void readAs(@PathVariable long mailId, @RequestBody As as) {
    conversations.readAs(mailId, as.what());
  }

  @GetMapping("/mail/unplaced")
  List<UnplacedMail> unplaced() {
    return unplaced.all().stream().map(ConversationController::unplacedMail).toList();
  }

  @GetMapping("/mail/unplaced/{id}")
  ToPlace toPlace(@PathVariable long id, @RequestParam(required = false) String find) {
    UnplacedMapper.Unplaced mail = unplaced.found(id);
    return new ToPlace(
        unplacedMail(mail),
        unplaced.candidates(mail, find).stream()
            .map(
                c ->
                    new PlaceCandidate(
                        c.messageId(),
                        c.personId(),
                        c.name(),
                        c.address(),
                        c.mailing(),
                        c.sentAt()))
            .toList());
  }

  private static UnplacedMail unplacedMail(UnplacedMapper.Unplaced m) {
    return new UnplacedMail(m.id(), m.at(), m.sender(), m.subject(), m.words(), m.sortedAs());
  }

  @PostMapping("/mail/unplaced/{id}/place")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void place(@PathVariable long id, @RequestBody Place place) {
    unplaced.place(id, place.messageId(), place.kind());
  }

  /** It answers nothing of ours. */
  @PostMapping("/mail/unplaced/{id}/aside")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void putAside(@PathVariable long id) {
    unplaced.putAside(id);
  }
}
