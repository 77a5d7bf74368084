package app.jemble.nod;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.release.ReleaseJobs;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The nod of a second colleague to a release. */
@RestController
@RequestMapping("/api/mailings/{id}/nod")
class NodController {

  /**
   * Where it stands.
   *
   * @param refusal why the colleague who looks may not decide it; null where they may
   */
  record NodView(
      Nods.Standing standing,
      int people,
      String askedBy,
      @Schema(nullable = true) Instant askedAt,
      boolean mine,
      @Schema(nullable = true) String refusal,
      String decidedBy,
      String word) {}

  /** The version of the mailing that was looked at. */
  record SeenVersion(int version) {}

  record NodRefusal(int version, String word) {}

  private final Nods nods;
  private final ReleaseJobs writing;

  NodController(Nods nods, ReleaseJobs writing) {
    this.nods = nods;
    this.writing = writing;
  }

  @Needs(Right.SEE)
  @GetMapping
  NodView find(@PathVariable long id) {
    return told(nods.of(id));
  }

  @Needs(Right.WRITE_TO_MANY)
  @PostMapping
  NodView ask(@PathVariable long id, @RequestBody SeenVersion seen) {
    nods.ask(id, seen.version());
    return find(id);
  }

  @Needs(Right.WRITE_TO_MANY)
  @DeleteMapping
  NodView takeBack(@PathVariable long id) {
    nods.takeBack(id);
    return find(id);
  }

  /** Gives it: the mailing is released. */
  @Needs(Right.WRITE_TO_MANY)
  @PostMapping("/give")
  NodView give(@PathVariable long id, @RequestBody SeenVersion seen) {
    nods.give(id, seen.version());
    writing.begin(id);
    return find(id);
  }

  @Needs(Right.WRITE_TO_MANY)
  @PostMapping("/refuse")
  NodView refuse(@PathVariable long id, @RequestBody NodRefusal refusal) {
    nods.refuse(id, refusal.version(), refusal.word());
    return find(id);
  }

  private static NodView told(Nods.Nod nod) {
    return new NodView(
        nod.standing(),
        nod.people(),
        nod.askedBy(),
        nod.askedAt(),
        nod.mine(),
        nod.refusal(),
        nod.decidedBy(),
        nod.word());
  }
}
