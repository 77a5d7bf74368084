package app.jemble.message;

import app.jemble.account.Account;
import app.jemble.core.merge.TemplateError;
import app.jemble.core.message.AttachedFile;
import app.jemble.core.message.LetterText;
import app.jemble.core.message.LetterText.Prepared;
import app.jemble.core.message.LetterText.Style;
import app.jemble.core.message.LetterText.Written;
import app.jemble.core.message.MailWording;
import app.jemble.core.message.Mailbox;
import app.jemble.core.message.MessageComposer;
import app.jemble.core.message.MessageFields;
import app.jemble.core.message.NoticeLetter;
import app.jemble.core.message.NoticeWording;
import app.jemble.core.message.Pictures;
import app.jemble.core.message.TextLetter;
import app.jemble.core.message.TextWording;
import app.jemble.core.message.ThreadPlace;
import app.jemble.core.reach.Address;
import app.jemble.core.reach.Channel;
import app.jemble.core.reach.Ways;
import app.jemble.core.record.EmailAddress;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.PersonId;
import app.jemble.core.record.Values;
import app.jemble.message.OwnWordings.OwnWording;
import app.jemble.people.PersonRecord;
import app.jemble.workspace.Workspace;
import java.time.Instant;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What is the same for every message of one mailing, and the words that some get instead. */
public final class Letter {

  /**
   * All that a letter is made of.
   *
   * @param colleague who gets the replies, when that is a colleague; else null
   */
  record Ingredients(
      MailWording wording,
      BesideMail beside,
      Account sender,
      Account colleague,
      Workspace workspace,
      FieldCatalogue fields,
      Style looks,
      List<OwnWording> ownWordings,
      List<AttachedFile.Named> files,
      Pictures pictures,
      String publicUrl) {}

  /**
   * On which ways it goes, and what is said on those beside e-mail.
   *
   * @param textsFrom the number or name that the house's texts come from
   */
  record BesideMail(Ways ways, TextWording text, String textsFrom, NoticeWording notice) {
    static final BesideMail NOTHING =
        new BesideMail(Ways.MAIL, TextWording.EMPTY, "", NoticeWording.EMPTY);
  }

  /** In whose name one message comes, and where its replies go. */
  record Voices(Mailbox from, Optional<Mailbox> replyTo) {}

  private final Ingredients of;
  private final Prepared prepared;
  private final Mailbox sender;
  private final Map<String, Mailbox> owners = new ConcurrentHashMap<>();
  private final MessageComposer.Shared shared;
  private final TextLetter.Prepared preparedText;
  private final TextLetter.Shared sharedText;
  private final NoticeLetter.Prepared preparedNotice;
  private final NoticeLetter.Shared sharedNotice;
  private final Set<String> sharedFields;
  private final Map<PersonId, OwnWording> ownWordings;
  private final Map<PersonId, LetterText> ownTexts = new HashMap<>();

  Letter(Ingredients of) {
    this.of = of;
    this.sender = new Mailbox(of.sender().name(), of.sender().email());
    this.prepared = LetterText.prepare(of.wording().written(), of.looks(), of.fields());
    this.ownWordings =
        of.ownWordings().stream().collect(Collectors.toMap(OwnWording::personId, w -> w));
    this.shared =
        new MessageComposer.Shared(
            prepared.text().orElseGet(this::withoutErrors),
            sender(),
            Optional.empty(),
            of.workspace().zoneId(),
            of.publicUrl(),
            of.workspace().returnDomain(),
            new MessageComposer.Counting(of.wording().countOpens()),
            of.wording().promotional(),
            of.pictures(),
            of.files());
    this.preparedText = TextLetter.prepare(of.beside().text(), of.fields());
    this.sharedText =
        new TextLetter.Shared(
            of.beside().textsFrom(), shared.zone(), of.publicUrl(), of.wording().countClicks());
    this.preparedNotice = NoticeLetter.prepare(of.beside().notice(), of.fields());
    this.sharedNotice =
        new NoticeLetter.Shared(shared.zone(), of.publicUrl(), of.wording().countClicks());
    this.sharedFields = ofRecords(shared.text());
  }

  /** What it says. */
  public MailWording wording() {
    return of.wording();
  }

