package app.jemble.message;

import app.jemble.access.Needs;
import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.audience.Audience;
import app.jemble.audience.AudienceService;
import app.jemble.cause.CauseWays;
import app.jemble.cause.WaysBody;
import app.jemble.core.access.Right;
import app.jemble.core.message.AboutFields;
import app.jemble.core.message.LetterText.Style;
import app.jemble.core.message.Letterhead;
import app.jemble.core.message.MailWording;
import app.jemble.core.message.Mailbox;
import app.jemble.core.message.MessageComposer;
import app.jemble.core.message.MessageComposer.Composed;
import app.jemble.core.message.NoticeLetter;
import app.jemble.core.message.NoticeWording;
import app.jemble.core.message.OutgoingNotice;
import app.jemble.core.message.PaperWording;
import app.jemble.core.message.Pictures;
import app.jemble.core.message.SafeHtml;
import app.jemble.core.message.TextLetter;
import app.jemble.core.message.TextWording;
import app.jemble.core.message.ThreadPlace;
import app.jemble.core.reach.Address;
import app.jemble.core.reach.Channel;
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
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
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
   * @param beside what is said by text and to the app beside it; null for nothing
   * @param personId as whom; null for somebody
   */
  record PreviewQuestion(
      String subject,
      String body,
      @Schema(nullable = true) Long letterheadId,
      @Schema(nullable = true) LetterheadDraft letterhead,
      boolean promotional,
      @Schema(nullable = true) WaysBody beside,
      @Schema(nullable = true) PersonId personId) {}

  /**
   * A message as it would be.
   *
   * @param phone what they would read as a text message; empty for none
   * @param notice what the app would show; null for nothing
   * @param errors what is wrong with the texts; then the rest shows what can be shown
   * @param missing names of fields that this person has no value of, and nothing stands in for
   * @param later names of fields that are filled in by what a message is about
   */
  record Preview(
      @Schema(nullable = true) PersonId personId,
      String personName,
      String subject,
      String html,
      String text,
      String phone,
      @Schema(nullable = true) PreviewNotice notice,
      List<String> errors,
      List<String> missing,
      List<String> later,
      Map<String, String> samples) {}

  record PreviewNotice(String title, String words, String link) {}

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
    Letter letter = letter(question, head);
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
    Optional<TextLetter.Composed> phone = phone(letter, reader, language);
    Optional<NoticeLetter.Composed> notice = notice(letter, reader, language);
    Map<Boolean, List<String>> gaps = gaps(composed, phone, notice);
    return new Preview(
        reader.person().id(),
        reader.person().name(),
        composed.message().subject(),
        composed.message().html(),
        composed.message().text(),
        phone.map(p -> p.message().text()).orElse(""),
        notice.map(n -> shown(n.message())).orElse(null),
        letter.errors(),
        gaps.get(false),
        gaps.get(true),
        samples.of(reader.values(), language));
  }

  /** Fields without a value; under true those that what a message is about gives one. */
  private static Map<Boolean, List<String>> gaps(
      Composed mail, Optional<TextLetter.Composed> phone, Optional<NoticeLetter.Composed> notice) {
    return Stream.of(
            mail.missing(),
            phone.map(TextLetter.Composed::missing).orElse(Set.of()),
            notice.map(NoticeLetter.Composed::missing).orElse(Set.of()))
        .flatMap(Set::stream)
        .distinct()
        .collect(Collectors.partitioningBy(AboutFields::isOne));
  }

  /** It is shown as it would be, whether or not they have a phone, or the app. */
  private static Optional<TextLetter.Composed> phone(
      Letter letter, AudienceService.Reader reader, Locale language) {
    TextLetter.Own own = new TextLetter.Own(new Address.Phone(""), reader.values(), language, "");
    return letter.ways().has(Channel.TEXT)
        ? Optional.of(letter.text(reader.person().id(), own))
        : Optional.empty();
  }

  private static Optional<NoticeLetter.Composed> notice(
      Letter letter, AudienceService.Reader reader, Locale language) {
    PersonId person = reader.person().id();
    NoticeLetter.Own own =
        new NoticeLetter.Own(Address.Device.of(person.value()), reader.values(), language, "");
    return letter.ways().has(Channel.APP)
        ? Optional.of(letter.notice(person, own))
        : Optional.empty();
  }

  private static PreviewNotice shown(OutgoingNotice notice) {
    return new PreviewNotice(notice.title(), notice.words(), notice.link());
  }

  private static Letter.BesideMail beside(PreviewQuestion question) {
    WaysBody beside = question.beside();
    return beside == null || beside.ways() == null
        ? Letter.BesideMail.NOTHING
        : new Letter.BesideMail(
            CauseWays.sound(beside.ways()),
            beside.text() == null ? TextWording.EMPTY : CauseWays.sound(beside.text()),
            "",
            beside.notice() == null ? NoticeWording.EMPTY : CauseWays.sound(beside.notice()),
            PaperWording.EMPTY,
            Optional.empty());
  }

  private static MailWording imagined(PreviewQuestion question) {
    return MailWording.by(
            question.subject() == null ? "" : question.subject(),
            SafeHtml.clean(question.body() == null ? "" : question.body()),
            null,
            question.promotional())
        .uncounted();
  }

  private Letter letter(PreviewQuestion question, Optional<Letterhead> head) {
    Account me = accounts.current();
    Workspace house = workspace.current();
    return new Letter(
        new Letter.Ingredients(
            imagined(question),
            beside(question),
            me,
            null,
            house,
            workspace.fields(),
            new Style(head, me.signature(), house.locale(), false, question.promotional()),
            List.of(),
            List.of(),
            // What is shown here finds its pictures where they are.
            Pictures.NONE,
            settings.publicUrl()));
  }
}
