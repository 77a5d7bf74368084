package app.jemble.conversation;

import app.jemble.access.AccessService;
import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.conversation.Conversation.AnswersTo;
import app.jemble.conversation.Conversation.ConversationStep;
import app.jemble.conversation.Conversation.OurLetter;
import app.jemble.conversation.Conversation.ReadingSign;
import app.jemble.conversation.Conversation.TheirMail;
import app.jemble.conversation.ConversationMapper.Answerable;
import app.jemble.conversation.ConversationMapper.Head;
import app.jemble.conversation.ConversationMapper.Ours;
import app.jemble.conversation.ConversationMapper.Theirs;
import app.jemble.core.message.MessageId;
import app.jemble.core.reach.Address;
import app.jemble.core.reach.Channel;
import app.jemble.core.response.OwnWords;
import app.jemble.core.response.ResponseKind;
import app.jemble.inbound.MailWords;
import app.jemble.inbound.PlacedMails;
import app.jemble.problem.Problem;
import app.jemble.response.ResponseService;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
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

  private final ConversationMapper mapper;
  private final ResponseService service;
  private final PlacedMails inbound;
  private final AnswerService answers;
  private final AccessService access;
  private final AccountService accounts;
  private final Clock clock;

  ConversationService(
      ConversationMapper mapper,
      ResponseService service,
      PlacedMails inbound,
      AnswerService answers,
      AccessService access,
      AccountService accounts,
      Clock clock) {
    this.mapper = mapper;
    this.service = service;
    this.inbound = inbound;
    this.answers = answers;
    this.access = access;
    this.accounts = accounts;
    this.clock = clock;
  }

  /** Everything of the thread that a message stands in, as far as the colleague may see it. */
  Conversation of(MessageId messageId) {
    Head head = visible(messageId);
    MessageId[] thread =
        mapper.thread(mapper.root(messageId), accounts.current().id()).toArray(MessageId[]::new);
    List<Theirs> mails = mapper.theirs(thread);
    List<ConversationStep> steps = new ArrayList<>();
    mapper
        .ours(thread)
        .forEach(m -> steps.add(new ConversationStep(m.at(), letter(m), null, null)));
    mails.forEach(m -> steps.add(new ConversationStep(m.at(), null, mail(m), null)));
    mapper
        .signs(thread)
        .forEach(
            s ->
                steps.add(
                    new ConversationStep(
                        s.at(), null, null, new ReadingSign(s.kind(), s.detail()))));
    steps.sort(Comparator.comparing(ConversationStep::at));
    return new Conversation(
        head.messageId(),
        head.personId(),
        head.name(),
        head.channel(),
        head.address(),
        head.mailingId(),
        head.mailing(),
        answerable(mails),
        answersTo(mails),
        steps);
  }

  /** One message of ours, as it looked. */
  SentLetter letter(MessageId messageId) {
    visible(messageId);
    return mapper.ours(new MessageId[] {messageId}).stream()
        .filter(m -> m.mime() != null)
        .findFirst()
        .map(m -> SentLetter.of(m.channel(), m.mime()))
        .orElseThrow(() -> Problem.notFound("This message has not been sent."));
  }

  private Head visible(MessageId messageId) {
    Head head = mapper.head(messageId);
    if (head == null || isAnothers(head)) {
      throw Problem.notFound("There is no such message any more, or it is private.");
    }
    return head;
  }

  /** Of a mail: the message that it answers, null when it answers none. */
  private void mustBeVisible(MessageId messageId) {
    Head head = messageId == null ? null : mapper.head(messageId);
    if (head == null || isAnothers(head)) {
      throw Problem.notFound("This mail answers nothing of ours that is open to you.");
    }
  }

  private boolean isAnothers(Head head) {
    return !access.isOpen(head.senderId(), head.isPrivate());
  }

  /** What a person wrote last, though software may have written after it. */
  private static Long answerable(List<Theirs> mails) {
    return mails.stream()
        .filter(m -> m.kind() != null)
        .max(
            Comparator.comparing((Theirs m) -> m.kind() == ResponseKind.REPLIED)
                .thenComparing(Theirs::at))
        .map(Theirs::mailId)
        .orElse(null);
  }

  /** Whom an answer by hand would go to; null when nothing can be answered. */
  private static AnswersTo answersTo(List<Theirs> mails) {
    Long answered = answerable(mails);
    return mails.stream()
        .filter(m -> answered != null && m.mailId() == answered && m.kind() != null)
        .findFirst()
        .map(m -> new AnswersTo(m.sender(), !m.unsure(), m.channel()))
        .orElse(null);
  }

  private static OurLetter letter(Ours m) {
    return new OurLetter(
        m.id(),
        m.channel(),
        m.mailingId(),
        m.mailing(),
        m.writer(),
        m.subject(),
        m.state(),
        m.answer(),
        m.receipts(),
        text(m));
  }

  private static String text(Ours message) {
    if (message.mime() == null) {
      return null;
    }
    if (message.channel().rings()) {
      return SentLetter.of(message.channel(), message.mime()).text();
    }
    Optional<String> words = MailWords.text(message.mime());
    if (words.isEmpty()) {
      LOG.warn("The copy of message {} cannot be read.", message.id());
    }
    return words.orElse("");
  }

  private static TheirMail mail(Theirs m) {
    OwnWords words = OwnWords.of(m.words());
    return new TheirMail(
        m.mailId(),
        m.channel(),
        m.kind(),
        m.sender(),
        m.unsure(),
        m.authentication(),
        m.subject(),
        words.own(),
        words.quoted());
  }

  /** Answers a mail by hand, in its thread; held for a moment as any mailing. */
  @Transactional
  AnswerService.HeldAnswer answer(long mailId, String text) {
    Answerable to = mapper.answerable(mailId);
    mustBeVisible(to == null ? null : to.messageId());
    return answers.answer(
        new AnswerService.Answered(
            to.mailId(),
            to.personId(),
            to.topicId(),
            to.channel() == Channel.TEXT
                ? new Address.Phone(to.sender())
                : new Address.Email(address(to.sender())),
            to.identity().startsWith("<") ? to.identity() : null,
            to.subject(),
            to.token(),
            to.referenceIds()),
        text);
  }

  private static String address(String sender) {
    return MailWords.address(sender)
        .orElseThrow(
            () ->
                Problem.conflict("The mail came from no address that can be answered: " + sender));
  }

  /** Says what a mail is; its message then stands as it would have from the start. */
  @Transactional
  void readAs(long mailId, ReadAs what) {
    Account who = accounts.currentWriter();
    ConversationMapper.Taken taken = mapper.taken(mailId);
    mustBeVisible(taken == null ? null : taken.messageId());
    if (what == null) {
      throw Problem.wrong("what", "Say whether it is a reply, software's, or no answer to this.");
    }
    service.lock(taken.messageId());
    if (what == ReadAs.NOT_AN_ANSWER) {
      service.take(taken.id(), null);
      inbound.unplace(mailId);
    } else {
      boolean reply = what == ReadAs.REPLY;
      service.take(taken.id(), reply ? ResponseKind.REPLIED : ResponseKind.AUTO_REPLIED);
      inbound.place(mailId, who.id());
    }
    service.readAnew(taken.messageId(), taken.kind(), who.id());
  }
}
