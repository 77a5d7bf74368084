package app.jemble.message;

import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.audience.AudienceService;
import app.jemble.carrier.HandoverResult;
import app.jemble.carrier.mail.MailCarrier;
import app.jemble.cause.Cause;
import app.jemble.core.message.InlinePicture;
import app.jemble.core.message.Mailbox;
import app.jemble.core.message.MessageComposer;
import app.jemble.core.message.OutgoingMessage;
import app.jemble.core.message.ThreadPlace;
import app.jemble.core.reach.Channel;
import app.jemble.core.record.EmailAddress;
import app.jemble.core.record.PersonId;
import app.jemble.core.text.LargerAlphabet.Forcing;
import app.jemble.people.PersonRecord;
import app.jemble.problem.Problem;
import app.jemble.workspace.WorkspaceService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Service;

/** One person's message as it will leave, to look at or to have sent to oneself. */
@Service
public class ProofService {

  private final AudienceService audience;
  private final LetterService letters;
  private final Samples samples;
  private final BesideMailProofs beside;
  private final AccountService accounts;
  private final MailCarrier handover;
  private final RecipientNames recipients;
  private final WorkspaceService workspace;
  private final Clock clock;

  ProofService(
      AudienceService audience,
      LetterService letters,
      Samples samples,
      BesideMailProofs beside,
      AccountService accounts,
      MailCarrier handover,
      RecipientNames recipients,
      WorkspaceService workspace,
      Clock clock) {
    this.audience = audience;
    this.letters = letters;
    this.samples = samples;
    this.beside = beside;
    this.accounts = accounts;
    this.handover = handover;
    this.recipients = recipients;
    this.workspace = workspace;
    this.clock = clock;
  }

  /**
   * A proof.
   *
   * @param html as it leaves, its pictures named by where they are found here
   * @param headers as they leave, a line each, unfolded
   * @param octets the size of the message as it leaves
   * @param missing names of fields without a value and without a fallback
   * @param samples what each merge field shows for this person; those without a value left out
   * @param ownWords whether this person has words of their own
   * @param oldWords whether those were written before the shared words changed
   * @param channel the way that reaches this person
   * @param before the ways before it, each with why it does not
   * @param phone what a phone shows, where that is the way
   * @param notice what the app shows, where that is the way
   * @param paper how the letter lies on its sheets, where that is the way
   */
  public record Proof(
      PersonId personId,
      long recordId,
      String toName,
      String toAddress,
      String fromName,
      String fromAddress,
      @Schema(nullable = true) String replyAddress,
      String subject,
      String html,
      String text,
      List<String> headers,
      int octets,
      List<ProofFile> files,
      Set<String> missing,
      Map<String, String> samples,
      boolean ownWords,
      boolean oldWords,
      Channel channel,
      List<String> before,
      @Schema(nullable = true) TextProof phone,
      @Schema(nullable = true) NoticeProof notice,
      @Schema(nullable = true) PaperProof paper) {}

  /**
   * A text as a phone shows it.
   *
   * @param parts of which it is made, as the network carries it
   * @param left units until there is one part more
   * @param longer characters that make it longer, each with its likeness
   * @param cost null where nobody knows
   */
  public record TextProof(
      String number,
      String from,
      String words,
      int units,
      int parts,
      int left,
      List<Forcing> longer,
      @Schema(nullable = true) BigDecimal cost,
      String currency) {}

  /**
   * A notice as a phone shows it.
   *
   * @param link where it leads; empty opens the app alone
   * @param titleLeft how many characters more the title may have; below zero where it is too long
   * @param wordsLeft the same of the text
   */
  public record NoticeProof(
      String title, String words, String link, int titleLeft, int wordsLeft) {}

  /**
   * A letter on its sheets.
   *
   * @param address the lines that show in the window, the name first
   * @param addressFits whether they fit there
   * @param pages how many; 0 where a document is laid on pages by whoever opens it
   * @param lacking letters that no font of the house has, each once
   * @param ofDocument whether it is made of a document
   */
  public record PaperProof(
      List<String> address, int pages, boolean addressFits, String lacking, boolean ofDocument) {}

  /** A file as the reader sees it. */
  record ProofFile(String name, int octets) {}

