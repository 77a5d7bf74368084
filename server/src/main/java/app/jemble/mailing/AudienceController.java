package app.jemble.mailing;

import app.jemble.core.check.Finding;
import app.jemble.core.reach.Reach;
import app.jemble.core.record.Words;
import app.jemble.mailing.AudienceService.Audience;
import app.jemble.mailing.AudienceService.Entry;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Whom a mailing is for, what the check found, and each person's proof. */
@RestController
@RequestMapping("/api/mailings/{id}")
class AudienceController {

  private static final int PAGE = 500;

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

  /** A part of the audience: those ready without a notice, or with one. */
  enum Part {
    READY,
    NEED_LOOK
  }

  /**
   * Which people are asked for; each part that is null asks for all.
   *
   * @param part ready or need a look
   * @param reach of this reach
   * @param finding whom this finding is about, with {@code about} as it stands there
   * @param name whose name contains this
   * @param after who come after this person
   */
  record Which(
      Part part, Reach reach, Finding.Code finding, String about, String name, Long after) {
    boolean holds(Entry entry, List<Finding> findings) {
      return (part == null || (entry.isReady() && entry.odd() == (part == Part.NEED_LOOK)))
          && (reach == null || entry.reach() == reach)
          && (finding == null || findings.stream().anyMatch(f -> isAsked(f, entry)))
          && (name == null || Words.fold(entry.person().name()).contains(Words.fold(name.strip())));
    }

    private boolean isAsked(Finding f, Entry entry) {
      return f.code() == finding
          && (about == null || f.about().equals(about))
          && f.people().contains(entry.person().id());
    }
  }

  record CopyTo(long personId) {}

  record CopySent(String address) {}

  private final MailingService mailings;
  private final AudienceService audience;
  private final ProofService proofs;

  AudienceController(MailingService mailings, AudienceService audience, ProofService proofs) {
    this.mailings = mailings;
    this.audience = audience;
    this.proofs = proofs;
  }

  @GetMapping("/look")
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
        everyone.findings().stream().map(AudienceController::body).toList());
  }

  /** The audience in the order in which it is looked through: those who want a look come first. */
  @GetMapping("/audience")
  List<AudiencePerson> audience(
      @PathVariable long id,
      @RequestParam(required = false) Part part,
      @RequestParam(required = false) Reach reach,
      @RequestParam(required = false) Finding.Code finding,
      @RequestParam(required = false) String about,
      @RequestParam(required = false) String name,
      @RequestParam(required = false) Long after) {
    Audience everyone = audience.look(mailings.find(id));
    Which which = new Which(part, reach, finding, about, name, after);
    Map<Long, List<Finding>> findings = everyone.findingsByPerson();
    return everyone.entries().stream()
        .filter(e -> which.holds(e, findings.getOrDefault(e.person().id(), List.of())))
        .dropWhile(e -> after != null && e.person().id() != after)
        .skip(after == null ? 0 : 1)
        .limit(PAGE)
        .map(e -> person(e, findings.getOrDefault(e.person().id(), List.of())))
        .toList();
  }

  @GetMapping("/proofs/{personId}")
  ProofService.Proof proof(@PathVariable long id, @PathVariable long personId) {
    return proofs.proof(mailings.find(id), personId);
  }

  @PostMapping("/copy")
  CopySent copy(@PathVariable long id, @RequestBody CopyTo copy) {
    return new CopySent(proofs.sendCopy(mailings.find(id), copy.personId()));
  }

  private static FindingBody body(Finding f) {
    return new FindingBody(f.severity(), f.code(), f.about(), f.sentence(), f.people().size());
  }

  private static AudiencePerson person(Entry entry, List<Finding> findings) {
    String plan =
        entry.person().plan() == null ? entry.person().kind() : entry.person().plan() + " plan";
    String place = entry.person().addressPlace();
    return new AudiencePerson(
        entry.person().id(),
        entry.person().name(),
        place == null ? plan : plan + " · " + place,
        entry.reach(),
        entry.reach().words(),
        entry.isReady() ? findings.stream().map(AudienceController::note).toList() : List.of());
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