  /** What is wrong with its texts, in sentences. */
  public List<String> errors() {
    Stream<TemplateError> ofMail =
        Stream.concat(prepared.subjectErrors().stream(), prepared.bodyErrors().stream());
    Stream<TemplateError> ofText =
        ways().has(Channel.TEXT) ? preparedText.errors().stream() : Stream.empty();
    Stream<TemplateError> ofNotice =
        ways().has(Channel.APP) ? preparedNotice.errors().stream() : Stream.empty();
    return Stream.of(ofMail, ofText, ofNotice)
        .flatMap(each -> each)
        .map(TemplateError::sentence)
        .toList();
  }

  public List<TemplateError> subjectErrors() {
    return prepared.subjectErrors();
  }

  public List<TemplateError> bodyErrors() {
    return prepared.bodyErrors();
  }

  /** A text with errors counts as empty, and blocks the release. */
  private LetterText withoutErrors() {
    String subject = prepared.subjectErrors().isEmpty() ? of.wording().subject() : "";
    String body = prepared.bodyErrors().isEmpty() ? of.wording().body() : "";
    return LetterText.prepare(new Written(subject, body), of.looks(), of.fields())
        .text()
        .orElseThrow();
  }

  /** Every field of the records that one person's message asks for. */
  public Set<String> fields(PersonId personId) {
    return hasOwnWords(personId) ? ofRecords(text(personId)) : sharedFields;
  }

  private Set<String> ofRecords(LetterText text) {
    Set<String> fields = new LinkedHashSet<>(text.fields());
    if (of.beside().ways().has(Channel.TEXT)) {
      fields.addAll(textLetter().fields());
    }
    if (of.beside().ways().has(Channel.APP)) {
      fields.addAll(noticeLetter().fields());
    }
    of.files().forEach(file -> fields.addAll(file.name().fields()));
    fields.removeIf(field -> house(field).isPresent());
    return fields;
  }

  /** On which ways it goes. */
  public Ways ways() {
    return of.beside().ways();
  }

  /** What it says by text. */
  public TextWording textWording() {
    return of.beside().text();
  }

  public List<TemplateError> textErrors() {
    return preparedText.errors();
  }

  /** A text with errors counts as empty, and blocks the release. */
  private TextLetter textLetter() {
    return preparedText
        .letter()
        .orElseGet(() -> TextLetter.prepare(TextWording.EMPTY, of.fields()).letter().orElseThrow());
  }

  /**
   * One person's text message.
   *
   * @param token empty for what does not leave
   */
  public TextLetter.Composed text(Address.Phone to, Values values, Locale language, String token) {
    return textLetter().compose(sharedText, new TextLetter.Own(to, values, language, token));
  }

  /** What it says to the app. */
  public NoticeWording noticeWording() {
    return of.beside().notice();
  }

  public List<TemplateError> noticeErrors() {
    return preparedNotice.errors();
  }

  /** A notice with errors counts as empty, and blocks the release. */
  private NoticeLetter noticeLetter() {
    return preparedNotice
        .letter()
        .orElseGet(
            () -> NoticeLetter.prepare(NoticeWording.EMPTY, of.fields()).letter().orElseThrow());
  }

  /**
   * One person's notice; it is on no devices yet.
   *
   * @param token empty for what does not leave
   */
  public NoticeLetter.Composed notice(
      Address.Device to, Values values, Locale language, String token) {
    return noticeLetter().compose(sharedNotice, new NoticeLetter.Own(to, values, language, token));
  }

  /** The mailing's own words; those of a person who has other words are theirs. */
  LetterText text(PersonId personId) {
    OwnWording own = ownWordings.get(personId);
    return own == null ? shared.text() : ownText(own);
  }

  public boolean hasOwnWords(PersonId personId) {
    return ownWordings.containsKey(personId);
  }

  /** Whether a person's own words were written before the shared ones changed. */
  public boolean hasOldWords(PersonId personId) {
    OwnWording own = ownWordings.get(personId);
    return own != null && own.isOlderThan(of.wording());
  }

  private LetterText ownText(OwnWording own) {
    synchronized (ownTexts) {
      return ownTexts.computeIfAbsent(
          own.personId(),
          id ->
              LetterText.prepare(new Written(own.subject(), own.body()), of.looks(), of.fields())
                  .text()
                  .orElse(shared.text()));
    }
  }

