package app.jemble.result;

import app.jemble.access.Needs;
import app.jemble.account.AccountService;
import app.jemble.cause.OpenCauses;
import app.jemble.core.access.Right;
import app.jemble.core.message.MessageId;
import app.jemble.core.reach.Channel;
import app.jemble.core.record.PersonId;
import app.jemble.core.response.Interval;
import app.jemble.core.response.ResponseKind;
import app.jemble.core.response.Standing;
import app.jemble.core.response.StandingCounts;
import app.jemble.draft.DraftService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Who did what with a mailing, and writing again to some of them. */
@RestController
@RequestMapping("/api/responses")
class ResponseController {

  private static final int PAGE = 100;
  private static final int LATEST = 30;

  /** A mailing with its results. */
  record MailingResults(
      long id,
      String name,
      @Schema(nullable = true) Instant sentAt,
      long sent,
      long toDepart,
      long replied,
      long opened,
      long quiet,
      long returned) {}

  /**
   * The results of one mailing.
   *
   * @param delivered sent, less those that were returned
   * @param quiet delivered, no sign of a person, no reply
   */
  record Summary(
      long id,
      String name,
      long messages,
      long sent,
      @Schema(nullable = true) Instant firstSent,
      @Schema(nullable = true) Instant lastSent,
      List<StandingPart> parts,
      long delivered,
      long quiet,
      List<Rate> rates) {}

  record StandingPart(Standing standing, String words, boolean quiet, long messages) {}

  /**
   * A share of the delivered with its 95% interval.
   *
   * @param what "a person opened" or "replied"
   * @param share 0 to 1, as are both ends of the interval
   */
  record Rate(String what, long count, double share, double low, double high) {}

  /**
   * One message of a mailing.
   *
   * @param firstRead when a person first opened it, followed a link or replied
   * @param lastReply to any mailing
   */
  record MessageStanding(
      MessageId id,
      PersonId personId,
      String name,
      String nameKey,
      Standing standing,
      Instant sentAt,
      @Schema(nullable = true) String timeZone,
      @Schema(nullable = true) Instant firstRead,
      @Schema(nullable = true) Instant lastReply) {}

  /**
   * Something that just came in.
   *
   * @param channel of the message that it came to
   * @param awayUntil the last day away, where an automatic reply says it
   * @param secondsAfter how long after the hand-over
   */
  record Latest(
      long id,
      ResponseKind kind,
      PersonId personId,
      String name,
      long mailingId,
      String mailing,
      MessageId messageId,
      Channel channel,
      Instant at,
      String detail,
      @Schema(nullable = true) LocalDate awayUntil,
      @Schema(nullable = true) Long secondsAfter) {}

  /** What a person did about a message. */
  enum Did {
    READ,
    CLICKED,
    REPLIED
  }

  record FollowUp(List<Standing> standings) {}

  record Begun(long id) {}

  private final ResponseListMapper mapper;
  private final OpenCauses mailings;
  private final DraftService drafts;
  private final AccountService accounts;

  ResponseController(
      ResponseListMapper mapper,
      OpenCauses mailings,
      DraftService drafts,
      AccountService accounts) {
    this.mapper = mapper;
    this.mailings = mailings;
    this.drafts = drafts;
    this.accounts = accounts;
  }

  @Needs(Right.SEE)
  @GetMapping
  List<MailingResults> all() {
    return mapper.mailings(accounts.current().id());
  }

  @Needs(Right.SEE)
  @GetMapping("/latest")
  List<Latest> latest(@RequestParam(required = false) Long mailingId) {
    return mapper.latest(mailingId, accounts.current().id(), LATEST);
  }

  @Needs(Right.SEE)
  @GetMapping("/{mailingId}")
  Summary summary(@PathVariable long mailingId) {
    mailings.find(mailingId);
    ResponseListMapper.Head head = mapper.head(mailingId);
    StandingCounts counts =
        new StandingCounts(
            mapper.tally(mailingId).stream()
                .collect(
                    Collectors.toMap(
                        ResponseListMapper.StandingCount::standing,
                        ResponseListMapper.StandingCount::messages)));
    long delivered = counts.delivered();
    return new Summary(
        head.id(),
        head.name(),
        head.messages(),
        head.sent(),
        head.firstSent(),
        head.lastSent(),
        parts(counts.messages()),
        delivered,
        counts.quiet(),
        delivered == 0
            ? List.of()
            : List.of(
                rate("a person opened", counts.read(), delivered),
                rate("replied", counts.of(Standing.REPLIED), delivered)));
  }

  /**
   * Which messages are asked for; what is null does not matter.
   *
   * @param value of {@code by}; empty for those without one
   * @param afterId with {@code afterKey}, the place in their order to begin after
   */
  record Which(
      List<Standing> standings,
      Did did,
      String link,
      ResultService.By by,
      String value,
      String afterKey,
      Long afterId) {

    private String of(ResultService.By group) {
      return by == group ? value : null;
    }

    private ResponseListMapper.Which stored() {
      return new ResponseListMapper.Which(
          standings == null || standings.isEmpty() ? null : names(standings),
          did == null ? null : did.name(),
          link,
          of(ResultService.By.PLAN),
          of(ResultService.By.TAG),
          of(ResultService.By.OWNER),
          of(ResultService.By.ZONE),
          of(ResultService.By.WAY));
    }
  }

  @Needs(Right.SEE)
  @GetMapping("/{mailingId}/messages")
  List<MessageStanding> messages(@PathVariable long mailingId, @ParameterObject Which which) {
    mailings.find(mailingId);
    return mapper.page(mailingId, which.stored(), which.afterKey(), which.afterId(), PAGE);
  }

  /** Whose messages stand there, for what is done with people. */
  @Needs(Right.SEE)
  @GetMapping("/{mailingId}/people")
  List<PersonId> people(@PathVariable long mailingId, @RequestParam List<Standing> standings) {
    mailings.find(mailingId);
    return mapper.people(mailingId, names(standings));
  }

  /** Begins a mailing in the same threads, to all who stand there. */
  @Needs(value = Right.WRITE_TO_ONE, fromIt = true)
  @PostMapping("/{mailingId}/follow-up")
  Begun followUp(@PathVariable long mailingId, @RequestBody FollowUp followUp) {
    List<PersonId> people = mapper.people(mailingId, names(followUp.standings()));
    return new Begun(drafts.beginFollowUp(mailingId, people));
  }

  private static List<StandingPart> parts(Map<Standing, Long> counts) {
    List<Standing> shown =
        List.of(
            Standing.REPLIED,
            Standing.CLICKED,
            Standing.OPENED,
            Standing.MACHINE_OPENED,
            Standing.NOTHING,
            Standing.AUTO_REPLIED,
            Standing.LEFT,
            Standing.RETURNED);
    return shown.stream()
        .filter(counts::containsKey)
        .map(s -> new StandingPart(s, s.words(), s.isQuiet(), counts.get(s)))
        .toList();
  }

  private static Rate rate(String what, long count, long delivered) {
    Interval interval = Interval.of(count, delivered);
    return new Rate(what, count, (double) count / delivered, interval.low(), interval.high());
  }

  private static List<String> names(List<Standing> standings) {
    return standings.stream().map(Standing::name).toList();
  }
}
