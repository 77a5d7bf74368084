package app.jemble.mailing;

import app.jemble.core.filter.FilterSentence;
import app.jemble.filter.FilterBody;
import app.jemble.mailing.MailingMapper.Change;
import app.jemble.workspace.WorkspaceService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Mailings: begun, written, released, taken back. */
@RestController
@RequestMapping("/api/mailings")
class MailingController {

  /**
   * Begins a mailing.
   *
   * @param filter all people of this filter, or null
   * @param picks people picked by hand
   * @param leftOut people of the filter who are not written to
   */
  record Begin(
      @Schema(nullable = true) FilterBody filter,
      List<Long> picks,
      List<Long> leftOut,
      @Schema(nullable = true) Long templateId) {}

  record Begun(long id) {}

  /** A mailing on the bench. */
  record Bench(
      long id,
      String name,
      String subject,
      String body,
      @Schema(nullable = true) Long templateId,
      @Schema(nullable = true) String templateName,
      long topicId,
      String senderName,
      @Schema(nullable = true) Long followsId,
      @Schema(nullable = true) String followsName,
      String audienceWords,
      List<Long> leftOut,
      @Schema(nullable = true) LocalDateTime startWall,
      boolean countOpens,
      boolean countClicks,
      Mailing.State state,
      boolean held,
      @Schema(nullable = true) Instant heldUntil,
      @Schema(nullable = true) Instant dueAt,
      int version) {}

  /** What the writer changed. */
  record ChangeBody(
      int version,
      String name,
      String subject,
      String body,
      @Schema(nullable = true) Long templateId,
      long topicId,
      List<Long> leftOut,
      @Schema(nullable = true) LocalDateTime startWall,
      boolean countOpens,
      boolean countClicks) {}

  record Version(int version) {}

  record Withdrawn(int messages) {}

  private final MailingService mailings;
  private final AudienceService audience;
  private final ReleaseService releases;
  private final WorkspaceService workspace;
  private final Clock clock;

  MailingController(
      MailingService mailings,
      AudienceService audience,
      ReleaseService releases,
      WorkspaceService workspace,
      Clock clock) {
    this.mailings = mailings;
    this.audience = audience;
    this.releases = releases;
    this.workspace = workspace;
    this.clock = clock;
  }

  @GetMapping
  List<MailingMapper.MailingRow> all() {
    return mailings.all();
  }

  @PostMapping
  Begun begin(@RequestBody Begin begin) {
    return new Begun(
        mailings.begin(
            begin.filter(), orNone(begin.picks()), orNone(begin.leftOut()), begin.templateId()));
  }

  @GetMapping("/{id}")
  Bench find(@PathVariable long id) {
    return bench(mailings.find(id));
  }

  @PutMapping("/{id}")
  Bench change(@PathVariable long id, @RequestBody ChangeBody b) {
    Change change =
        new Change(
            b.name(),
            b.subject(),
            b.body(),
            b.templateId(),
            b.topicId(),
            orNone(b.leftOut()).toArray(Long[]::new),
            b.startWall(),
            b.countOpens(),
            b.countClicks());
    return bench(mailings.change(id, b.version(), change));
  }

  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void discard(@PathVariable long id) {
    mailings.discard(id);
  }

  @PostMapping("/{id}/restore")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void restore(@PathVariable long id) {
    mailings.restore(id);
  }

  @PostMapping("/{id}/release")
  Bench release(@PathVariable long id, @RequestBody Version version) {
    releases.release(id, version.version());
    return find(id);
  }

  @PostMapping("/{id}/take-back")
  Bench takeBack(@PathVariable long id) {
    releases.takeBack(id);
    return find(id);
  }

  @PostMapping("/{id}/withdraw")
  Withdrawn withdraw(@PathVariable long id) {
    return new Withdrawn(releases.withdraw(id));
  }

  private Bench bench(Mailing m) {
    return new Bench(
        m.id(),
        m.name(),
        m.subject(),
        m.body(),
        m.templateId(),
        m.templateName(),
        m.topicId(),
        m.senderName(),
        m.followsId(),
        m.followsId() == null ? null : mailings.find(m.followsId()).name(),
        audienceWords(m),
        List.of(m.leftOut()),
        m.startWall(),
        m.countOpens(),
        m.countClicks(),
        m.state(),
        m.isHeld(clock.instant()),
        m.heldUntil(),
        m.dueAt(),
        m.version());
  }

  private String audienceWords(Mailing mailing) {
    FilterBody filter = audience.filter(mailing);
    int picks = mailing.picks().size();
    String picked = String.format("%,d picked by hand", picks);
    if (filter == null) {
      return picked;
    }
    String words = FilterSentence.of(filter.toFilter(workspace.fields()));
    return picks == 0 ? words : words + ", and " + picked;
  }

  private static List<Long> orNone(List<Long> ids) {
    return ids == null ? List.of() : ids;
  }
}
