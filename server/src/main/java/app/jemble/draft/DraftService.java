package app.jemble.draft;

import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.audience.Audience;
import app.jemble.audience.AudienceParts;
import app.jemble.audience.Audiences;
import app.jemble.cause.Cause;
import app.jemble.cause.CauseChanges;
import app.jemble.cause.NewCause;
import app.jemble.cause.OpenCauses;
import app.jemble.cause.Wordings;
import app.jemble.core.message.MailWording;
import app.jemble.core.message.PaperWording;
import app.jemble.core.reach.Channel;
import app.jemble.core.reach.Ways;
import app.jemble.core.record.PersonId;
import app.jemble.core.record.Related;
import app.jemble.mailing.MailingFiles;
import app.jemble.problem.Problem;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Drafts of mailings: begun, changed, discarded. */
@Service
public class DraftService {

  private static final int MOST_PICKS = 100_000;

  private final OpenCauses open;
  private final CauseChanges causes;
  private final Wordings wordings;
  private final Audiences audiences;
  private final AudienceParts parts;
  private final MailingFiles files;
  private final Beginnings beginnings;
  private final AccountService accounts;

  DraftService(
      OpenCauses open,
      CauseChanges causes,
      Wordings wordings,
      Audiences audiences,
      AudienceParts parts,
      MailingFiles files,
      Beginnings beginnings,
      AccountService accounts) {
    this.open = open;
    this.causes = causes;
    this.wordings = wordings;
    this.audiences = audiences;
    this.parts = parts;
    this.files = files;
    this.beginnings = beginnings;
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
   * @param byPost whether it goes on paper alone
   * @param documentId the document its letters are made of, or null
   */
  public record Beginning(
      Related recordKind,
      List<Long> recordIds,
      boolean recordEach,
      List<AudienceParts.Part> parts,
      List<PersonId> picks,
      List<PersonId> leftOut,
      Long templateId,
      Long mailingId,
      boolean byPost,
      Long documentId) {}

  /** Begins a mailing; whom it is for can be said afterwards. */
  @Transactional
  public long begin(Beginning of) {
    Account sender = accounts.currentWriter();
    Cause before = of.mailingId() == null ? null : open.find(of.mailingId());
    if (of.recordKind() != null && of.picks().isEmpty()) {
      throw Problem.wrong("picks", "None of these " + of.recordKind().many() + " has a person.");
    }
    boolean tooMany =
        Stream.of(of.picks(), of.leftOut(), of.recordIds()).anyMatch(l -> l.size() > MOST_PICKS);
    if (tooMany) {
      throw Problem.wrong(
          "picks", "At most 100,000 people can be picked by hand; use a filter for more.");
    }
    long id = before == null ? fresh(sender, of) : again(before, sender, of);
    if (of.byPost()) {
      onPaper(open.find(id), of.documentId());
    }
    return id;
  }

  /** What it says by mail it says on paper, unless a letter is written already. */
  private void onPaper(Cause cause, Long documentId) {
    causes.goBy(cause.id(), new Ways(List.of(Channel.POST)));
    PaperWording paper = wordings.paper(cause);
    if (documentId != null) {
      wordings.write(
          cause,
          new PaperWording("", "", paper.form(), documentId, beginnings.versionOf(documentId)));
    } else if (paper.body().isBlank() && !paper.usesDocument()) {
      wordings.write(cause, paper.saying(wordings.of(cause).written()));
    }
  }

  private long fresh(Account sender, Beginning of) {
    Beginnings.Begun begun =
        of.documentId() == null
            ? beginnings.of(of.templateId())
            : beginnings.ofDocument(of.documentId());
    return create(begun.as(sender), begun.wording(), audience(of));
  }

  private Audience audience(Beginning of) {
    return Audience.NOBODY
        .about(of.recordKind(), of.recordIds(), of.recordEach())
        .withPeople(
            parts.write(of.parts()),
            of.picks().toArray(PersonId[]::new),
            of.leftOut().toArray(PersonId[]::new));
  }

  private long again(Cause before, Account sender, Beginning of) {
    boolean sameAudience = of.parts().isEmpty() && of.picks().isEmpty();
    long id =
        create(
            new NewCause(
                Cause.Kind.MAILING,
                before.name() + ", once more",
                before.topicId(),
                sender.id(),
                before.isPrivate(),
                null),
            wordings.of(before),
            sameAudience ? audiences.of(before) : audience(of));
    files.copy(before.id(), id);
    causes.goBy(id, before.ways());
    wordings.copyBeside(before, id);
    return id;
  }

  /** Begins a mailing that follows a released one, to some of its people, in their threads. */
  @Transactional
  public long beginFollowUp(long mailingId, List<PersonId> people) {
    Account sender = accounts.currentWriter();
    Cause first = open.find(mailingId);
    if (!first.hasBeenReleased()) {
      throw Problem.conflict("A mailing that has not left cannot be followed up.");
    }
    if (people.isEmpty()) {
      throw Problem.wrong("people", "There is nobody to follow up.");
    }
    MailWording words = wordings.of(first);
    long id =
        create(
            new NewCause(
                Cause.Kind.MAILING,
                first.name() + ", again",
                first.topicId(),
                sender.id(),
                first.isPrivate(),
                mailingId),
            MailWording.by(words.subject(), "", words.letterheadId(), words.promotional()),
            Audience.picked(people));
    causes.goBy(id, first.ways());
    return id;
  }

  private long create(NewCause cause, MailWording wording, Audience audience) {
    long id = causes.create(cause, wording);
    audiences.write(id, audience);
    return id;
  }

  @Transactional
  public void discard(long id) {
    accounts.currentWriter();
    open.lock(id);
    causes.discard(id);
  }

  /** Takes a discarded draft back. */
  @Transactional
  public void restore(long id) {
    accounts.currentWriter();
    open.lock(id);
    causes.restore(id);
  }
}
