package app.jemble.mailing;

import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.core.message.LetterText.Wording;
import app.jemble.core.message.SafeHtml;
import app.jemble.core.record.Related;
import app.jemble.letterhead.LetterheadService;
import app.jemble.mailing.MailingMapper.Change;
import app.jemble.mailing.MailingMapper.NewDraft;
import app.jemble.template.TemplateService;
import app.jemble.workspace.Problem;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Drafts of mailings: begun, changed, discarded. */
@Service
public class MailingService {

  private static final int MOST_PICKS = 100_000;

  private final MailingMapper mapper;
  private final OpenMailings open;
  private final MailingFileMapper files;
  private final AudienceParts parts;
  private final TemplateService templates;
  private final LetterheadService letterheads;
  private final WorkspaceService workspace;
  private final AccountService accounts;
  private final Clock clock;

  MailingService(
      MailingMapper mapper,
      OpenMailings open,
      MailingFileMapper files,
      AudienceParts parts,
      TemplateService templates,
      LetterheadService letterheads,
      WorkspaceService workspace,
      AccountService accounts,
      Clock clock) {
    this.mapper = mapper;
    this.open = open;
    this.files = files;
    this.parts = parts;
    this.templates = templates;
    this.letterheads = letterheads;
    this.workspace = workspace;
    this.accounts = accounts;
    this.clock = clock;
  }

  /** A mailing; a problem when there is none, or none that the asker may see. */
  public Mailing find(long id) {
    return open.find(id);
  }

  /** The name of a mailing; null when it is not open to the colleague who asks. */
  String nameOf(Long id) {
    return id == null ? null : open.nameOf(id);
  }

  /** A mailing, whoever asks; a problem when there is none. */
  public Mailing found(long id) {
    return open.anybodys(id);
  }

  /** A mailing that can still be changed. */
  Mailing draft(long id) {
    return mustBeDraft(find(id));
  }

  /** The same, which nobody else changes until the transaction ends: sums over it hold. */
  Mailing lockDraft(long id) {
    return mustBeDraft(open.lock(id));
  }

  private static Mailing mustBeDraft(Mailing mailing) {
    if (mailing.state() != Mailing.State.DRAFT) {
      throw Problem.conflict(
          mailing.hasBeenReleased()
              ? "This mailing has been released; its texts no longer change."
              : "This draft has been discarded; take it back first.");
    }
    return mailing;
  }

  /**
   * The mailings to be listed.
   *
   * @param templateId those that began from this template alone; null for all
   */
  List<MailingMapper.MailingRow> all(Long templateId) {
    if (templateId != null) {
      templates.find(templateId);
    }
    return mapper.all(accounts.current().id(), templateId);
  }

  /**
   * What a mailing begins with.
   *
   * @param recordKind what kind of records it is about, or null
   * @param recordIds those records; their people are in the audience
   * @param recordEach one message for each record, instead of one about each person's newest
   * @param parts whoever is in any of them
   * @param picks people picked by hand besides
   * @param leftOut people who are not written to
   * @param templateId the template to begin from, or null
   * @param mailingId the mailing whose texts to begin from, or null; without parts and picks, its
   *     audience too
   */
  record Beginning(
      Related recordKind,
      List<Long> recordIds,
      boolean recordEach,
      List<AudienceParts.Part> parts,
      List<Long> picks,
      List<Long> leftOut,
      Long templateId,
      Long mailingId) {}

  private static final Wording EMPTY = new Wording("", "");

  /** Begins a mailing. */
  @Transactional
  long begin(Beginning of) {
    Account sender = accounts.currentWriter();
    Mailing before = of.mailingId() == null ? null : find(of.mailingId());
    if (before == null && of.parts().isEmpty() && of.picks().isEmpty()) {
      throw Problem.wrong("picks", "Pick at least one person to write to.");
    }
    boolean tooMany =
        Stream.of(of.picks(), of.leftOut(), of.recordIds()).anyMatch(l -> l.size() > MOST_PICKS);
    if (tooMany) {
      throw Problem.wrong(
          "picks", "At most 100,000 people can be picked by hand; use a filter for more.");
    }
    NewDraft draft =
        before != null
            ? again(before, sender, of)
            : fresh(of.templateId() == null ? null : templates.find(of.templateId()), sender, of);
    long id = mapper.create(draft, clock.instant());
    if (before != null) {
      mapper.takeOptions(before.id(), id);
      files.copy(before.id(), id);
    }
    return id;
  }

  private NewDraft fresh(TemplateService.Template template, Account sender, Beginning of) {
    Wording words = template == null ? EMPTY : new Wording(template.subject(), template.body());
    return new NewDraft(
        template == null ? "New mailing" : template.name(),
        words.subject(),
        words.body(),
        template == null ? null : template.id(),
        template == null ? null : template.version(),
        template == null ? workspace.topics().get(0).id() : template.topicId(),
        sender.id(),
        template == null ? letterheads.first() : template.letterheadId(),
        template == null || template.promotional(),
        null,
        false,
        of.recordKind(),
        of.recordIds().toArray(Long[]::new),
        of.recordEach(),
        parts.write(of.parts()),
        "[]",
        of.picks().toArray(Long[]::new),
        of.leftOut().toArray(Long[]::new));
  }

