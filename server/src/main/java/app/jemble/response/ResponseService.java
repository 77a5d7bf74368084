package app.jemble.response;

import app.jemble.core.response.FetchJudge;
import app.jemble.core.response.ResponseKind;
import app.jemble.core.response.Standing;
import app.jemble.people.PeopleService;
import app.jemble.response.ResponseMapper.Answered;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Notes what came back, and what follows from it. */
@Service
class ResponseService {

  private static final int SOFT_RETURNS = 3;
  private static final Duration SOFT_PERIOD = Duration.ofDays(30);

  private final ResponseMapper mapper;
  private final PeopleService people;
  private final CountingService counting;
  private final Clock clock;

  ResponseService(
      ResponseMapper mapper, PeopleService people, CountingService counting, Clock clock) {
    this.mapper = mapper;
    this.people = people;
    this.counting = counting;
    this.clock = clock;
  }

  /** The open mark was fetched. */
  @Transactional
  void opened(String token, String agent, String address) {
    Answered message = mapper.byToken(token);
    if (message != null) {
      boolean machine = isMachine(message, agent, address);
      note(message, machine ? ResponseKind.MACHINE_OPENED : ResponseKind.OPENED, "", null);
    }
  }

  /** A link was followed; answers where it leads, or empty when it was not in the message. */
  @Transactional
  Optional<String> clicked(String token, int link, String agent, String address) {
    Answered message = mapper.byToken(token);
    if (message == null || link < 0 || link >= message.links().size()) {
      return Optional.empty();
    }
    String target = message.links().get(link);
    if (target.isEmpty()) {
      return Optional.empty();
    }
    boolean machine = isMachine(message, agent, address);
    note(message, machine ? ResponseKind.MACHINE_CLICKED : ResponseKind.CLICKED, target, null);
    return Optional.of(target);
  }

  /** Whether a leaving page may be shown for this token. */
  boolean knows(String token) {
    return mapper.byToken(token) != null;
  }

  /** The reader left the topic of the message; again changes nothing. */
  @Transactional
  boolean left(String token) {
    Answered message = mapper.byToken(token);
    if (message == null) {
      return false;
    }
    Instant now = clock.instant();
    people.leave(message.personId(), message.topicId(), now);
    mapper.lock(message.id());
    if (!mapper.kinds(message.id()).contains(ResponseKind.LEFT)) {
      note(message, ResponseKind.LEFT, "", null);
    }
    return true;
  }

  /** Notes one response, moves the message's standing, and does what follows from it. */
  @Transactional
  void note(Answered message, ResponseKind kind, String detail, Long mailId) {
    mapper.lock(message.id());
    Instant now = clock.instant();
    if (mapper.add(message, kind, now, detail, mailId) == 0) {
      return;
    }
    restand(message.id());
    switch (kind) {
      case RETURNED_HARD -> people.doNotWrite(message.address(), "hard return", now, detail);
      case RETURNED_SOFT -> countSoftReturns(message, now, detail);
      case COMPLAINED -> people.doNotWrite(message.address(), "complaint", now, detail);
      default -> {}
    }
  }

  /** Where a message stands follows from all responses to it. */
  void restand(long messageId) {
    Set<ResponseKind> kinds = EnumSet.noneOf(ResponseKind.class);
    kinds.addAll(mapper.kinds(messageId));
    mapper.stand(messageId, Standing.of(kinds).name());
  }

  private void countSoftReturns(Answered message, Instant now, String detail) {
    if (mapper.softReturns(message.address(), now.minus(SOFT_PERIOD)) >= SOFT_RETURNS) {
      people.doNotWrite(message.address(), "soft returns", now, detail);
    }
  }

  private boolean isMachine(Answered message, String agent, String address) {
    return FetchJudge.isMachine(
        message.handedOver(),
        new FetchJudge.Fetch(clock.instant(), agent, address),
        counting.rules());
  }
}
