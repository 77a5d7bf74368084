package app.jemble.mailing;

import app.jemble.core.check.Finding;
import app.jemble.core.filter.FilterSentence;
import app.jemble.core.reach.Reach;
import app.jemble.filter.FilterBody;
import app.jemble.mailing.AudienceService.Audience;
import app.jemble.mailing.AudienceService.Entry;
import app.jemble.mailing.MailingMapper.Change;
import app.jemble.workspace.WorkspaceService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
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

/** The mailing bench. */
@RestController
@RequestMapping("/api/mailings")
class MailingController {

  private static final int PAGE = 500;

  /**
   * Begins a mailing.
   *
   * @param filter all people of this filter, or null
   * @param picks people picked by hand
   */
  record Begin(
      @Schema(nullable = true) FilterBody filter,
      List<Long> picks,
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

  /**
   * What the check found.
   *
   * @param total everyone in the audience
   * @param ready who can be written to, those who need a look among them
   * @param needLook of those ready, whom a notice is about
   * @param cannot the others by their one reason
   */
  record Look(
      long total, long ready, long needLook, List<CannotPart> cannot, List<FindingBody> findings) {}

  record CannotPart(Reach reach, String words, long people) {}

  record FindingBody(
      Finding.Severity severity, Finding.Code code, String about, String sentence, long people) {}

  /** One person of the audience, as listed. */
  record AudiencePerson(
      long id, String name, String line, Reach reach, String reachWords, List<String> notes) {}

  record Version(int version) {}

  record CopyTo(long personId) {}

  record CopySent(String address) {}

  record Withdrawn(int messages) {}

  private final MailingService mailings;
  private final AudienceService audience;
  private final ProofService proofs;
  private final ReleaseService releases;
  private final WorkspaceService workspace;
  private final Clock clock;

  MailingController(
      MailingService mailings,
      AudienceService audience,
      ProofService proofs,
      ReleaseService releases,
      WorkspaceService workspace,
      Clock clock) {
    this.mailings = mailings;
    this.audience = audience;
    this.proofs = proofs;
    this.releases = releases;
    this.workspace = workspace;
    this.clock = clock;
  }

  @GetMapping
  List<MailingMapper.Line> all() {
    return mailings.all();
  }

  @PostMapping
  Begun begin(@RequestBody Begin begin) {
    List<Long> picks = begin.picks() == null ? List.of() : begin.picks();
    return new Begun(mailings.begin(begin.filter(), picks, begin.templateId()));
  }

  @GetMapping("/{id}")
  Bench find(@PathVariable long id) {
    return bench(mailings.find(id));
  }

  @PutMapping("/{id}")
  Bench change(@PathVariable long id, @RequestBody ChangeBody b) {
    Long[] leftOut = b.leftOut() == null ? new Long[0] : b.leftOut().toArray(Long[]::new);
    Change change =
        new Change(
            b.name(),
            b.subject(),
            b.body(),
            b.templateId(),
            b.topicId(),
            leftOut,
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

  @GetMapping("/{id}/look")
  Look look(@PathVariable long id) {
    Audience everyone = audience.look(mailings.find(id));
    Map<Reach, Long> counts =
        everyone.entries().stream()
            .collect(Collectors.groupingBy(Entry::reach, Collectors.counting()));
    long odd = everyone.entries().stream().filter(e -> e.isReady() && e.odd()).count();
    List<CannotPart> cannot =
        Arrays.stream(Reach.values())
            .filter(r -> r != Reach.READY && counts.containsKey(r))
            .map(r -> new CannotPart(r, r.words(), counts.get(r)))
            .toList();
    return new Look(
        everyone.entries().size(),
        counts.getOrDefault(Reach.READY, 0L),
        odd,
        cannot,
        everyone.findings().stream()
            .map(
                f ->
                    new FindingBody(
                        f.severity(), f.code(), f.about(), f.sentence(), f.people().size()))
            .toList());
  }

  /** The audience in the order in which it is looked through, from after the given person. */
  @GetMapping("/{id}/audience")
  List<AudiencePerson> audience(@PathVariable long id, @RequestParam(required = false) Long after) {
    Audience everyone = audience.look(mailings.find(id));
    List<AudiencePerson> page = new ArrayList<>();
    boolean begun = after == null;
    for (Entry entry : everyone.entries()) {
      if (begun && page.size() < PAGE) {
        page.add(person(entry, everyone.findings()));
      }
      begun = begun || entry.person().id() == after;
    }
    return page;
  }

  @GetMapping("/{id}/proofs/{personId}")
  ProofService.Proof proof(@PathVariable long id, @PathVariable long personId) {
    return proofs.proof(mailings.find(id), personId);
  }

  @PostMapping("/{id}/copy")
  CopySent copy(@PathVariable long id, @RequestBody CopyTo copy) {
    return new CopySent(proofs.sendCopy(mailings.find(id), copy.personId()));
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

  private static AudiencePerson person(Entry entry, List<Finding> findings) {
    long id = entry.person().id();
    List<String> notes =
        !entry.isReady() || !entry.odd()
            ? List.of()
            : findings.stream()
                .filter(f -> f.people().contains(id))
                .map(MailingController::note)
                .toList();
    String plan =
        entry.person().plan() == null ? entry.person().kind() : entry.person().plan() + " plan";
    String place = entry.person().addressPlace();
    return new AudiencePerson(
        id,
        entry.person().name(),
        place == null ? plan : plan + " · " + place,
        entry.reach(),
        entry.reach().words(),
        notes);
  }

  /** A few words, to stand beside a name. */
  private static String note(Finding finding) {
    return switch (finding.code()) {
      case VALUE_MISSING -> "no " + finding.about().replace('_', ' ').replace('.', ' ');
      case NAME_CAPITALS -> "capitals";
      case NAME_LOWER_CASE -> "small letters";
      case NAME_ODD -> "odd name";
      case LONG_SUBJECT -> "long subject";
      default -> "look";
    };
  }
}
