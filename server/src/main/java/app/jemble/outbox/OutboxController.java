package app.jemble.outbox;

import app.jemble.access.Needs;
import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.core.access.Right;
import app.jemble.core.message.MessageId;
import app.jemble.core.message.MessageMove;
import app.jemble.core.message.MessageState;
import app.jemble.core.reach.Channel;
import app.jemble.problem.Problem;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What has not left yet or could not leave, and each sent message as it left. */
@RestController
@RequestMapping("/api")
class OutboxController {

  private static final int PAGE = 100;

  /**
   * How many messages have not left.
   *
   * @param trouble what keeps all of them from leaving at present; null when nothing does
   */
  record OutboxTally(
      List<OutboxListMapper.StateCount> parts, @Schema(nullable = true) ServerTrouble trouble) {}

  /** The mail server cannot be used. */
  record ServerTrouble(String words, Instant since, Instant triedAt) {}

  /**
   * A message of the outbox.
   *
   * @param held its mailing can still be taken back
   */
  record OutboxMessage(
      MessageId id,
      String name,
      @Schema(nullable = true) String timeZone,
      Channel channel,
      String address,
      long mailingId,
      String mailing,
      String state,
      Instant dueAt,
      int tries,
      String reason,
      boolean held) {}

  /** What a person knows of a message in doubt. */
  record Settlement(boolean arrived) {}

  private final OutboxListMapper mapper;
  private final AccountService accounts;
  private final Clock clock;

  OutboxController(OutboxListMapper mapper, AccountService accounts, Clock clock) {
    this.mapper = mapper;
    this.accounts = accounts;
    this.clock = clock;
  }

  @Needs(Right.SEE)
  @GetMapping("/outbox/tally")
  OutboxTally tally(@RequestParam(required = false) Long mailingId) {
    ServerTrouble trouble =
        mapper.troubles().stream()
            .findFirst()
            .map(s -> new ServerTrouble(s.trouble(), s.since(), s.triedAt()))
            .orElse(null);
    return new OutboxTally(
        mapper.tally(mailingId, accounts.current().id(), Channel.byHand()), trouble);
  }

  /**
   * Messages that have not left, in the order in which they are due.
   *
   * @param who part of a name or of an address, in any case; null for everyone
   */
  @Needs(Right.SEE)
  @GetMapping("/outbox")
  List<OutboxMessage> page(
      @RequestParam(required = false) String state,
      @RequestParam(required = false) Long mailingId,
      @RequestParam(required = false) String who,
      @RequestParam(required = false) Instant afterDue,
      @RequestParam(required = false) Long afterId) {
    String part = who == null || who.isBlank() ? null : who.strip();
    return mapper.page(
        new OutboxListMapper.Which(state, mailingId, part, afterDue, afterId),
        accounts.current().id(),
        clock.instant(),
        MessageState.WAITING.stored(),
        Channel.byHand(),
        PAGE);
  }

  @Needs(Right.OUTBOX)
  @PostMapping("/outbox/{id}/withdraw")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void withdraw(@PathVariable MessageId id) {
    Account who = writerOf(id);
    must(mapper.move(id, MessageMove.WITHDRAW, "withdrawn by " + who.name()));
  }

  @Needs(Right.OUTBOX)
  @PostMapping("/outbox/{id}/try-again")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void tryAgain(@PathVariable MessageId id) {
    writerOf(id);
    must(mapper.tryAgain(id, MessageMove.TRY_AGAIN, clock.instant()));
  }

  @Needs(Right.OUTBOX)
  @PostMapping("/outbox/{id}/settle")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void settle(@PathVariable MessageId id, @RequestBody Settlement settlement) {
    writerOf(id);
    Instant now = clock.instant();
    must(
        settlement.arrived()
            ? mapper.settleAsSent(id, MessageMove.ARRIVED, now)
            : mapper.settleAsLost(id, MessageMove.LOST, now));
  }

  /** The message exactly as it left (message/rfc822). */
  @Needs(Right.SEE)
  @GetMapping(value = "/messages/{id}/eml", produces = "message/rfc822")
  ResponseEntity<byte[]> eml(@PathVariable MessageId id) {
    mustBeOpenTo(accounts.current(), id);
    OutboxListMapper.Copy copy = mapper.copy(id);
    if (copy == null) {
      throw Problem.notFound("This message has not been sent.");
    }
    return ResponseEntity.ok()
        .header("Content-Disposition", "attachment; filename=\"message-" + id + ".eml\"")
        .contentType(MediaType.valueOf("message/rfc822"))
        .body(copy.mime());
  }

  private Account writerOf(MessageId message) {
    Account me = accounts.currentWriter();
    mustBeOpenTo(me, message);
    return me;
  }

  /** A private mailing's messages are its sender's alone. */
  private void mustBeOpenTo(Account who, MessageId message) {
    if (!mapper.isOpenTo(message, who.id())) {
      throw Problem.notFound("There is no such message any more, or it is private.");
    }
  }

  private static void must(int changed) {
    if (changed == 0) {
      throw Problem.conflict("The message has moved on in the meantime; look again.");
    }
  }
}
