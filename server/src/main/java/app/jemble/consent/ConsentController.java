package app.jemble.consent;

import app.jemble.access.Needs;
import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.core.access.Right;
import app.jemble.core.reach.Channel;
import app.jemble.core.record.PersonId;
import app.jemble.problem.Problem;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** On which ways somebody may be written to, and how they said so. */
@RestController
@RequestMapping("/api/people/{id}/consent")
class ConsentController {

  private static final int LONGEST = 200;

  /**
   * @param closedAt since when they are not written to on this way at all; null while they are
   * @param how it was said
   * @param by the colleague who noted it; null when they said so themselves
   * @param topicsLeft topics that they left on this way
   */
  record WayConsent(
      Channel channel,
      String words,
      @Schema(nullable = true) Instant closedAt,
      @Schema(nullable = true) String how,
      @Schema(nullable = true) String by,
      List<String> topicsLeft) {}

  /** How somebody said that they are not to be written to on a way, such as "on the telephone". */
  record ToClose(String how) {}

  private final ConsentMapper mapper;
  private final AccountService accounts;
  private final Clock clock;

  ConsentController(ConsentMapper mapper, AccountService accounts, Clock clock) {
    this.mapper = mapper;
    this.accounts = accounts;
    this.clock = clock;
  }

  @Needs(Right.SEE)
  @GetMapping
  List<WayConsent> find(@PathVariable PersonId id) {
    Map<Channel, ConsentMapper.ClosedWay> closed =
        mapper.closedWays(id).stream()
            .collect(Collectors.toMap(ConsentMapper.ClosedWay::channel, way -> way));
    List<ConsentMapper.LeftTopic> left = mapper.leftTopics(id);
    return Arrays.stream(Channel.values()).map(way -> consent(way, closed.get(way), left)).toList();
  }

  private static WayConsent consent(
      Channel way, ConsentMapper.ClosedWay closed, List<ConsentMapper.LeftTopic> left) {
    return new WayConsent(
        way,
        way.words(),
        closed == null ? null : closed.closedAt(),
        closed == null ? null : closed.how(),
        closed == null ? null : closed.by(),
        left.stream()
            .filter(topic -> topic.channel() == way)
            .map(ConsentMapper.LeftTopic::name)
            .toList());
  }

  /** Notes that somebody is not to be written to on a way, and how they said so. */
  @Needs(Right.CHANGE_PEOPLE)
  @PutMapping("/{channel}")
  @Transactional
  public List<WayConsent> close(
      @PathVariable PersonId id, @PathVariable Channel channel, @RequestBody ToClose wanted) {
    Account me = accounts.currentWriter();
    String how = wanted.how().replaceAll("\\s+", " ").strip();
    if (how.isEmpty() || how.length() > LONGEST) {
      throw Problem.wrong("how", "Say in at most 200 characters how they said so.");
    }
    if (!mapper.isOnRecord(id)) {
      throw Problem.notFound("There is no such person any more.");
    }
    if (mapper.close(id, channel, clock.instant(), how, me.id()) == 0) {
      throw Problem.conflict("This way is closed already.");
    }
    return find(id);
  }

  /** Takes back what a colleague noted; who said so themselves comes back by themselves. */
  @Needs(Right.CHANGE_PEOPLE)
  @DeleteMapping("/{channel}")
  @Transactional
  public List<WayConsent> open(@PathVariable PersonId id, @PathVariable Channel channel) {
    accounts.currentWriter();
    ConsentMapper.ClosedWay closed =
        mapper.closedWays(id).stream()
            .filter(way -> way.channel() == channel)
            .findFirst()
            .orElseThrow(() -> Problem.notFound("This way is not closed any more."));
    if (closed.by() == null) {
      throw Problem.conflict(
          "They said so themselves, and only they come back: by the leaving page of any message.");
    }
    mapper.reopen(id, channel);
    return find(id);
  }
}