  private NewDraft again(Mailing before, Account sender, Beginning of) {
    boolean sameAudience = of.parts().isEmpty() && of.picks().isEmpty();
    return new NewDraft(
        before.name() + ", once more",
        before.subject(),
        before.body(),
        before.templateId(),
        before.templateVersion(),
        before.topicId(),
        sender.id(),
        before.letterheadId(),
        before.promotional(),
        null,
        before.isPrivate(),
        sameAudience ? before.recordKind() : of.recordKind(),
        sameAudience ? before.recordIds() : of.recordIds().toArray(Long[]::new),
        sameAudience ? before.recordEach() : of.recordEach(),
        sameAudience ? before.audienceParts() : parts.write(of.parts()),
        sameAudience ? before.leaveParts() : "[]",
        sameAudience ? before.audiencePicks() : of.picks().toArray(Long[]::new),
        sameAudience ? before.leftOut() : of.leftOut().toArray(Long[]::new));
  }

  /** Begins a mailing that follows a released one, to some of its people, in their threads. */
  @Transactional
  public long beginFollowUp(long mailingId, List<Long> people) {
    Account sender = accounts.currentWriter();
    Mailing first = find(mailingId);
    if (!first.hasBeenReleased()) {
      throw Problem.conflict("A mailing that has not left cannot be followed up.");
    }
    if (people.isEmpty()) {
      throw Problem.wrong("people", "There is nobody to follow up.");
    }
    return mapper.create(
        new NewDraft(
            first.name() + ", again",
            first.subject(),
            "",
            null,
            null,
            first.topicId(),
            sender.id(),
            first.letterheadId(),
            first.promotional(),
            mailingId,
            first.isPrivate(),
            null,
            new Long[0],
            false,
            "[]",
            "[]",
            people.toArray(Long[]::new),
            new Long[0]),
        clock.instant());
  }

  /** Saves what the writer changed; a version that is not the latest changes nothing. */
  @Transactional
  Mailing change(long id, int version, Change change) {
    accounts.currentWriter();
    Mailing before = draft(id);
    if (change.templateId() != null && !change.templateId().equals(before.templateId())) {
      templates.find(change.templateId());
    }
    if (mapper.change(id, version, sound(change)) == 0) {
      throw Problem.conflict(
          "This mailing was changed elsewhere in the meantime. Reload it to go on from there.");
    }
    mapper.shareWithRules(id);
    return find(id);
  }

  @Transactional
  void discard(long id) {
    accounts.currentWriter();
    open.lock(id);
    if (mapper.discard(id) == 0) {
      throw Problem.conflict("Only a draft can be discarded.");
    }
  }

  /** Takes a discarded draft back. */
  @Transactional
  void restore(long id) {
    accounts.currentWriter();
    open.lock(id);
    if (mapper.restore(id) == 0) {
      throw Problem.conflict("Only a discarded draft can be taken back.");
    }
  }

  /** Leaves people out besides those who already are; returns the mailing as it is then. */
  @Transactional
  Mailing leaveOut(long id, List<Long> people) {
    accounts.currentWriter();
    draft(id);
    mapper.leaveOut(id, people.toArray(Long[]::new));
    return find(id);
  }

  private Change sound(Change change) {
    if (change.name() == null || change.name().isBlank()) {
      throw Problem.wrong("name", "Give the mailing a name.");
    }
    if (workspace.topics().stream().noneMatch(t -> t.id() == change.topicId())) {
      throw Problem.wrong("topicId", "There is no such topic.");
    }
    if (!letterheads.exists(change.letterheadId())) {
      throw Problem.wrong("letterheadId", "There is no such letterhead any more; choose another.");
    }
    boolean toColleague = change.repliesTo() == Mailing.RepliesTo.COLLEAGUE;
    if (toColleague
        && (change.replyColleague() == null || accounts.find(change.replyColleague()) == null)) {
      throw Problem.wrong("replyColleague", "Choose the colleague who gets the replies.");
    }
    if (change.voice() == Mailing.Voice.HOUSE && workspace.current().houseEmail() == null) {
      throw Problem.wrong("voice", "The house has no address of its own yet.");
    }
    return new Change(
        change.name().strip(),
        change.subject() == null ? "" : change.subject(),
        SafeHtml.clean(change.body() == null ? "" : change.body()),
        change.templateId(),
        change.topicId(),
        change.letterheadId(),
        change.promotional(),
        change.voice(),
        change.repliesTo(),
        toColleague ? change.replyColleague() : null,
        change.isPrivate(),
        change.recordEach(),
        change.audienceParts(),
        change.leaveParts(),
        change.audiencePicks(),
        change.leftOut(),
        change.plan(),
        change.countOpens(),
        change.countClicks());
  }
}
