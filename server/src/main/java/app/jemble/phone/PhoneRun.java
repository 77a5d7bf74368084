package app.jemble.phone;

import app.jemble.carrier.text.TextCarrier;
import app.jemble.consent.Consents;
import app.jemble.core.reach.Channel;
import app.jemble.core.record.PersonId;
import app.jemble.inbound.InboundTexts;
import app.jemble.response.ResponseService;
import app.jemble.sending.PhoneRuleService;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Looks at what has come from phones and does what follows from it, each thing in a transaction of
 * its own.
 */
@Service
public class PhoneRun {

  private static final int RECEIPTS_AT_ONCE = 1000;

  /** A receipt can come before it is noted whose it is, but not by so much. */
  private static final Duration NOT_OURS = Duration.ofDays(1);

  /** The parts of a text come within it, or not at all (common practice). */
  private static final Duration PARTS_COME = Duration.ofMinutes(10);

  private static final String CONFIRMED = "You will get no more texts from us.";

  private final PhoneMapper mapper;
  private final ResponseService responses;
  private final InboundTexts inbound;
  private final Consents consents;
  private final PhoneRuleService rules;
  private final TextCarrier carrier;
  private final TransactionTemplate transaction;
  private final Clock clock;

  PhoneRun(
      PhoneMapper mapper,
      ResponseService responses,
      InboundTexts inbound,
      Consents consents,
      PhoneRuleService rules,
      TextCarrier carrier,
      TransactionTemplate transaction,
      Clock clock) {
    this.mapper = mapper;
    this.responses = responses;
    this.inbound = inbound;
    this.consents = consents;
    this.rules = rules;
    this.carrier = carrier;
    this.transaction = transaction;
    this.clock = clock;
  }

  /** Looks once at all that has come. */
  public void look() {
    Instant now = clock.instant();
    for (PhoneMapper.Receipt receipt : mapper.toPlace(RECEIPTS_AT_ONCE)) {
      transaction.executeWithoutResult(tx -> place(receipt));
    }
    mapper.giveUp(now.minus(NOT_OURS), now);
    List<PhoneMapper.Whole> texts = new ArrayList<>(mapper.whole());
    texts.addAll(mapper.overdue(now.minus(PARTS_COME)));
    for (PhoneMapper.Whole text : texts) {
      Boolean stopped = transaction.execute(tx -> take(text));
      if (Boolean.TRUE.equals(stopped)) {
        carrier.sendOnce(text.sender(), CONFIRMED);
      }
    }
  }

  private void place(PhoneMapper.Receipt receipt) {
    mapper.place(receipt.id(), receipt.messageId(), clock.instant());
    receipt
        .state()
        .response()
        .ifPresent(
            kind ->
                responses
                    .message(receipt.token())
                    .ifPresent(message -> responses.note(message, kind, receipt.words(), null)));
  }

  /** Answers whether it asked for no more texts and was heard for the first time. */
  private boolean take(PhoneMapper.Whole text) {
    Instant now = clock.instant();
    mapper.taken(text.ids(), now);
    boolean stops = rules.current().stopWords().asksToStop(text.words());
    inbound.receive(
        new InboundTexts.Text("text:" + text.id(), text.sender(), text.words(), text.at(), stops));
    boolean first = false;
    if (stops) {
      String how = "answered “" + text.words().strip() + "”";
      for (PersonId person : mapper.peopleOf(text.sender())) {
        first |= !consents.closed(person).contains(Channel.TEXT);
        consents.close(person, Channel.TEXT, how, now);
      }
    }
    return first;
  }
}
