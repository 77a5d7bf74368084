package app.jemble.inbound;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.core.message.MessageId;
import app.jemble.core.response.ResponseKind;
import java.util.List;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Mails that nobody could place, for people to read. */
@RestController
@RequestMapping("/api/mail/unplaced")
class UnplacedController {

  /** How many mails wait to be placed. */
  record ToPlaceCount(long mails) {}

  /** A mail to place with its words and the messages that it may be about. */
  record ToPlace(
      UnplacedMapper.UnplacedMail mail,
      String words,
      List<UnplacedMapper.PlaceCandidate> candidates) {}

  record Place(MessageId messageId, ResponseKind kind) {}

  private final UnplacedService unplaced;

  UnplacedController(UnplacedService unplaced) {
    this.unplaced = unplaced;
  }

  /** The newest first. */
  @Needs(Right.SEE)
  @GetMapping
  List<UnplacedMapper.UnplacedMail> unplaced() {
    return unplaced.all();
  }

  @Needs(Right.SEE)
  @GetMapping("/count")
  ToPlaceCount count() {
    return new ToPlaceCount(unplaced.count());
  }

  /**
   * One of them.
   *
   * @param find the beginning of a name, or an address, to look for instead of those it names
   */
  @Needs(Right.SEE)
  @GetMapping("/{id}")
  ToPlace toPlace(@PathVariable long id, @RequestParam(required = false) String find) {
    UnplacedMapper.UnplacedMail mail = unplaced.find(id);
    String words = unplaced.words(id);
    return new ToPlace(mail, words, unplaced.candidates(mail, words, find));
  }

  /** The mail as it came, for a mail program. */
  @Needs(Right.WORK)
  @GetMapping("/{id}/octets")
  ResponseEntity<byte[]> octets(@PathVariable long id) {
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType("message/rfc822"))
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename("mail-" + id + ".eml").build().toString())
        .body(unplaced.octets(id));
  }

  @Needs(Right.WORK)
  @PostMapping("/{id}/place")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void place(@PathVariable long id, @RequestBody Place place) {
    unplaced.place(id, place.messageId(), place.kind());
  }

  /** It answers nothing of ours. */
  @Needs(Right.WORK)
  @PostMapping("/{id}/aside")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void putAside(@PathVariable long id) {
    unplaced.putAside(id);
  }
}