  /** What {@link MessageComposer} needs for one person's message. */
  MessageComposer.Shared shared(PersonId personId, Voices voices) {
    return new MessageComposer.Shared(
        text(personId),
        voices.from(),
        voices.replyTo(),
        shared.zone(),
        shared.publicUrl(),
        shared.returnDomain(),
        shared.counting(),
        shared.mayLeave(),
        shared.pictures(),
        shared.files());
  }

  /** One person's message, to see what it is and lacks; it has no token and does not leave. */
  public MessageComposer.Composed compose(PersonRecord person, Values values, Instant now) {
    return MessageComposer.compose(
        shared(person.id(), voices(person.ownerName(), person.ownerEmail())),
        new MessageComposer.Own(
            new Mailbox(person.name(), person.email()),
            values,
            Locale.forLanguageTag(person.language()),
            now,
            "",
            ThreadPlace.NEW));
  }

  /**
   * What a message to somebody lacks: labels of fields without a value and without a fallback, in
   * small letters, each once.
   */
  public List<String> lacking(PersonRecord person, Values values, Instant now) {
    return compose(person, values, now).missing().stream()
        .map(field -> of.fields().find(field).map(Field::label).orElse(field))
        .map(label -> label.toLowerCase(Locale.ROOT))
        .distinct()
        .sorted()
        .toList();
  }

  /**
   * In whose name a message to somebody comes.
   *
   * @param ownerName the name of the person's owner; null where there is none
   */
  Voices voices(String ownerName, String ownerEmail) {
    Optional<Mailbox> owner =
        ownerEmail == null || !mayWrite(ownerEmail)
            ? Optional.empty()
            : Optional.of(owners.computeIfAbsent(ownerEmail, e -> new Mailbox(ownerName, e)));
    Mailbox from =
        switch (of.wording().voice()) {
          case SENDER -> sender();
          case OWNER -> owner.orElse(sender());
          case HOUSE -> house().orElse(sender());
        };
    Mailbox replies =
        switch (of.wording().repliesTo()) {
          case SENDER -> sender();
          case OWNER -> owner.orElse(sender());
          case COLLEAGUE -> colleague().orElse(sender());
        };
    return new Voices(
        from, replies.address().equals(from.address()) ? Optional.empty() : Optional.of(replies));
  }

  private Mailbox sender() {
    return sender;
  }

  /** An owner who wrote before has an address that is one. */
  private boolean mayWrite(String address) {
    return owners.containsKey(address) || EmailAddress.isValid(address.strip());
  }

  private Optional<Mailbox> house() {
    String address = of.workspace().houseEmail();
    return address == null
        ? Optional.empty()
        : Optional.of(new Mailbox(of.workspace().name(), address));
  }

  private Optional<Mailbox> colleague() {
    return Optional.ofNullable(of.colleague()).map(c -> new Mailbox(c.name(), c.email()));
  }

  /** A person's values with those of the sender and the house. */
  public Values values(Values person) {
    return field -> house(field).orElseGet(() -> person.get(field));
  }

  /** The same for colleagues to look at: what is a person's alone is a sample. */
  Values seenValues(Values person) {
    Values values = values(person);
    return field ->
        field.equals(MessageFields.APP_LINK)
            ? FieldValue.text(of.publicUrl() + "/app/" + MessageComposer.SAMPLE)
            : values.get(field);
  }

  private Optional<FieldValue> house(String field) {
    return switch (field) {
      case "sender.name" -> Optional.of(FieldValue.text(of.sender().name()));
      case "sender.title" -> Optional.of(FieldValue.text(of.sender().title()));
      case "sender.email" -> Optional.of(FieldValue.text(of.sender().email()));
      case "sender.phone" -> Optional.of(FieldValue.text(of.sender().phone()));
      case "sender.picture" -> Optional.of(FieldValue.picture(of.sender().pictureKey()));
      case "workspace.name" -> Optional.of(FieldValue.text(of.workspace().name()));
      case "workspace.address" -> Optional.of(FieldValue.text(of.workspace().postalAddress()));
      default -> Optional.empty();
    };
  }
}
