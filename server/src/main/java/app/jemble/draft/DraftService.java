package app.jemble.draft;

import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.audience.AudienceParts;
import app.jemble.core.message.LetterText.Wording;
import app.jemble.core.message.SafeHtml;
import app.jemble.core.record.Related;
import app.jemble.letterhead.LetterheadService;
import app.jemble.mailing.DraftChange;
import app.jemble.mailing.Mailing;
import app.jemble.mailing.MailingChanges;
import app.jemble.mailing.MailingFiles;
import app.jemble.mailing.MailingService;
import app.jemble.mailing.NewDraft;
import app.jemble.mailing.OpenMailings;
import app.jemble.problem.Problem;
import app.jemble.template.TemplateService;
import app.jemble.workspace.WorkspaceService;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Drafts of mailings: begun, changed, discarded. */
@Service
public class DraftService {

  private static final int MOST_PICKS = 100_000;

  private final MailingService mailings;
  private final OpenMailings open;
  private final MailingChanges changes;
  private final MailingFiles files;
  private final AudienceParts parts;
  private final TemplateService templates;
  private final LetterheadService letterheads;
  private final WorkspaceService workspace;
  private final AccountService accounts;

  DraftService(
      MailingService mailings,
      OpenMailings open,
      MailingChanges changes,
      MailingFiles files,
      AudienceParts parts,
      TemplateService templates,
      LetterheadService letterheads,
      WorkspaceService workspace,
      AccountService accounts) {
    this.mailings = mailings;
    this.open = open;
    this.changes = changes;
    this.files = files;
    this.parts = parts;
    this.templates = templates;
    this.letterheads = letterheads;
    this.workspace = workspace;
    this.accounts = accounts;
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
  public record Beginning(
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
  public long begin(Beginning of) {
    Account sender = accounts.currentWriter();
    Mailing before = of.mailingId() == null ? null : open.find(of.mailingId());
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
    long id = changes.create(draft);
    if (before != null) {
      changes.takeOptions(before.id(), id);
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
    Mailing first = open.find(mailingId);
    if (!first.hasBeenReleased()) {
      throw Problem.conflict("A mailing that has not left cannot be followed up.");
    }
    if (people.isEmpty()) {
      throw Problem.wrong("people", "There is nobody to follow up.");
    }
    return changes.create(
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
            new Long[0]));
  }

  /** Saves what the writer changed; a version that is not the latest changes nothing. */
  @Transactional
  public Mailing change(long id, int version, DraftChange change) {
    accounts.currentWriter();
    Mailing before = mailings.draft(id);
    if (change.templateId() != null && !change.templateId().equals(before.templateId())) {
      templates.find(change.templateId());
    }
    changes.write(id, version, sound(change));
    return open.find(id);
  }

  @Transactional
  public void discard(long id) {
    accounts.currentWriter();
    open.lock(id);
    changes.discard(id);
  }

  /** Takes a discarded draft back. */
  @Transactional
  public void restore(long id) {
    accounts.currentWriter();
    open.lock(id);
    changes.restore(id);
  }

  private DraftChange sound(DraftChange change) {
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
    return new DraftChange(
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
