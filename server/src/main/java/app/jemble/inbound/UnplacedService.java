package app.jemble.inbound;

import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.cause.OpenCauses;
import app.jemble.core.message.MessageId;
import app.jemble.core.record.EmailAddress;
import app.jemble.core.response.OwnWords;
import app.jemble.core.response.ResponseKind;
import app.jemble.inbound.UnplacedMapper.PlaceCandidate;
import app.jemble.inbound.UnplacedMapper.UnplacedMail;
import app.jemble.problem.Problem;
import app.jemble.response.Answered;
import app.jemble.response.AnsweredMessages;
import app.jemble.response.ResponseService;
import java.time.Clock;
import java.util.List;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Mails nobody could place by software: for people to read, and to say what they are. */
@Service
public class UnplacedService {

  private static final int MOST = 200;

  /** From the begin of a word on, and never back: long words cost no more than short ones. */
  private static final Pattern ADDRESS =
      Pattern.compile(
          "(?<![^\\s<>\"'(),;:\\[\\]])[^\\s<>\"'(),;:\\[\\]@]++@[A-Za-z0-9.-]*[A-Za-z0-9]");

  /** What a mail can be said to be. */
  private static final Set<ResponseKind> SAID =
      Set.of(
          ResponseKind.REPLIED,
          ResponseKind.AUTO_REPLIED,
          ResponseKind.RETURNED_HARD,
          ResponseKind.RETURNED_SOFT,
          ResponseKind.COMPLAINED);

  private final UnplacedMapper mapper;
  private final InboundMapper inbound;
  private final AnsweredMessages responses;
  private final ResponseService service;
  private final OpenCauses causes;
  private final AccountService accounts;
  private final Clock clock;

  UnplacedService(
      UnplacedMapper mapper,
      InboundMapper inbound,
      AnsweredMessages responses,
      ResponseService service,
      OpenCauses causes,
      AccountService accounts,
      Clock clock) {
    this.mapper = mapper;
    this.inbound = inbound;
    this.responses = responses;
    this.service = service;
    this.causes = causes;
    this.accounts = accounts;
    this.clock = clock;
  }

  /** The newest first. */
  List<UnplacedMail> all() {
    return mapper.all(accounts.current().id(), MOST);
  }

  /** The addresses of those who wrote, as {@link EmailAddress#key} has them. */
  public Set<String> senders() {
    return mapper.senders().stream()
        .flatMap(UnplacedService::addresses)
        .collect(Collectors.toSet());
  }

  long count() {
    return mapper.count(accounts.current().id());
  }

  String words(long id) {
    return mapper.words(id);
  }

  /** What came, octet by octet: for whoever has to know what software could not read. */
  byte[] octets(long id) {
    return mapper.octets(find(id).id()).mime();
  }

  UnplacedMail find(long id) {
    UnplacedMail mail = mapper.find(accounts.current().id(), id);
    if (mail == null) {
      throw Problem.notFound("Somebody has placed this mail in the meantime.");
    }
    return mail;
  }

  /**
   * Messages to whoever wrote it, or to addresses that it names, the last sent first.
   *
   * @param find the beginning of a name, or an address, to look for instead; or null
   */
  List<PlaceCandidate> candidates(UnplacedMail mail, String words, String find) {
    if (find != null && !find.isBlank()) {
      return mapper.search(find.strip(), accounts.current().id());
    }
    String[] addresses =
        addresses(mail.from() + "\n" + words).distinct().limit(50).toArray(String[]::new);
    return mapper.candidates(addresses, accounts.current().id());
  }

  private static Stream<String> addresses(String text) {
    return ADDRESS.matcher(text).results().map(MatchResult::group).map(EmailAddress::key);
  }

  /** It answers a message, or tells what became of it. */
  @Transactional
  void place(long id, MessageId messageId, ResponseKind kind) {
    Account who = accounts.currentWriter();
    find(id);
    if (kind == null || !SAID.contains(kind)) {
      throw Problem.wrong(
          "kind", "A mail is a reply, an automatic reply, a return or a complaint.");
    }
    Answered message = responses.byId(messageId);
    if (message == null) {
      throw Problem.notFound("There is no such message, or it has not left.");
    }
    causes.find(message.causeId());
    service.forgetUnsure(id);
    String snippet = OwnWords.of(mapper.words(id)).snippet(InboundService.SNIPPET);
    service.note(message, kind, snippet, id);
    inbound.place(id, clock.instant(), who.id());
  }

  /** It answers nothing of ours. */
  @Transactional
  void putAside(long id) {
    Account who = accounts.currentWriter();
    find(id);
    service.forgetUnsure(id);
    inbound.place(id, clock.instant(), who.id());
  }
}
