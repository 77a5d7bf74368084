package app.jemble.message;

import app.jemble.access.Needs;
import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.audience.Audience;
import app.jemble.audience.AudienceService;
import app.jemble.core.access.Right;
import app.jemble.core.message.LetterText.Style;
import app.jemble.core.message.Letterhead;
import app.jemble.core.message.MailWording;
import app.jemble.core.message.Mailbox;
import app.jemble.core.message.MessageComposer;
import app.jemble.core.message.MessageComposer.Composed;
import app.jemble.core.message.Pictures;
import app.jemble.core.message.SafeHtml;
import app.jemble.core.message.ThreadPlace;
import app.jemble.core.record.PersonId;
import app.jemble.letterhead.LetterheadService;
import app.jemble.letterhead.LetterheadService.LetterheadDraft;
import app.jemble.people.PeopleService;
import app.jemble.problem.Problem;
import app.jemble.settings.JembleSettings;
import app.jemble.workspace.Workspace;
import app.jemble.workspace.WorkspaceService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** A template or a letterhead as one person would get it, before any mailing is begun with it. */
@RestController
@RequestMapping("/api/preview")
class PreviewController {

  /**
   * What is to be looked at.
   *
   * @param letterheadId the letterhead it is written on, or null for none
   * @param letterhead a letterhead that is not saved yet, instead; or null
   * @param personId as whom; null for somebody
   */
  record PreviewQuestion(
      String subject,
      String body,
      @Schema(nullable = true) Long letterheadId,
      @Schema(nullable = true) LetterheadDraft letterhead,
      boolean promotional,
      @Schema(nullable = true) PersonId personId) {}

  /**
   * A message as it would be.
   *
   * @param errors what is wrong with the texts; then the rest shows what can be shown
   */
  record Preview(
      @Schema(nullable = true) PersonId personId,
      String personName,
      String subject,
      String html,
      String text,
      List<String> errors,
      Map<String, String> samples) {}

  private final AudienceService audience;
  private final LetterheadService letterheads;
  private final Samples samples;
  private final PeopleService people;
  private final AccountService accounts;
  private final WorkspaceService workspace;
  private final JembleSettings settings;
  private final Clock clock;

  PreviewController(
      AudienceService audience,
      LetterheadService letterheads,
      Samples samples,
      PeopleService people,
      AccountService accounts,
      WorkspaceService workspace,
      JembleSettings settings,
      Clock clock) {
    this.audience = audience;
    this.letterheads = letterheads;
    this.samples = samples;
    this.people = people;
    this.accounts = accounts;
    this.workspace = workspace;
    this.settings = settings;
    this.clock = clock;
  }

  @Needs(Right.SEE)
  @PostMapping
  Preview preview(@RequestBody PreviewQuestion question) {
    Optional<Letterhead> head =
        question.letterhead() == null
            ? letterheads.of(question.letterheadId())
            : Optional.of(letterheads.drafted(question.letterhead()));
    Letter letter = letter(imagined(question), question.promotional(), head);
    PersonId person = question.personId() == null ? people.somebody() : question.personId();
    AudienceService.Reader reader =
        person == null ? null : audience.one(Audience.NOBODY, letter::values, person, 0);
    if (reader == null) {
      throw Problem.notFound("There is nobody on record yet to show this as.");
    }
    Locale language = Locale.forLanguageTag(reader.person().language());
    Composed composed =
        MessageComposer.compose(
            letter.shared(reader.person().id(), letter.voices(null, null)),
            new MessageComposer.Own(
                new Mailbox(reader.person().name(), accounts.current().email()),
                reader.values(),
                language,
                clock.instant(),
                "",
                ThreadPlace.NEW));
    return new Preview(
        reader.person().id(),
        reader.person().name(),
        composed.message().subject(),
        composed.message().html(),
        composed.message().text(),
        letter.errors(),
        samples.of(reader.values(), language));
  }

  private static MailWording imagined(PreviewQuestion question) {
    return MailWording.by(
            question.subject() == null ? "" : question.subject(),
            SafeHtml.clean(question.body() == null ? "" : question.body()),
            null,
            question.promotional())
        .uncounted();
  }

  private Letter letter(MailWording wording, boolean promotional, Optional<Letterhead> head) {
    Account me = accounts.current();
    Workspace house = workspace.current();
    return new Letter(
        new Letter.Ingredients(
            wording,
            Letter.BesideMail.NOTHING,
            me,
            null,
            house,
            workspace.fields(),
            new Style(head, me.signature(), house.locale(), false, promotional),
            List.of(),
            List.of(),
            // What is shown here finds its pictures where they are.
            Pictures.NONE,
            settings.publicUrl()));
  }
}
