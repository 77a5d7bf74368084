package app.jemble.response;

import app.jemble.account.Needs;
import app.jemble.account.Right;
import app.jemble.core.response.ResponseKind;
import app.jemble.mailing.AnswerService;
import app.jemble.response.ConversationService.ReadAs;
import java.util.List;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
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

  record AnswerText(String text) {}

  record As(ReadAs what) {}

  /** How many mails wait to be placed. */
  record ToPlaceCount(long mails) {}

  /** A mail to place with its words and the messages that it may be about. */
  record ToPlace(
      UnplacedMapper.UnplacedMail mail,
      String words,
      List<UnplacedMapper.PlaceCandidate> candidates) {}

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

  @Needs(Right.LOOK)
  @GetMapping("/conversations/{messageId}")
  Conversation conversation(@PathVariable long messageId) {
    return conversations.of(messageId);
  }

  /** Answers a mail by hand, in its thread. */
  @Needs(Right.WRITE)
  @PostMapping("/mail/{mailId}/answer")
  AnswerService.HeldAnswer answer(@PathVariable long mailId, @RequestBody AnswerText answer) {
    return conversations.answer(mailId, answer.text());
  }

  @Needs(Right.WRITE)
  @PostMapping("/answers/{mailingId}/take-back")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void takeBack(@PathVariable long mailingId) {
    answers.takeBack(mailingId);
  }

  /** Says that a mail is a reply, was written by software, or answers something else. */
  @Needs(Right.WRITE)
  @PutMapping("/mail/{mailId}/as")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void readAs(@PathVariable long mailId, @RequestBody As as) {
    conversations.readAs(mailId, as.what());
  }

  /** The newest first. */
  @Needs(Right.LOOK)
  @GetMapping("/mail/unplaced")
  List<UnplacedMapper.UnplacedMail> unplaced() {
    return unplaced.all();
  }

  @Needs(Right.LOOK)
  @GetMapping("/mail/unplaced/count")
  ToPlaceCount count() {
    return new ToPlaceCount(unplaced.count());
  }

  /**
   * One of them.
   *
   * @param find the beginning of a name, or an address, to look for instead of those it names
   */
  @Needs(Right.LOOK)
  @GetMapping("/mail/unplaced/{id}")
  ToPlace toPlace(@PathVariable long id, @RequestParam(required = false) String find) {
    UnplacedMapper.UnplacedMail mail = unplaced.found(id);
    String words = unplaced.words(id);
    return new ToPlace(mail, words, unplaced.candidates(mail, words, find));
  }

  /** The mail as it came, for a mail program. */
  @Needs(Right.WRITE)
  @GetMapping("/mail/unplaced/{id}/octets")
  ResponseEntity<byte[]> octets(@PathVariable long id) {
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType("message/rfc822"))
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename("mail-" + id + ".eml").build().toString())
        .body(unplaced.octets(id));
  }

  @Needs(Right.WRITE)
  @PostMapping("/mail/unplaced/{id}/place")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void place(@PathVariable long id, @RequestBody Place place) {
    unplaced.place(id, place.messageId(), place.kind());
  }

  /** It answers nothing of ours. */
  @Needs(Right.WRITE)
  @PostMapping("/mail/unplaced/{id}/aside")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void putAside(@PathVariable long id) {
    unplaced.putAside(id);
  }
}
