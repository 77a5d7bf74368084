package app.jemble.check;

import app.jemble.access.Needs;
import app.jemble.audience.AudienceService;
import app.jemble.cause.Cause;
import app.jemble.cause.OpenCauses;
import app.jemble.check.Checked.Entry;
import app.jemble.core.access.Right;
import app.jemble.core.check.Finding;
import app.jemble.core.check.PaperCheck;
import app.jemble.core.check.TextCheck;
import app.jemble.core.reach.Channel;
import app.jemble.core.reach.Reach;
import app.jemble.core.record.PersonId;
import app.jemble.core.record.Words;
import app.jemble.core.text.Allowance;
import app.jemble.people.PersonRecord;
import app.jemble.sending.PhoneRuleService;
import app.jemble.workspace.Workspace;
import app.jemble.workspace.WorkspaceService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import tools.jackson.databind.ObjectMapper;

/** What the check before release found, and about whom. */
@RestController
@RequestMapping("/api/mailings/{id}")
class CheckController {

  private static final int PAGE = 500;

  /**
   * What the check found.
   *
   * @param total everyone in the audience
   * @param ready who can be written to, those who need a look among them
   * @param needLook of those ready, whom a notice is about
   * @param ownWords who have words of their own
   * @param lacks by merge field, how many of those ready have no value
   * @param cannot the others by their one reason
   * @param first the message the list of those ready begins with; null when nobody is ready
   * @param ways in their order, those who are ready by the way that reaches them
   * @param texts what the text messages come to; null where none goes that way
   * @param paper what the letters come to; null as long as they were not laid on their pages
   */
  record CheckResult(
      long total,
      long ready,
      long needLook,
      long ownWords,
      List<CannotPart> cannot,
      List<FindingBody> findings,
      Map<String, Long> lacks,
      @Schema(nullable = true) FirstMessage first,
      List<WayPart> ways,
      @Schema(nullable = true) TextCost texts,
      @Schema(nullable = true) PaperCheck.PaperSum paper) {}

  /**
   * How many of those ready are reached on a way.
   *
   * @param sound those of them whom no notice is about
   */
  record WayPart(Channel channel, String words, long people, long sound) {}

  /**
   * What the text messages come to.
   *
   * @param currency of costs (ISO 4217)
   * @param leftToday what the allowance of the day leaves; null where there is none, as {@code
   *     leftThisMonth}
   */
  record TextCost(
      TextCheck.TextSum sum,
      String currency,
      @Schema(nullable = true) BigDecimal leftToday,
      @Schema(nullable = true) BigDecimal leftThisMonth) {}

  /**
   * Whose message it is.
   *
   * @param recordId the record it is about; 0 for none
   */
  record FirstMessage(PersonId id, long recordId) {}

  record CannotPart(Reach reach, String words, long people) {}

  record FindingBody(
      Finding.Severity severity, Finding.Code code, String about, String sentence, long people) {}

  /**
   * One person of the audience, as listed.
   *
   * @param recordId the record their message is about; 0 for none
   * @param channel the way that reaches them, or the last that does not
   * @param before the ways before it, each with why it does not reach them
   */
  record AudiencePerson(
      PersonId id,
      String name,
      String line,
      Reach reach,
      String reachWords,
      boolean ownWords,
      long recordId,
      List<String> notes,
      Channel channel,
      List<String> before) {}

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
   * @param channel ready, and reached on this way
   * @param finding whom this finding is about, with {@code about} as it stands there
   * @param ownWords who have words of their own
   * @param name whose name contains this
   * @param after with {@code afterRecord}, the person to begin after
   */
  record Which(
      Part part,
      Reach reach,
      Channel channel,
      Finding.Code finding,
      String about,
      Boolean ownWords,
      String name,
      PersonId after,
      Long afterRecord) {

    private boolean holds(Entry entry, Set<PersonId> found) {
      return (part == null || (entry.isReady() && entry.odd() == (part == Part.NEED_LOOK)))
          && (reach == null || entry.reach() == reach)
          && (channel == null || (entry.isReady() && entry.way().channel() == channel))
          && (!Boolean.TRUE.equals(ownWords) || entry.ownWords())
          && (finding == null || found.contains(entry.personId()))
          && (name == null || Words.fold(entry.name()).contains(Words.fold(name.strip())));
    }

    /** Whether an entry is the one to begin after. */
    private boolean isBegin(Entry entry) {
      long record = afterRecord == null ? 0 : afterRecord;
      return entry.personId().equals(after) && entry.about().id() == record;
    }
  }

