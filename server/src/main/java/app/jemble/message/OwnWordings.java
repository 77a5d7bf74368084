package app.jemble.message;

import app.jemble.account.AccountService;
import app.jemble.cause.Cause;
import app.jemble.cause.Wordings;
import app.jemble.core.merge.TemplateError;
import app.jemble.core.message.LetterText;
import app.jemble.core.message.LetterText.Written;
import app.jemble.core.message.NoticeLetter;
import app.jemble.core.message.NoticeWording;
import app.jemble.core.message.SafeHtml;
import app.jemble.core.message.TextLetter;
import app.jemble.core.message.TextWording;
import app.jemble.core.reach.Channel;
import app.jemble.core.record.FieldCatalogue;
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
   * @param channel the way they are for; the subject of a notice is its title, a text has none
   * @param sharedSubject the shared subject as it was when these were written
   */
  record OwnWording(
      PersonId personId,
      String personName,
      Channel channel,
      String subject,
      String body,
      String sharedSubject,
      String sharedBody,
      int version) {

    /** Whether the shared words of its way have changed since. */
    boolean isOlderThan(Written shared) {
      return !shared.equals(new Written(sharedSubject, sharedBody));
    }
  }

  /**
   * Words for one person, to be written.
   *
   * @param shared the words of all others now
   * @param seen the version that these are written over
   */
  record Rewording(
      long mailingId, PersonId personId, Channel channel, Written own, Written shared, int seen) {}

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
  int put(long mailingId, PersonId personId, Channel channel, Written words, int seen) {
    long by = accounts.currentWriter().id();
    SharedWords all = shared(mailings.lockRewordable(mailingId));
    if (channel == Channel.POST && all.paper().usesDocument()) {
      throw Problem.conflict(
          "The letter is made of a document, which says the same to all."
              + " Write it here to change it for one.");
    }
    Written shared = all.of(channel);
    Written own = sound(channel, words);
    if (own.equals(shared)) {
      if (mapper.version(mailingId, personId, channel).filter(now -> now != seen).isPresent()) {
        throw changedMeanwhile();
      }
      mapper.drop(mailingId, personId, channel);
      return 0;
    }
    return mapper
        .put(new Rewording(mailingId, personId, channel, own, shared, seen), clock.instant(), by)
        .orElseThrow(OwnWordings::changedMeanwhile);
  }

  /** What all others get, by the way. */
  SharedWords shared(Cause cause) {
    return new SharedWords(
        wordings.of(cause), wordings.text(cause), wordings.notice(cause), wordings.paper(cause));
  }

  private Written sound(Channel channel, Written words) {
    String subject = words.subject() == null ? "" : words.subject();
    String body = words.body() == null ? "" : words.body();
    FieldCatalogue fields = workspace.fields();
    Written sound =
        switch (channel) {
          case EMAIL, POST -> new Written(subject, SafeHtml.clean(body));
          case TEXT -> new Written("", body);
          case APP -> new Written(subject, body);
        };
    List<TemplateError> errors =
        switch (channel) {
          case TEXT -> TextLetter.prepare(TextWording.saying(body), fields).errors();
          case APP -> NoticeLetter.prepare(new NoticeWording(subject, body, ""), fields).errors();
          default -> LetterText.errors(sound, fields);
        };
    if (!errors.isEmpty()) {
      throw Problem.wrong("body", errors.get(0).sentence());
    }
    return sound;
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
      mapper.dropOf(mailingId, new PersonId[] {personId});
    }
  }
}
