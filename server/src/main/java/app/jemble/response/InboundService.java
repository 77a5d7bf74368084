package app.jemble.response;

import app.jemble.core.response.AwayUntil;
import app.jemble.core.response.InboundMail;
import app.jemble.core.response.MailSorter;
import app.jemble.core.response.OwnWords;
import app.jemble.core.response.ReplySubject;
import app.jemble.core.response.ResponseKind;
import app.jemble.core.response.SortedMail;
import app.jemble.response.ResponseMapper.Answered;
import app.jemble.workspace.WorkspaceService;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.AddressException;
import jakarta.mail.internet.InternetAddress;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reads a mail that arrived: what it is, which message it is about, what follows. Once each. */
@Service
class InboundService {

  private static final Logger LOG = LoggerFactory.getLogger(InboundService.class);
  private static final Pattern OUR_ID = Pattern.compile("<([A-Za-z0-9_-]{32})@[^>]+>");
  private static final Pattern RETURN_ADDRESS =
      Pattern.compile("return\\+([A-Za-z0-9_-]{32})@", Pattern.CASE_INSENSITIVE);
  static final int SNIPPET = 300;

  /**
   * Mail servers give up after five days (RFC 5321 section 4.5.4.1), and some are slow to say so.
   */
  private static final Duration RETURNS_WITHIN = Duration.ofDays(7);

  private static final Duration COMPLAINTS_WITHIN = Duration.ofDays(30);

  private final InboundMapper mapper;
  private final ResponseMapper responses;
  private final ResponseService service;
  private final WorkspaceService workspace;
  private final Clock clock;

  InboundService(
      InboundMapper mapper,
      ResponseMapper responses,
      ResponseService service,
      WorkspaceService workspace,
      Clock clock) {
    this.mapper = mapper;
    this.responses = responses;
    this.service = service;
    this.workspace = workspace;
    this.clock = clock;
  }

  /** Reads one mail. The same mail again changes nothing. */
  @Transactional
  void receive(byte[] mime) {
    InboundMail mail;
    try {
      mail = InboundParser.parse(mime);
    } catch (MessagingException unreadable) {
      LOG.warn("A mail that cannot be read was kept unsorted.", unreadable);
      mapper.add(digest(mime), clock.instant(), "", "", "", "UnreadReturn", mime);
      return;
    }
    SortedMail sorted = MailSorter.sort(mail);
    String id = mail.header("message-id");
    Long mailId =
        mapper.add(
            id.isEmpty() ? digest(mime) : id,
            clock.instant(),
            mail.header("from"),
            mail.header("subject"),
            mail.text(),
            sorted.getClass().getSimpleName(),
            mime);
    if (mailId != null) {
      Answered message = find(mail, sorted);
      if (message != null) {
        note(message, sorted, mail, mailId);
      }
      if (message != null || needsNobody(sorted)) {
        mapper.place(mailId, clock.instant(), null);
      }
    }
  }

  /** What software says of a mail that is still on its way, or of nothing of ours. */
  private static boolean needsNobody(SortedMail sorted) {
    return sorted instanceof SortedMail.Delayed || sorted instanceof SortedMail.AutoReply;
  }

  private LocalDate today() {
    return LocalDate.ofInstant(clock.instant(), workspace.current().zoneId());
  }

  private void note(Answered message, SortedMail sorted, InboundMail mail, Long mailId) {
    if (sorted instanceof SortedMail.Reply) {
      service.note(
          message, ResponseKind.REPLIED, OwnWords.of(mail.text()).snippet(SNIPPET), mailId);
    } else if (sorted instanceof SortedMail.AutoReply) {
      service.note(
          message, ResponseKind.AUTO_REPLIED, OwnWords.of(mail.text()).snippet(SNIPPET), mailId);
      AwayUntil.in(OwnWords.of(mail.text()).own(), today())
          .ifPresent(day -> responses.awayUntil(mailId, day));
    } else if (sorted instanceof SortedMail.Complaint) {
      service.note(message, ResponseKind.COMPLAINED, "", mailId);
    } else if (sorted instanceof SortedMail.Returned back) {
      ResponseKind kind = back.forGood() ? ResponseKind.RETURNED_HARD : ResponseKind.RETURNED_SOFT;
      service.note(message, kind, (back.code() + " " + back.why()).strip(), mailId);
    }
  }

  /**
   * By thread, else by the return address it was sent to; else a reply by sender and subject, and a
   * return by the address that failed.
   */
  private Answered find(InboundMail mail, SortedMail sorted) {
    for (String token : tokens(mail)) {
      Answered message = responses.byToken(token);
      if (message != null) {
        return message;
      }
    }
    if (sorted instanceof SortedMail.Complaint complaint && !complaint.addresses().isEmpty()) {
      return responses.lastTo(
          complaint.addresses().get(0), clock.instant().minus(COMPLAINTS_WITHIN));
    }
    if (sorted instanceof SortedMail.Returned back) {
      return responses.lastTo(back.addresses().get(0), clock.instant().minus(RETURNS_WITHIN));
    }
    boolean byPerson = sorted instanceof SortedMail.Reply || sorted instanceof SortedMail.AutoReply;
    return byPerson ? bySenderAndSubject(mail) : null;
  }

  private static List<String> tokens(InboundMail mail) {
    List<String> tokens = new ArrayList<>();
    for (String id : SortedMail.related(mail)) {
      Matcher ours = OUR_ID.matcher(id);
      if (ours.matches()) {
        tokens.add(ours.group(1));
      }
    }
    for (String header : new String[] {"to", "delivered-to", "x-original-to"}) {
      Matcher address = RETURN_ADDRESS.matcher(mail.header(header));
      if (address.find()) {
        tokens.add(address.group(1));
      }
    }
    return tokens;
  }

  private Answered bySenderAndSubject(InboundMail mail) {
    String subject = ReplySubject.bare(mail.header("subject"));
    try {
      InternetAddress[] from = InternetAddress.parse(mail.header("from"), false);
      if (from.length == 0 || subject.isBlank()) {
        return null;
      }
      Answered byAddress = responses.bySenderAndSubject(from[0].getAddress(), subject);
      boolean named = from[0].getPersonal() != null && from[0].getPersonal().contains(" ");
      return byAddress != null || !named
          ? byAddress
          : responses.byNameAndSubject(from[0].getPersonal(), subject);
    } catch (AddressException noSender) {
      return null;
    }
  }

  private static String digest(byte[] mime) {
    try {
      byte[] hash = MessageDigest.getInstance("SHA-256").digest(mime);
      return "sha256:" + HexFormat.of().formatHex(hash);
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("every JDK has SHA-256", e);
    }
  }
}
