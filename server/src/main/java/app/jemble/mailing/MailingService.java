package app.jemble.mailing;

import app.jemble.account.AccountService;
import app.jemble.problem.Problem;
import app.jemble.template.TemplateService;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Mailings, as far as they are open to whoever asks. */
@Service
public class MailingService {

  private final MailingMapper mapper;
  private final OpenMailings open;
  private final TemplateService templates;
  private final AccountService accounts;

  MailingService(
      MailingMapper mapper, OpenMailings open, TemplateService templates, AccountService accounts) {
    this.mapper = mapper;
    this.open = open;
    this.templates = templates;
    this.accounts = accounts;
  }

  /** A mailing; a problem when there is none, or none that the asker may see. */
  public Mailing find(long id) {
    return open.find(id);
  }

  /** The name of a mailing; null when it is not open to the colleague who asks. */
  public String nameOf(Long id) {
    return id == null ? null : open.nameOf(id);
  }

  /** A mailing, whoever asks; a problem when there is none. */
  public Mailing found(long id) {
    return open.anybodys(id);
  }

  /** A mailing that can still be changed. */
  public Mailing draft(long id) {
    return mustBeDraft(find(id));
  }

  /** The same, which nobody else changes until the transaction ends: sums over it hold. */
  public Mailing lockDraft(long id) {
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
  public List<MailingRow> all(Long templateId) {
    if (templateId != null) {
      templates.find(templateId);
    }
    return mapper.all(accounts.current().id(), templateId);
  }

  /** Leaves people out besides those who already are; returns the mailing as it is then. */
  @Transactional
  public Mailing leaveOut(long id, List<Long> people) {
    accounts.currentWriter();
    draft(id);
    mapper.leaveOut(id, people.toArray(Long[]::new));
    return find(id);
  }
}
