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
      String sharedBody,
      int version) {

    /** Whether the shared words have changed since. */
    boolean isOlderThan(MailWording shared) {
      return !sharedSubject.equals(shared.subject()) || !sharedBody.equals(shared.body());
    }
  }

  /**
   * Words for one person, to be written.
   *
   * @param shared the words of all others now
   * @param seen the version that these are written over
   */
  record Rewording(long mailingId, PersonId personId, Written own, Written shared, int seen) {}

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

  /**
   * Keeps words for one person; the same words as the shared ones are no words of one's own.
   *
   * @param seen the version of the words that these were written over, 0 where there were none
   * @return the version now, 0 where the person has the shared words
   */
  @Transactional
  int put(long mailingId, PersonId personId, Written words, int seen) {
    long by = accounts.currentWriter().id();
    MailWording shared = wordings.of(mailings.lockRewordable(mailingId));
    String soundSubject = words.subject() == null ? "" : words.subject();
    String soundBody = SafeHtml.clean(words.body() == null ? "" : words.body());
    LetterText.errors(new Written(soundSubject, soundBody), workspace.fields()).stream()
        .findFirst()
        .ifPresent(
            e -> {
              throw Problem.wrong("body", e.sentence());
            });
    if (soundSubject.equals(shared.subject()) && soundBody.equals(shared.body())) {
      if (mapper.version(mailingId, personId).filter(now -> now != seen).isPresent()) {
        throw changedMeanwhile();
      }
      mapper.drop(mailingId, personId);
      return 0;
    }
    Written own = new Written(soundSubject, soundBody);
    return mapper
        .put(new Rewording(mailingId, personId, own, shared.written(), seen), clock.instant(), by)
        .orElseThrow(OwnWordings::changedMeanwhile);
  }

  private static Problem changedMeanwhile() {
    return Problem.conflict("Somebody changed this person's own wording in the meantime.");
  }

  /** Goes back to the shared words for one person, or with null for all. */
  @Transactional
  void drop(long mailingId, PersonId personId) {
    accounts.currentWriter();
    mailings.lockRewordable(mailingId);
    if (personId == null) {
      mapper.dropAll(mailingId);
    } else {
      mapper.drop(mailingId, personId);
    }
  }
}
