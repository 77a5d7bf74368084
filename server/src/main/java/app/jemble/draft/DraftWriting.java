package app.jemble.draft;

import app.jemble.account.AccountService;
import app.jemble.cause.Cause;
import app.jemble.cause.CauseChanges;
import app.jemble.cause.OpenCauses;
import app.jemble.cause.Wordings;
import app.jemble.core.message.MailWording;
import app.jemble.core.message.RepliesTo;
import app.jemble.core.message.SafeHtml;
import app.jemble.core.message.Voice;
import app.jemble.letterhead.LetterheadService;
import app.jemble.mailing.MailingService;
import app.jemble.problem.Problem;
import app.jemble.template.TemplateService;
import app.jemble.workspace.WorkspaceService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Saves what writers change of a draft, all of it or nothing. */
@Service
class DraftWriting {

  private final MailingService mailings;
  private final OpenCauses open;
  private final CauseChanges causes;
  private final Wordings wordings;
  private final DraftParts parts;
  private final TemplateService templates;
  private final LetterheadService letterheads;
  private final WorkspaceService workspace;
  private final AccountService accounts;

  DraftWriting(
      MailingService mailings,
      OpenCauses open,
      CauseChanges causes,
      Wordings wordings,
      DraftParts parts,
      TemplateService templates,
      LetterheadService letterheads,
      WorkspaceService workspace,
      AccountService accounts) {
    this.mailings = mailings;
    this.open = open;
    this.causes = causes;
    this.wordings = wordings;
    this.parts = parts;
    this.templates = templates;
    this.letterheads = letterheads;
    this.workspace = workspace;
    this.accounts = accounts;
  }

  /** Saves what the writer changed; a version that is not the latest changes nothing. */
  @Transactional
  Cause change(long id, int version, DraftChange change) {
    accounts.currentWriter();
    Cause draft = mailings.draft(id);
    MailWording before = wordings.of(draft);
    Long template = change.wording().templateId();
    if (template != null && !template.equals(before.templateId())) {
      templates.find(template);
    }
    MailWording wording = sound(change, before.templateVersion());
    causes.write(
        draft, version, change.name().strip(), change.topicId(), change.isPrivate(), wording);
    parts.write(draft, change);
    return open.find(id);
  }

  /** The words as they are stored; a problem when something of the draft cannot be. */
  private MailWording sound(DraftChange change, Integer version) {
    MailWording words = change.wording();
    if (change.name() == null || change.name().isBlank()) {
      throw Problem.wrong("name", "Give the mailing a name.");
    }
    if (workspace.topics().stream().noneMatch(t -> t.id() == change.topicId())) {
      throw Problem.wrong("topicId", "There is no such topic.");
    }
    if (!letterheads.exists(words.letterheadId())) {
      throw Problem.wrong("letterheadId", "There is no such letterhead any more; choose another.");
    }
    boolean toColleague = words.repliesTo() == RepliesTo.COLLEAGUE;
    if (toColleague
        && (words.replyColleague() == null || accounts.find(words.replyColleague()) == null)) {
      throw Problem.wrong("replyColleague", "Choose the colleague who gets the replies.");
    }
    if (words.voice() == Voice.HOUSE && workspace.current().houseEmail() == null) {
      throw Problem.wrong("voice", "The house has no address of its own yet.");
    }
    return new MailWording(
        words.subject() == null ? "" : words.subject(),
        SafeHtml.clean(words.body() == null ? "" : words.body()),
        words.templateId(),
        version,
        words.letterheadId(),
        words.promotional(),
        words.voice(),
        words.repliesTo(),
        toColleague ? words.replyColleague() : null,
        words.countOpens(),
        words.countClicks());
  }
}
