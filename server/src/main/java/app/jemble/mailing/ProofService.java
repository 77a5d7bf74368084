package app.jemble.mailing;

import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.core.message.Mailbox;
import app.jemble.core.message.MessageComposer;
import app.jemble.core.message.OutgoingMessage;
import app.jemble.core.message.ThreadPlace;
import app.jemble.core.record.EmailAddress;
import app.jemble.outbox.Handover;
import app.jemble.outbox.HandoverResult;
import app.jemble.workspace.Problem;
import java.time.Clock;
import java.util.Locale;
import java.util.Set;
import org.springframework.stereotype.Service;

/** One person's message as it will leave, to look at or to have sent to oneself. */
@Service
class ProofService {

  /** A person without a valid address is proofed all the same, with this one. */
  private static final String NO_ADDRESS = "no-address@jemble.invalid";

  private final AudienceService audience;
  private final LetterService letters;
  private final AccountService accounts;
  private final Handover handover;
  private final Clock clock;

  ProofService(
      AudienceService audience,
      LetterService letters,
      AccountService accounts,
      Handover handover,
      Clock clock) {
    this.audience = audience;
    this.letters = letters;
    this.accounts = accounts;
    this.handover = handover;
    this.clock = clock;
  }

  /**
   * A proof.
   *
   * @param missing names of fields without a value and without a fallback
   */
  record Proof(
      long personId,
      String toName,
      String toAddress,
      String fromName,
      String fromAddress,
      String subject,
      String html,
      String text,
      Set<String> missing) {}

  Proof proof(Mailing mailing, long personId) {
    MessageComposer.Composed composed = compose(mailing, personId, null);
    OutgoingMessage message = composed.message();
    return new Proof(
        personId,
        message.to().name(),
        message.to().address(),
        message.from().name(),
        message.from().address(),
        message.subject(),
        message.html(),
        message.text(),
        composed.missing());
  }

  /** Sends one person's message to the colleague who asks, at once; returns the address. */
  String sendCopy(Mailing mailing, long personId) {
    Account me = accounts.currentWriter();
    OutgoingMessage message =
        compose(mailing, personId, new Mailbox(me.name(), me.email())).message();
    HandoverResult result = handover.sendOnce(message);
    if (!(result instanceof HandoverResult.Accepted)) {
      throw Problem.conflict("The copy could not be sent: " + result.words());
    }
    return me.email();
  }

  private MessageComposer.Composed compose(Mailing mailing, long personId, Mailbox instead) {
    AudienceService.Entry entry = audience.one(mailing, personId);
    if (entry == null) {
      throw Problem.notFound("There is no such person any more.");
    }
    String address = entry.person().email();
    boolean sound = address != null && EmailAddress.isValid(address.strip());
    Mailbox to =
        instead != null
            ? instead
            : new Mailbox(entry.person().name(), sound ? address : NO_ADDRESS);
    return MessageComposer.compose(
        letters.of(mailing).shared(),
        new MessageComposer.Own(
            to,
            entry.values(),
            Locale.forLanguageTag(entry.person().language()),
            clock.instant(),
            "",
            ThreadPlace.NEW));
  }
}
