package app.jemble.inbound;

import app.jemble.core.response.AuthenticationResults;
import app.jemble.core.response.AwayUntil;
import app.jemble.core.response.InboundMail;
import app.jemble.core.response.OwnWords;
import app.jemble.core.response.ResponseKind;
import app.jemble.core.response.SortedMail;
import app.jemble.inbound.InboundMapper.NewMail;
import app.jemble.inbound.MessageFinder.Match;
import app.jemble.outside.OutsideServices;
import app.jemble.response.Answered;
import app.jemble.response.ResponseService;
import app.jemble.workspace.WorkspaceService;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.MailDateFormat;
import java.text.ParseException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes in a mail that arrived: which message it is about, and what follows. Once each. */
@Service
public class InboundService {

  static final int SNIPPET = 300;

  /** A mail says itself when it was written; what is older than this is taken for wrong. */
  private static final Duration ON_ITS_WAY = Duration.ofDays(10);

  private final InboundMapper mapper;
  private final ResponseService service;
  private final MessageFinder finder;
  private final MailTrials trials;
  private final WorkspaceService workspace;
  private final OutsideServices services;
  private final Clock clock;

  InboundService(
      InboundMapper mapper,
      ResponseService service,
      MessageFinder finder,
      MailTrials trials,
      WorkspaceService workspace,
      OutsideServices services,
      Clock clock) {
    this.mapper = mapper;
    this.service = service;
    this.finder = finder;
    this.trials = trials;
    this.workspace = workspace;
    this.services = services;
    this.clock = clock;
  }

  /** Reads one mail and takes it in; one that cannot be read is set aside. */
  @Transactional
  public void receive(byte[] mime) {
    ReadMail read;
    try {
      read = ReadMail.of(mime);
    } catch (MessagingException unreadable) {
      setAside(mime, "Not even its headers can be read.");
      return;
    }
    take(read);
  }

  /** Takes in a mail. The same mail again changes nothing. */
  @Transactional
  void take(ReadMail read) {
    InboundMail mail = read.mail();
    SortedMail sorted = read.sorted();
    String trusted = services.mailbox().trustedServer().strip();
    List<String> results = mail.headers().getOrDefault("authentication-results", List.of());
    Long mailId =
        mapper.add(
            new NewMail(
                read.identity(),
                clock.instant(),
                mail.header("from"),
                mail.header("subject"),
                mail.text(),
                sorted.getClass().getSimpleName(),
                AuthenticationResults.of(results, trusted).orElse(""),
                "",
                read.mime()));
    if (mailId == null) {
      return;
    }
    if (trials.came(mail.header("message-id"), clock.instant()) || finder.isOurOwn(mail, sorted)) {
      mapper.place(mailId, clock.instant(), null);
      return;
    }
    Match found = finder.search(mail, sorted);
    boolean known = found != null && note(found, read, mailId);
    if (known || (found == null && needsNobody(sorted))) {
      mapper.place(mailId, clock.instant(), null);
    } else if (found != null) {
      mapper.about(mailId, found.message().id());
    }
  }

  /** Keeps the octets of a mail that cannot be read, for a person to look at. */
  @Transactional
  void setAside(byte[] mime, String trouble) {
    mapper.add(
        new NewMail(
            ReadMail.digest(mime),
            clock.instant(),
            "",
            "A mail that cannot be read",
            trouble,
            "NotRead",
            "",
            trouble,
            mime));
  }

  /** What software says of a mail that is still on its way, or of nothing of ours. */
  private static boolean needsNobody(SortedMail sorted) {
    return sorted instanceof SortedMail.Delayed || sorted instanceof SortedMail.AutoReply;
  }

  /** When a mail was written, as it says; when it arrived where that cannot be. */
  private LocalDate writtenOn(InboundMail mail) {
    Instant now = clock.instant();
    Instant written = now;
    try {
      Instant said = new MailDateFormat().parse(mail.header("date")).toInstant();
      boolean likely = !said.isAfter(now) && said.isAfter(now.minus(ON_ITS_WAY));
      written = likely ? said : now;
    } catch (ParseException unsaid) {
      // the arrival is near enough
    }
    return LocalDate.ofInstant(written, workspace.current().zoneId());
  }

  /** Notes what a mail means for its message; answers whether nobody needs to look at it. */
  private boolean note(Match found, ReadMail read, long mailId) {
    Answered message = found.message();
    String words = OwnWords.of(read.mail().text()).snippet(SNIPPET);
    if (read.sorted() instanceof SortedMail.Reply) {
      service.note(message, ResponseKind.REPLIED, words, mailId, !found.sure());
      return found.sure();
    }
    if (read.sorted() instanceof SortedMail.AutoReply) {
      service.note(message, ResponseKind.AUTO_REPLIED, words, mailId);
      AwayUntil.in(OwnWords.of(read.mail().text()).own(), writtenOn(read.mail()))
          .ifPresent(day -> service.awayUntil(mailId, day));
      return true;
    }
    if (read.sorted() instanceof SortedMail.Complaint) {
      service.note(message, ResponseKind.COMPLAINED, "", mailId);
      return true;
    }
    if (read.sorted() instanceof SortedMail.Returned back) {
      ResponseKind kind = back.forGood() ? ResponseKind.RETURNED_HARD : ResponseKind.RETURNED_SOFT;
      service.note(message, kind, (back.code() + " " + back.why()).strip(), mailId);
      return true;
    }
    return read.sorted() instanceof SortedMail.Delayed;
  }
}
