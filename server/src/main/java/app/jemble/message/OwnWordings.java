package app.jemble.message;

import app.jemble.account.AccountService;
import app.jemble.cause.Wordings;
import app.jemble.core.message.LetterText;
import app.jemble.core.message.LetterText.Written;
import app.jemble.core.message.MailWording;
import app.jemble.core.message.SafeHtml;
import app.jemble.core.record.PersonId;
import app.jemble.mailing.MailingService;
import app.jemble.problem.Problem;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Words for one person alone, instead of the words that all others get. */
@Service
class OwnWordings {

  /**
   * One person's own words.
   *
   * @param sharedSubject the shared subject as it was when these were written
   */
  record OwnWording(
      PersonId personId,
      String personName,
      String subject,
      String body,
      String sharedSubject,
      String sharedBody) {

    /** Whether the shared words have changed since. */
    boolean isOlderThan(MailWording shared) {
      return !sharedSubject.equals(shared.subject()) || !sharedBody.equals(shared.body());
    }
  }

  private final OwnWordingMapper mapper;
  private final MailingService mailings;
  private final Wordings wordings;
  private final WorkspaceService workspace;
  private final AccountService accounts;
  private final Clock clock;

  OwnWordings(
      OwnWordingMapper mapper,
      MailingService mailings,
      Wordings wordings,
      WorkspaceService workspace,
      AccountService accounts,
      Clock clock) {
    this.mapper = mapper;
    this.mailings = mailings;
    this.wordings = wordings;
    this.workspace = workspace;
    this.accounts = accounts;
    this.clock = clock;
  }

  List<OwnWording> all(long mailingId) {
    return mapper.all(mailingId);
  }

  /** Keeps words for one person; the same words as the shared ones are no words of one's own. */
  @Transactional
  void put(long mailingId, PersonId personId, String subject, String body) {
    long by = accounts.currentWriter().id();
    MailWording shared = wordings.of(mailings.lockDraft(mailingId));
    String soundSubject = subject == null ? "" : subject;
    String soundBody = SafeHtml.clean(body == null ? "" : body);
    LetterText.errors(new Written(soundSubject, soundBody), workspace.fields()).stream()
        .findFirst()
        .ifPresent(
            e -> {
              throw Problem.wrong("body", e.sentence());
            });
    if (soundSubject.equals(shared.subject()) && soundBody.equals(shared.body())) {
      mapper.drop(mailingId, personId);
    } else {
      mapper.put(
          mailingId,
          personId,
          new Written(soundSubject, soundBody),
          shared.written(),
          clock.instant(),
          by);
    }
  }

  /** Goes back to the shared words for one person, or with null for all. */
  @Transactional
  void drop(long mailingId, PersonId personId) {
    accounts.currentWriter();
    mailings.lockDraft(mailingId);
    if (personId == null) {
      mapper.dropAll(mailingId);
    } else {
      mapper.drop(mailingId, personId);
    }
  }
}
