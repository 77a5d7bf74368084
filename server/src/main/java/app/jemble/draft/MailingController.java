package app.jemble.draft;

import app.jemble.account.Needs;
import app.jemble.account.Right;
import app.jemble.audience.AudienceParts;
import app.jemble.core.record.Related;
import app.jemble.filter.AskedNow;
import app.jemble.filter.FilterBody;
import app.jemble.filter.ListService;
import app.jemble.filter.Selection;
import app.jemble.mailing.DraftChange;
import app.jemble.mailing.Mailing;
import app.jemble.mailing.MailingFiles;
import app.jemble.mailing.MailingRow;
import app.jemble.mailing.MailingService;
import app.jemble.plan.PlanService;
import app.jemble.plan.SendPlan;
import app.jemble.release.ReleaseJobs;
import app.jemble.release.ReleaseNotes;
import app.jemble.release.ReleaseService;
import app.jemble.release.WritingProgress;
import app.jemble.template.TemplateService;
import com.fasterxml.jackson.annotation.JsonProperty;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Mailings: begun, written, released, taken back. */
@RestController
@RequestMapping("/api/mailings")
class MailingController {

  /**
   * Begins a mailing.
   *
   * @param records the quotes, tasks or events it is about, or null; their people are written to
   * @param recordEach one message for each of them, instead of one about each person's newest
   * @param parts whoever is in any of these
   * @param picks people picked by hand
   * @param leftOut people of the parts who are not written to
   * @param mailingId the mailing to begin from once more; with no parts and picks, to the same
   *     audience
   */
  record Begin(
      @Schema(nullable = true) BeginRecords records,
      @Schema(nullable = true) Boolean recordEach,
      List<AudienceParts.Part> parts,
      List<Long> picks,
      List<Long> leftOut,
      @Schema(nullable = true) Long templateId,
      @Schema(nullable = true) Long mailingId) {}

  /** Records of one kind. */
  record BeginRecords(Related kind, Selection which) {}

  record Begun(long id) {}

  /** A part of the audience, with its words. */
  record BenchPart(@Schema(nullable = true) String name, FilterBody filter, String words) {}

  /** A mailing on the bench. */
  record Bench(
      long id,
      String name,
      String subject,
      String body,
      @Schema(nullable = true) Long templateId,
      @Schema(nullable = true) String templateName,
      @Schema(nullable = true) Integer templateVersion,
      long topicId,
      long senderId,
      String senderName,
      @Schema(nullable = true) Long letterheadId,
      boolean promotional,
      Mailing.Voice voice,
      Mailing.RepliesTo repliesTo,
      @Schema(nullable = true) Long replyColleague,
      @JsonProperty("private") boolean isPrivate,
      @Schema(nullable = true) Long followsId,
      @Schema(nullable = true) String followsName,
      boolean byRule,
      @Schema(nullable = true) Related recordKind,
      int records,
      boolean recordEach,
      String audienceWords,
      List<BenchPart> parts,
      List<BenchPart> leaveParts,
      List<Long> picks,
      List<Long> leftOut,
      SendPlan plan,
      boolean countOpens,
      boolean countClicks,
      List<MailingFiles.MailingFile> files,
      Mailing.State state,
      boolean held,
      @Schema(nullable = true) Instant heldUntil,
      @Schema(nullable = true) Instant dueAt,
      boolean paused,
      @Schema(nullable = true) WritingProgress writing,
      int version) {}

  /**
   * What the writer changed.
   *
   * @param parts null leaves the audience as it is, like {@code leaveParts}, {@code picks} and
   *     {@code leftOut}
   * @param plan null leaves it as it is
   */
  record ChangeBody(
      int version,
      String name,
      String subject,
      String body,
      @Schema(nullable = true) Long templateId,
      long topicId,
      @Schema(nullable = true) Long letterheadId,
      boolean promotional,
      Mailing.Voice voice,
      Mailing.RepliesTo repliesTo,
      @Schema(nullable = true) Long replyColleague,
      @JsonProperty("private") boolean isPrivate,
      @Schema(nullable = true) Boolean recordEach,
      List<AudienceParts.Part> parts,
      List<AudienceParts.Part> leaveParts,
      List<Long> picks,
      List<Long> leftOut,
      @Schema(nullable = true) SendPlan plan,
      boolean countOpens,
      boolean countClicks) {}

  record Version(int version) {}

  record Withdrawn(int messages) {}

  private final MailingService mailings;
  private final DraftService drafts;
  private final MailingFiles files;
  private final AudienceParts parts;
  private final ReleaseService releases;
  private final ReleaseJobs writing;
  private final ReleaseNotes notes;
  private final PlanService plans;
  private final TemplateService templates;
  private final ListService lists;
  private final AskedNow asked;
  private final Clock clock;