  /** How far a look has come, or with the last line what it found. */
  record CheckLine(long checked, long of, @Schema(nullable = true) CheckResult result) {}

  private final OpenCauses mailings;
  private final AudienceService audience;
  private final CheckService checks;
  private final PaperLook paper;
  private final PhoneRuleService phones;
  private final WorkspaceService workspace;
  private final ObjectMapper json;

  CheckController(
      OpenCauses mailings,
      AudienceService audience,
      CheckService checks,
      PaperLook paper,
      PhoneRuleService phones,
      WorkspaceService workspace,
      ObjectMapper json) {
    this.mailings = mailings;
    this.audience = audience;
    this.checks = checks;
    this.paper = paper;
    this.phones = phones;
    this.workspace = workspace;
    this.json = json;
  }

  @Needs(Right.SEE)
  @GetMapping("/check")
  CheckResult check(@PathVariable long id) {
    Cause mailing = mailings.find(id);
    return check(mailing, checks.check(mailing, CheckService.Progress.NONE));
  }

  /** The same, with a line of JSON now and then that says how far it has come. */
  @Needs(Right.SEE)
  @GetMapping(path = "/check/watch", produces = "application/x-ndjson")
  ResponseEntity<StreamingResponseBody> watch(@PathVariable long id) {
    Cause mailing = mailings.find(id);
    return watched(mailing, progress -> checks.check(mailing, progress));
  }

  /** Lays all letters on their pages, and tells as {@code watch} does how far that has come. */
  @Needs(Right.SEE)
  @GetMapping(path = "/check/paper", produces = "application/x-ndjson")
  ResponseEntity<StreamingResponseBody> paper(@PathVariable long id) {
    Cause mailing = mailings.find(id);
    paper.mustBeLaidHere(mailing);
    return watched(mailing, progress -> paper.look(mailing, progress));
  }

