package app.jemble.message;

import app.jemble.account.Account;
import app.jemble.audience.AudienceService.Reader;
import app.jemble.carrier.HandoverResult;
import app.jemble.carrier.text.TextCarrier;
import app.jemble.core.message.OutgoingText;
import app.jemble.core.message.TextLetter;
import app.jemble.core.reach.Address;
import app.jemble.core.reach.Channel;
import app.jemble.core.record.PhoneNumber;
import app.jemble.core.text.LargerAlphabet;
import app.jemble.core.text.TextParts;
import app.jemble.core.text.TextPrices.Price;
import app.jemble.people.PersonRecord;
import app.jemble.problem.Problem;
import app.jemble.sending.PhoneRuleService;
import app.jemble.workspace.WorkspaceService;
import java.math.BigDecimal;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Component;

/** One person's text message as it will leave, to look at. */
@Component
class TextProofs {

  private final Samples samples;
  private final PhoneRuleService phones;
  private final WorkspaceService workspace;
  private final TextCarrier carrier;

  TextProofs(
      Samples samples, PhoneRuleService phones, WorkspaceService workspace, TextCarrier carrier) {
    this.samples = samples;
    this.phones = phones;
    this.workspace = workspace;
    this.carrier = carrier;
  }

  ProofService.Proof proof(Letter letter, Reader reader) {
    PersonRecord person = reader.person();
    if (!(reader.address() instanceof Address.Phone phone) || phone.stored() == null) {
      throw Problem.conflict(person.name() + " gets nothing: there is no phone number.");
    }
    Locale language = Locale.forLanguageTag(person.language());
    TextLetter.Composed composed =
        letter.text(person.id(), new TextLetter.Own(phone, reader.values(), language, ""));
    OutgoingText text = composed.message();
    return new ProofService.Proof(
        person.id(),
        reader.about().id(),
        person.name(),
        phone.stored(),
        "",
        text.from(),
        null,
        text.subject(),
        "",
        text.text(),
        List.of(),
        0,
        List.of(),
        composed.missing(),
        samples.of(reader.values(), language),
        letter.hasOwnWords(person.id(), Channel.TEXT),
        letter.hasOldWords(person.id(), Channel.TEXT),
        reader.way().channel(),
        before(reader),
        shown(text),
        null,
        null);
  }

  /** Sends somebody's text to a colleague's own phone; answers the number. */
  String sendCopy(Letter letter, Reader reader, Account colleague) {
    String number =
        PhoneNumber.international(
                colleague.phone() == null ? "" : colleague.phone(), workspace.current().region())
            .map(PhoneNumber::dialled)
            .orElseThrow(
                () ->
                    Problem.conflict(
                        colleague.name()
                            + " has no phone number on record that a text could go to."));
    Locale language = Locale.forLanguageTag(reader.person().language());
    Address.Phone to = new Address.Phone(number);
    OutgoingText text =
        letter
            .text(reader.person().id(), new TextLetter.Own(to, reader.values(), language, ""))
            .message();
    HandoverResult result = carrier.sendOnce(number, text.text());
    if (!(result instanceof HandoverResult.Accepted)) {
      throw Problem.conflict("The copy could not be sent: " + result.words());
    }
    return number;
  }

  private ProofService.TextProof shown(OutgoingText text) {
    TextParts parts = TextParts.of(text.text());
    BigDecimal cost =
        phones
            .current()
            .prices()
            .of(text.to().stored())
            .map(Price::each)
            .map(each -> each.multiply(BigDecimal.valueOf(parts.count())))
            .orElse(null);
    return new ProofService.TextProof(
        text.to().stored(),
        text.from(),
        text.text(),
        parts.units(),
        parts.count(),
        parts.left(),
        LargerAlphabet.in(text.text()),
        cost,
        workspace.current().currency());
  }

  /** Why the ways before do not reach somebody. */
  static List<String> before(Reader reader) {
    return reader.way().before().stream()
        .map(shut -> shut.channel().words() + ": " + shut.reach().words())
        .toList();
  }
}
