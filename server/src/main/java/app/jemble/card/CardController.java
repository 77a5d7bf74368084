package app.jemble.card;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.problem.Problem;
import java.time.Duration;
import java.util.List;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The pictures for cards that ship. */
@RestController
@RequestMapping("/api/card-pictures")
class CardController {

  private final CardBoard board;

  CardController(CardBoard board) {
    this.board = board;
  }

  /** Their names. */
  @Needs(Right.SEE)
  @GetMapping
  List<String> all() {
    return CardBoard.SHIPPED;
  }

  @Needs(Right.SEE)
  @GetMapping(path = "/{name}", produces = MediaType.IMAGE_PNG_VALUE)
  ResponseEntity<byte[]> one(@PathVariable String name) {
    return ResponseEntity.ok()
        .contentType(MediaType.IMAGE_PNG)
        .cacheControl(CacheControl.maxAge(Duration.ofHours(1)).cachePrivate())
        .body(
            board
                .file(name)
                .orElseThrow(() -> Problem.notFound("There is no such picture for cards.")));
  }
}