  private ResponseEntity<StreamingResponseBody> watched(
      Cause mailing, Function<CheckService.Progress, Checked> look) {
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_NDJSON)
        .body(
            out -> {
              Checked checked = look.apply((n, of) -> write(out, new CheckLine(n, of, null)));
              long all = checked.entries().size();
              write(out, new CheckLine(all, all, check(mailing, checked)));
            });
  }

  /** Whoever has stopped reading ends the look. */
  private void write(OutputStream out, CheckLine line) {
    try {
      out.write((json.writeValueAsString(line) + "\n").getBytes(StandardCharsets.UTF_8));
      out.flush();
    } catch (IOException gone) {
      throw new UncheckedIOException(gone);
    }
  }

  private CheckResult check(Cause mailing, Checked everyone) {
    Map<Reach, Long> counts =
        everyone.entries().stream()
            .collect(Collectors.groupingBy(Entry::reach, Collectors.counting()));
    long odd = everyone.entries().stream().filter(e -> e.isReady() && e.odd()).count();
    List<CannotPart> cannot =
        Arrays.stream(Reach.values())
            .filter(r -> r != Reach.READY && counts.containsKey(r))
            .map(r -> new CannotPart(r, r.words(), counts.get(r)))
            .toList();
    return new CheckResult(
        everyone.entries().size(),
        counts.getOrDefault(Reach.READY, 0L),
        odd,
        everyone.entries().stream().filter(Entry::ownWords).count(),
        cannot,
        everyone.findings().stream().map(CheckController::body).toList(),
        everyone.lacks(),
        everyone.entries().stream()
            .filter(Entry::isReady)
            .findFirst()
            .map(e -> new FirstMessage(e.personId(), e.about().id()))
            .orElse(null),
        ways(mailing, everyone),
        texts(mailing, everyone),
        everyone.paper());
  }

  private static List<WayPart> ways(Cause mailing, Checked everyone) {
    Map<Channel, Long> reached =
        everyone.ready().stream()
            .collect(Collectors.groupingBy(e -> e.way().channel(), Collectors.counting()));
    return mailing.ways().inOrder().stream()
        .map(
            way ->
                new WayPart(
                    way,
                    way.words(),
                    reached.getOrDefault(way, 0L),
                    everyone.entries().stream()
                        .filter(e -> e.isReady() && !e.odd() && e.way().channel() == way)
                        .count()))
        .toList();
  }

  private TextCost texts(Cause mailing, Checked everyone) {
    if (!mailing.ways().has(Channel.TEXT)) {
      return null;
    }
    Workspace house = workspace.current();
    Allowance left = phones.left(house.zoneId());
    return new TextCost(everyone.texts(), house.currency(), left.today(), left.month());
  }

  /** The audience in the order in which it is looked through: those who want a look come first. */
  @Needs(Right.SEE)
  @GetMapping("/audience")
  List<AudiencePerson> audience(@PathVariable long id, @ParameterObject Which which) {
    Cause mailing = mailings.find(id);
    Checked everyone = checks.lastCheck(mailing);
    Set<PersonId> found =
        which.finding() == null
            ? Set.of()
            : Set.copyOf(checks.peopleOf(mailing, which.finding(), which.about()));
    List<Entry> page =
        everyone.entries().stream()
            .filter(e -> which.holds(e, found))
            .dropWhile(e -> which.after() != null && !which.isBegin(e))
            .skip(which.after() == null ? 0 : 1)
            .limit(PAGE)
            .toList();
    return people(page, everyone);
  }

  private List<AudiencePerson> people(List<Entry> page, Checked everyone) {
    List<PersonId> ids = page.stream().map(Entry::personId).distinct().toList();
    Map<PersonId, PersonRecord> records =
        audience.records(ids).stream().collect(Collectors.toMap(PersonRecord::id, r -> r));
    Map<PersonId, List<Finding>> findings = everyone.findingsOf(Set.copyOf(ids));
    return page.stream()
        .filter(e -> records.containsKey(e.personId()))
        .map(
            e ->
                person(
                    e, records.get(e.personId()), findings.getOrDefault(e.personId(), List.of())))
        .toList();
  }

  private static FindingBody body(Finding f) {
    return new FindingBody(f.severity(), f.code(), f.about(), f.sentence(), f.people().size());
  }

  private static AudiencePerson person(Entry entry, PersonRecord record, List<Finding> findings) {
    String plan = record.plan() == null ? record.kind() : record.plan() + " plan";
    String place = record.addressPlace();
    return new AudiencePerson(
        entry.personId(),
        entry.name(),
        entry.about().id() > 0
            ? entry.about().words()
            : place == null ? plan : plan + " · " + place,
        entry.reach(),
        entry.reach().words(),
        entry.ownWords(),
        entry.about().id(),
        entry.isReady() ? findings.stream().map(CheckController::note).toList() : List.of(),
        entry.way().channel(),
        entry.way().before().stream()
            .map(shut -> shut.channel().words() + ": " + shut.reach().words())
            .toList());
  }

  /** A few words, to stand beside a name. */
  private static String note(Finding finding) {
    return switch (finding.code()) {
      case VALUE_MISSING -> "no " + finding.about().replace('_', ' ').replace('.', ' ');
      case NAME_CAPITALS -> "capitals";
      case NAME_LOWER_CASE -> "small letters";
      case NAME_ODD -> "odd name";
      case NAME_OF_ORGANISATION -> "an organisation?";
      case DOMAIN_MISTYPED -> "address?";
      case NO_TIME_ZONE -> "no time zone";
      case WRITTEN_LATELY -> "written to lately";
      case IN_ANOTHER_MAILING -> "another mailing";
      case OWN_WORDING_OLD -> "own wording is older";
      case LONG_SUBJECT -> "long subject";
      case ODD_LINK, LINK_NOT_ALLOWED -> "a link";
      case LARGER_ALPHABET -> "“" + finding.about() + "”";
      case LONG_TEXT -> "long text";
      case NO_PRICE -> "no price";
      case LONG_LETTER -> finding.about() + " pages";
      case ADDRESS_TOO_LONG -> "long address";
      case NO_GLYPH -> "odd characters";
      default -> "look";
    };
  }
}