  MailingController(
      MailingService mailings,
      DraftService drafts,
      MailingFiles files,
      AudienceParts parts,
      ReleaseService releases,
      ReleaseJobs writing,
      ReleaseNotes notes,
      PlanService plans,
      TemplateService templates,
      ListService lists,
      AskedNow asked,
      Clock clock) {
    this.mailings = mailings;
    this.drafts = drafts;
    this.files = files;
    this.parts = parts;
    this.releases = releases;
    this.writing = writing;
    this.notes = notes;
    this.plans = plans;
    this.templates = templates;
    this.lists = lists;
    this.asked = asked;
    this.clock = clock;
  }

  @Needs(Right.LOOK)
  @GetMapping
  List<MailingRow> all(@RequestParam(required = false) Long template) {
    return mailings.all(template);
  }

  @Needs(Right.WRITE)
  @PostMapping
  Begun begin(@RequestBody Begin begin) {
    BeginRecords about = begin.records();
    List<Long> records = about == null ? List.of() : ids(about);
    List<Long> picks = about == null ? orNone(begin.picks()) : people(about);
    return new Begun(
        drafts.begin(
            new DraftService.Beginning(
                about == null ? null : about.kind(),
                records,
                Boolean.TRUE.equals(begin.recordEach()),
                orNone(begin.parts()),
                picks,
                orNone(begin.leftOut()),
                begin.templateId(),
                begin.mailingId())));
  }

  private List<Long> ids(BeginRecords about) {
    return lists.ids(about.kind(), about.which().filter(), about.which().which(), asked.byMe());
  }

  private List<Long> people(BeginRecords about) {
    return lists.peopleOf(
        about.kind(), about.which().filter(), about.which().which(), asked.byMe());
  }

  @Needs(Right.LOOK)
  @GetMapping("/{id}")
  Bench find(@PathVariable long id) {
    return bench(mailings.find(id));
  }

  @Needs(Right.WRITE)
  @PutMapping("/{id}")
  Bench change(@PathVariable long id, @RequestBody ChangeBody b) {
    Mailing now = mailings.find(id);
    DraftChange change =
        new DraftChange(
            b.name(),
            b.subject(),
            b.body(),
            b.templateId(),
            b.topicId(),
            b.letterheadId(),
            b.promotional(),
            b.voice() == null ? Mailing.Voice.SENDER : b.voice(),
            b.repliesTo() == null ? Mailing.RepliesTo.SENDER : b.repliesTo(),
            b.replyColleague(),
            b.isPrivate(),
            b.recordEach() == null ? now.recordEach() : b.recordEach(),
            b.parts() == null ? now.audienceParts() : parts.write(b.parts()),
            b.leaveParts() == null ? now.leaveParts() : parts.write(b.leaveParts()),
            b.picks() == null ? now.audiencePicks() : b.picks().toArray(Long[]::new),
            b.leftOut() == null ? now.leftOut() : b.leftOut().toArray(Long[]::new),
            b.plan() == null ? now.plan() : plans.write(b.plan()),
            b.countOpens(),
            b.countClicks());
    return bench(drafts.change(id, b.version(), change));
  }

  @Needs(Right.WRITE)
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void discard(@PathVariable long id) {
    drafts.discard(id);
  }

  @Needs(Right.WRITE)
  @PostMapping("/{id}/restore")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void restore(@PathVariable long id) {
    drafts.restore(id);
  }

  @Needs(Right.WRITE)
  @PostMapping("/{id}/release")
  Bench release(@PathVariable long id, @RequestBody Version version) {
    releases.release(id, version.version());
    writing.begin(id);
    return find(id);
  }

  @Needs(Right.WRITE)
  @PostMapping("/{id}/take-back")
  Bench takeBack(@PathVariable long id) {
    releases.takeBack(id);
    return find(id);
  }

  @Needs(Right.WRITE)
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
        m.templateId() == null ? null : templates.nameOf(m.templateId()),
        m.templateVersion(),
        m.topicId(),
        m.senderId(),
        m.senderName(),
        m.letterheadId(),
        m.promotional(),
        m.voice(),
        m.repliesTo(),
        m.replyColleague(),
        m.isPrivate(),
        m.followsId(),
        mailings.nameOf(m.followsId()),
        m.byRule(),
        m.recordKind(),
        m.recordIds().length,
        m.recordEach(),
        parts.words(m),
        benchParts(m.audienceParts()),
        benchParts(m.leaveParts()),
        m.picks(),
        List.of(m.leftOut()),
        plans.of(m),
        m.countOpens(),
        m.countClicks(),
        files.all(m.id()),
        m.state(),
        m.isHeld(clock.instant()),
        m.heldUntil(),
        m.dueAt(),
        m.pausedAt() != null,
        notes.progress(m.id()),
        m.version());
  }

  private List<BenchPart> benchParts(String stored) {
    return parts.read(stored).stream()
        .map(p -> new BenchPart(p.name(), p.filter(), parts.words(p)))
        .toList();
  }

  private static <T> List<T> orNone(List<T> given) {
    return given == null ? List.of() : given;
  }
}
