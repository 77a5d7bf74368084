package app.jemble.mailing;

import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.core.message.SafeHtml;
import app.jemble.filter.FilterBody;
import app.jemble.mailing.MailingMapper.Change;
import app.jemble.mailing.MailingMapper.NewDraft;
import app.jemble.template.TemplateService;
import app.jemble.workspace.Problem;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.ObjectMapper;

/** Drafts of mailings: begun, changed, discarded. */
@Service
public class MailingService {

  private static final int MOST_PICKS = 100_000;

  private final MailingMapper mapper;
  private final TemplateService templates;
  private final WorkspaceService workspace;
  private final AccountService accounts;
  private final ObjectMapper json;
  private final Clock clock;

  MailingService(
      MailingMapper mapper,
      TemplateService templates,
      WorkspaceService workspace,
      AccountService accounts,
      ObjectMapper json,
      Clock clock) {
    this.mapper = mapper;
    this.templates = templates;
    this.workspace = workspace;
    this.accounts = accounts;
    this.json = json;
    this.clock = clock;
  }

  /** A mailing; a problem when there is none. */
  public Mailing find(long id) {
    Mailing mailing = mapper.find(id);
    if (mailing == null) {
      throw Problem.notFound("There is no such mailing any more.");
    }
    return mailing;
  }

  List<MailingMapper.MailingRow> all() {
    return mapper.all();
  }

  /**
   * Begins a mailing to the people of a filter, or to people picked by hand.
   *
   * @param leftOut people of the filter who are not written to
   * @param templateId the template to begin from, or null for an empty message
   */
  @Transactional
  long begin(FilterBody filter, List<Long> picks, List<Long> leftOut, Long templateId) {
    Account sender = accounts.currentWriter();
    if (filter == null && picks.isEmpty()) {
      throw Problem.wrong("picks", "Pick at least one person to write to.");
    }
    if (picks.size() > MOST_PICKS || leftOut.size() > MOST_PICKS) {
      throw Problem.wrong(
          "picks", "At most 100,000 people can be picked by hand; use a filter for more.");
    }
    if (filter != null) {
      filter.toFilter(workspace.fields());
    }
    TemplateService.Template template = templateId == null ? null : templates.find(templateId);
    return mapper.create(
        new NewDraft(
            template == null ? "New mailing" : template.name(),
            template == null ? "" : template.subject(),
            template == null ? "" : template.body(),
            templateId,
            template == null ? workspace.topics().get(0).id() : template.topicId(),
            sender.id(),
            null,
            filter == null ? null : json.writeValueAsString(filter),
            picks.toArray(Long[]::new),
            leftOut.toArray(Long[]::new)),
        clock.instant());
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
            first.topicId(),
            sender.id(),
            mailingId,
            null,
            people.toArray(Long[]::new),
            new Long[0]),
        clock.instant());
  }

  /** Saves what the writer changed; a version that is not the latest changes nothing. */
  @Transactional
  Mailing change(long id, int version, Change change) {
    accounts.currentWriter();
    Mailing now = find(id);
    if (now.state() != Mailing.State.DRAFT) {
      throw Problem.conflict(
          now.hasBeenReleased()
              ? "This mailing has been released; its texts no longer change."
              : "This draft has been discarded; take it back first.");
    }
    if (mapper.change(id, version, sound(change)) == 0) {
      throw Problem.conflict(
          "This mailing was changed elsewhere in the meantime. Reload it to go on from there.");
    }
    return find(id);
  }

  @Transactional
  void discard(long id) {
    accounts.currentWriter();
    if (mapper.discard(id) == 0) {
      throw Problem.conflict("Only a draft can be discarded.");
    }
  }

  /** Takes a discarded draft back. */
  @Transactional
  void restore(long id) {
    accounts.currentWriter();
    if (mapper.restore(id) == 0) {
      throw Problem.conflict("Only a discarded draft can be taken back.");
    }
  }

  private Change sound(Change change) {
    if (change.name() == null || change.name().isBlank()) {
      throw Problem.wrong("name", "Give the mailing a name.");
    }
    if (workspace.topics().stream().noneMatch(t -> t.id() == change.topicId())) {
      throw Problem.wrong("topicId", "There is no such topic.");
    }
    return new Change(
        change.name().strip(),
        change.subject() == null ? "" : change.subject(),
        SafeHtml.clean(change.body() == null ? "" : change.body()),
        change.templateId(),
        change.topicId(),
        change.leftOut() == null ? new Long[0] : change.leftOut(),
        change.startWall(),
        change.countOpens(),
        change.countClicks());
  }
}