  public Proof proof(Cause mailing, PersonId personId, long recordId) {
    Letter letter = letters.of(mailing);
    AudienceService.Reader reader = reader(mailing, letter, personId, recordId);
    if (reader.way().channel() != Channel.EMAIL) {
      return beside.proof(letter, reader);
    }
    MessageComposer.Composed composed = compose(letter, reader, null);
    OutgoingMessage message = composed.message();
    byte[] octets = handover.write(message);
    return new Proof(
        personId,
        reader.about().id(),
        message.to().name(),
        message.to().address(),
        message.from().name(),
        message.from().address(),
        message.replyTo().map(Mailbox::address).orElse(null),
        message.subject(),
        withPicturesHere(message),
        message.text(),
        headers(octets),
        octets.length,
        message.files().stream().map(f -> new ProofFile(f.name(), f.octets().length)).toList(),
        composed.missing(),
        samples.of(reader.values(), Locale.forLanguageTag(reader.person().language())),
        letter.hasOwnWords(personId, Channel.EMAIL),
        letter.hasOldWords(personId, Channel.EMAIL),
        reader.way().channel(),
        TextProofs.before(reader),
        null,
        null,
        null);
  }

  /** One person's letter on paper as a file of its own (PDF). */
  byte[] sheets(Cause mailing, PersonId personId, long recordId) {
    Letter letter = letters.of(mailing);
    return beside.sheets(letter, reader(mailing, letter, personId, recordId));
  }

  /** One person's letter that is made of a document (.docx). */
  byte[] document(Cause mailing, PersonId personId, long recordId) {
    Letter letter = letters.of(mailing);
    return beside.document(letter, reader(mailing, letter, personId, recordId));
  }

  /** A browser cannot look into the message for its pictures. */
  private static String withPicturesHere(OutgoingMessage message) {
    String html = message.html();
    for (InlinePicture picture : message.pictures()) {
      html = html.replace("cid:" + picture.contentId(), picture.path());
    }
    return html;
  }

  private static List<String> headers(byte[] mime) {
    String all = new String(mime, StandardCharsets.US_ASCII);
    String unfolded = all.substring(0, all.indexOf("\r\n\r\n")).replaceAll("\r\n(?=[ \t])", "");
    return unfolded.lines().toList();
  }

  /**
   * Sends one person's message to a colleague, at once and on its own way; returns the address.
   *
   * @param colleagueId null for the colleague who asks
   */
  public String sendCopy(Cause mailing, PersonId personId, long recordId, Long colleagueId) {
    Account me = accounts.currentWriter();
    Account to = colleagueId == null ? me : accounts.find(colleagueId);
    if (to == null) {
      throw Problem.wrong("colleagueId", "There is no such colleague.");
    }
    Letter letter = letters.asItWillLeave(mailing, () -> recipients.names(mailing));
    AudienceService.Reader reader = reader(mailing, letter, personId, recordId);
    if (reader.way().channel() != Channel.EMAIL) {
      return beside.sendCopy(letter, reader, to);
    }
    OutgoingMessage message = compose(letter, reader, new Mailbox(to.name(), to.email())).message();
    HandoverResult result = handover.sendOnce(message);
    if (!(result instanceof HandoverResult.Accepted)) {
      throw Problem.conflict("The copy could not be sent: " + result.words());
    }
    return to.email();
  }

  private AudienceService.Reader reader(
      Cause mailing, Letter letter, PersonId personId, long recordId) {
    AudienceService.Reader reader = audience.one(mailing, letter::seenValues, personId, recordId);
    if (reader == null) {
      throw Problem.notFound("There is no such person any more.");
    }
    return reader;
  }

  private MessageComposer.Composed compose(
      Letter letter, AudienceService.Reader reader, Mailbox instead) {
    PersonRecord person = reader.person();
    Mailbox to = instead != null ? instead : address(person);
    return MessageComposer.compose(
        letter.shared(person.id(), letter.voices(person.ownerName(), person.ownerEmail())),
        new MessageComposer.Own(
            to,
            reader.values(),
            Locale.forLanguageTag(person.language()),
            clock.instant(),
            instead == null ? "" : workspace.newToken(),
            true,
            ThreadPlace.NEW));
  }

  private static Mailbox address(PersonRecord person) {
    String email = person.email() == null ? "" : person.email().strip();
    if (!EmailAddress.isValid(email)) {
      throw Problem.conflict(person.name() + " gets nothing: there is no valid address.");
    }
    return new Mailbox(person.name(), email);
  }
}
