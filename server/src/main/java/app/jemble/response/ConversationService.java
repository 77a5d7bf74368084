package app.jemble.response;

import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.core.response.OwnWords;
import app.jemble.core.response.ResponseKind;
import app.jemble.core.response.Standing;
import app.jemble.mailing.AnswerService;
import app.jemble.response.ConversationMapper.Answerable;
import app.jemble.response.ConversationMapper.Head;
import app.jemble.response.ConversationMapper.Ours;
import app.jemble.response.ConversationMapper.Theirs;
import app.jemble.workspace.Problem;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.AddressException;
import jakarta.mail.internet.InternetAddress;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was written back and forth with one person, and answering by hand. */
@Service
class ConversationService {

  private static final Logger LOG = LoggerFactory.getLogger(ConversationService.class);

  /** What a person can say that a mail is. */
  enum ReadAs {
    REPLY,
    AUTO_REPLY,
    /** it answers something else, or nothing */
    NOT_AN_ANSWER
  }

  /** One step of a conversation, oldest first. Exactly one of the three is given. */
  record Step(Instant at, Letter ours, Mail theirs, Sign sign) {}

  /**
   * @param answer whether it was written by hand to one mail
   * @param text null while it has not left
   */
  record Letter(
      long messageId,
      long mailingId,
      String mailing,
      String writer,
      String subject,
      String state,
      boolean answer,
      String text) {}

  record Mail(
      long mailId, ResponseKind kind, String from, String subject, String words, String quoted) {}

  record Sign(ResponseKind kind, String detail) {}

  private final ConversationMapper mapper;
  private final ResponseMapper responses;
  private final InboundMapper inbound;
  private final AnswerService answers;
  private final AccountService accounts;
  private final Clock clock;

  ConversationService(
      ConversationMapper mapper,
      ResponseMapper responses,
      InboundMapper inbound,
      AnswerService answers,
      AccountService accounts,
      Clock clock) {
    this.mapper = mapper;
    this.responses = responses;
    this.inbound = inbound;
    this.answers = answers;
    this.accounts = accounts;
    this.clock = clock;
  }

  Head head(long messageId) {
    Head head = mapper.head(messageId);
    if (head == null || (head.isPrivate() && head.senderId() != accounts.current().id())) {
      throw Problem.notFound("There is no such message any more, or it is private.");
    }
    return head;
  }

  /** Everything of the thread that a message stands in. */
  List<Step> steps(long messageId) {
    Long[] thread = mapper.thread(mapper.root(messageId)).toArray(Long[]::new);
    List<Step> steps = new ArrayList<>();
    mapper.ours(thread).forEach(m -> steps.add(new Step(m.at(), letter(m), null, null)));
    mapper.theirs(thread).forEach(m -> steps.add(new Step(m.at(), null, mail(m), null)));
    mapper
        .signs(thread)
        .forEach(s -> steps.add(new Step(s.at(), null, null, new Sign(s.kind(), s.detail()))));
    steps.sort(Comparator.comparing(Step::at));
    return steps;
  }

  private static Letter letter(Ours m) {
    return new Letter(
        m.id(),
        m.mailingId(),
        m.mailing(),
        m.writer(),
        m.subject(),
        m.state(),
        m.answer(),
        text(m));
  }

  private static String text(Ours message) {
    if (message.mime() == null) {
      return null;
    }
    try {
      return InboundParser.parse(message.mime()).text();
    } catch (MessagingException unreadable) {
      LOG.warn("The copy of message {} cannot be read.", message.id(), unreadable);
      return "";
    }
  }

  private static Mail mail(Theirs m) {
    String own = OwnWords.of(m.words());
    String rest = m.words().strip().substring(Math.min(own.length(), m.words().strip().length()));
    return new Mail(m.mailId(), m.kind(), m.sender(), m.subject(), own, rest.strip());
  }

  /** Answers a mail by hand, in its thread; held for a moment as any mailing. */
  @Transactional
  AnswerService.Held answer(long mailId, String text) {
    Answerable to = mapper.answerable(mailId);
    if (to == null) {
      throw Problem.notFound("This mail answers nothing of ours; there is no thread to answer in.");
    }
    return answers.answer(
        new AnswerService.Answered(
            to.mailId(),
            to.personId(),
            to.topicId(),
            address(to.sender()),
            to.identity().startsWith("<") ? to.identity() : null,
            to.subject(),
            to.token(),
            to.referenceIds()),
        text);
  }

  private static String address(String sender) {
    try {
      InternetAddress[] from = InternetAddress.parse(sender, false);
      if (from.length > 0) {
        return from[0].getAddress();
      }
    } catch (AddressException broken) {
      LOG.debug("Not an address: {}", sender);
    }
    throw Problem.conflict("The mail came from no address that can be answered: " + sender);
  }

  /** Says what a mail is; its message then stands as it would have from the start. */
  @Transactional
  void readAs(long mailId, ReadAs what) {
    Account who = accounts.currentWriter();
    ConversationMapper.Taken taken = mapper.taken(mailId);
    if (taken == null) {
      throw Problem.notFound("This mail answers nothing of ours.");
    }
    responses.lock(taken.messageId());
    if (what == ReadAs.NOT_AN_ANSWER) {
      mapper.forget(taken.id());
      inbound.unplace(mailId);
    } else {
      boolean reply = what == ReadAs.REPLY;
      mapper.take(taken.id(), reply ? ResponseKind.REPLIED : ResponseKind.AUTO_REPLIED);
      inbound.place(mailId, clock.instant(), who.id());
    }
    restand(taken.messageId());
  }

  private void restand(long messageId) {
    List<ResponseKind> all = responses.kinds(messageId);
    Set<ResponseKind> kinds =
        all.isEmpty() ? EnumSet.noneOf(ResponseKind.class) : EnumSet.copyOf(all);
    responses.stand(messageId, Standing.of(kinds).name());
    mapper.recount(messageId);
  }
}
