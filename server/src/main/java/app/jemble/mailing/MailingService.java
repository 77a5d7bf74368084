package app.jemble.mailing;

import app.jemble.account.AccountService;
import app.jemble.cause.Cause;
import app.jemble.cause.OpenCauses;
import app.jemble.core.message.CauseState;
import app.jemble.problem.Problem;
import app.jemble.template.TemplateService;
import java.util.List;
import org.springframework.stereotype.Service;

/** Mailings, as far as they are open to whoever asks. */
@Service
public class MailingService {

  private final MailingMapper mapper;
  private final OpenCauses open;
  private final TemplateService templates;
  private final AccountService accounts;

  MailingService(
      MailingMapper mapper, OpenCauses open, TemplateService templates, AccountService accounts) {
    this.mapper = mapper;
    this.open = open;
    this.templates = templates;
    this.accounts = accounts;
  }

  /** A mailing that can still be changed. */
  public Cause draft(long id) {
    return mustBeDraft(open.find(id));
  }

  /** The same, which nobody else changes until the transaction ends: sums over it hold. */
  public Cause lockDraft(long id) {
    return mustBeDraft(open.lock(id));
  }

  /**
   * What one person's message may still be worded otherwise of: a draft, or what goes on: a step, a
   * standing mailing.
   */
  public Cause lockRewordable(long id) {
    Cause cause = open.lock(id);
    boolean goesOn = cause.goesOn() && cause.state() == CauseState.RELEASED;
    return goesOn ? cause : mustBeDraft(cause);
  }

  private static Cause mustBeDraft(Cause mailing) {
    if (mailing.state() != CauseState.DRAFT) {
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
  List<MailingRow> all(Long templateId) {
    if (templateId != null) {
      templates.find(templateId);
    }
    return mapper.all(accounts.current().id(), templateId);
  }
}
