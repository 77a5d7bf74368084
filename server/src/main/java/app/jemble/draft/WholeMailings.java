package app.jemble.draft;

import app.jemble.account.AccountService;
import app.jemble.audience.AudienceParts;
import app.jemble.audience.AudienceView;
import app.jemble.audience.Audiences;
import app.jemble.cause.Cause;
import app.jemble.cause.Wordings;
import app.jemble.core.message.MailWording;
import app.jemble.mailing.MailingFiles;
import app.jemble.plan.PlanService;
import app.jemble.release.ReleaseNotes;
import app.jemble.template.TemplateService;
import java.time.Clock;
import org.springframework.stereotype.Component;

/** The whole of a mailing, as it is written and stands. */
@Component
class WholeMailings {

  private final Wordings wordings;
  private final Audiences audiences;
  private final AudienceParts parts;
  private final PlanService plans;
  private final TemplateService templates;
  private final MailingFiles files;
  private final ReleaseNotes notes;
  private final AccountService accounts;
  private final Clock clock;

  WholeMailings(
      Wordings wordings,
      Audiences audiences,
      AudienceParts parts,
      PlanService plans,
      TemplateService templates,
      MailingFiles files,
      ReleaseNotes notes,
      AccountService accounts,
      Clock clock) {
    this.wordings = wordings;
    this.audiences = audiences;
    this.parts = parts;
    this.plans = plans;
    this.templates = templates;
    this.files = files;
    this.notes = notes;
    this.accounts = accounts;
    this.clock = clock;
  }

  /**
   * @param followsName the name of what it follows; null where that is nothing, or another's own
   */
  WholeMailing of(Cause c, String followsName) {
    return of(c, followsName, wordings.of(c), parts.view(audiences.of(c)));
  }

  private WholeMailing of(Cause c, String followsName, MailWording w, AudienceView a) {
    return new WholeMailing(
        c.id(),
        c.name(),
        w.subject(),
        w.body(),
        w.templateId(),
        w.templateId() == null ? null : templates.nameOf(w.templateId()),
        w.templateVersion(),
        c.topicId(),
        c.senderId(),
        accounts.find(c.senderId()).name(),
        w.letterheadId(),
        w.promotional(),
        w.voice(),
        w.repliesTo(),
        w.replyColleague(),
        c.isPrivate(),
        c.followsId(),
        followsName,
        c.isRule(),
        a.recordKind(),
        a.records(),
        a.recordEach(),
        a.words(),
        a.parts(),
        a.leftOutParts(),
        a.picks(),
        a.leftOut(),
        plans.of(c),
        w.countOpens(),
        w.countClicks(),
        c.ways().inOrder(),
        wordings.text(c),
        wordings.notice(c),
        wordings.paper(c),
        files.all(c.id()),
        c.state(),
        c.isHeld(clock.instant()),
        c.heldUntil(),
        c.dueAt(),
        c.pausedAt() != null,
        notes.progress(c.id()),
        c.version());
  }
}
