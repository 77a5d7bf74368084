package app.jemble.message;

import app.jemble.account.Account;
import app.jemble.core.merge.Escaping;
import app.jemble.core.merge.TemplateError;
import app.jemble.core.message.AttachedFile;
import app.jemble.core.message.DocumentLetter;
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
import app.jemble.core.message.PaperLetter;
import app.jemble.core.message.PaperWording;
import app.jemble.core.message.Pictures;
import app.jemble.core.message.TextLetter;
import app.jemble.core.message.TextWording;
import app.jemble.core.message.ThreadPlace;
import app.jemble.core.paper.Country;
import app.jemble.core.paper.PostalField;
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
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
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
   * @param document which the letter on paper is made of, where it is made of one
   */
  record BesideMail(
      Ways ways,
      TextWording text,
      String textsFrom,
      NoticeWording notice,
      PaperWording paper,
      Optional<DocumentLetter.Source> document) {
    static final BesideMail NOTHING =
        new BesideMail(
            Ways.MAIL,
            TextWording.EMPTY,
            "",
            NoticeWording.EMPTY,
            PaperWording.EMPTY,
            Optional.empty());
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
  private final PaperLetter.Prepared preparedPaper;
  private final PaperLetter.Shared sharedPaper;
  private final Set<String> sharedFields;
  private final Country posting;
  private final OwnLetters own;

  Letter(Ingredients of) {
    this.of = of;
    this.posting = new Country(of.workspace().region());
    this.sender = new Mailbox(of.sender().name(), of.sender().email());
    this.prepared = LetterText.prepare(of.wording().written(), of.looks(), of.fields());
    this.own = new OwnLetters(of.ownWordings(), of.looks(), of.fields());
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
    this.preparedPaper = PaperLetter.prepare(of.beside().paper(), paperLooks(), of.fields());
    this.sharedPaper =
        new PaperLetter.Shared(
            shared.zone(),
            posting,
            of.workspace().locale(),
            Escaping.oneLine(of.workspace().name() + ", " + of.workspace().postalAddress()),
            of.looks().head());
    this.sharedFields = ofRecords(shared.text(), textLetter(), noticeLetter(), paperLetter());
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
    Stream<TemplateError> ofPaper =
        ways().has(Channel.POST) ? preparedPaper.errors().stream() : Stream.empty();
    return Stream.of(ofMail, ofText, ofNotice, ofPaper)
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
    return own.isOf(personId)
        ? ofRecords(
            text(personId), textLetter(personId), noticeLetter(personId), paperLetter(personId))
        : sharedFields;
  }

  private Set<String> ofRecords(
      LetterText text, TextLetter phone, NoticeLetter notice, PaperLetter paper) {
    Set<String> fields = new LinkedHashSet<>(text.fields());
    if (of.beside().ways().has(Channel.TEXT)) {
      fields.addAll(phone.fields());
    }
    if (of.beside().ways().has(Channel.APP)) {
      fields.addAll(notice.fields());
    }
    if (of.beside().ways().has(Channel.POST)) {
      fields.addAll(paper.fields());
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

  private TextLetter textLetter(PersonId personId) {
    return own.text(personId, of.beside().text().likeness()).orElseGet(this::textLetter);
  }

  /** One person's text message. */
  public TextLetter.Composed text(PersonId personId, TextLetter.Own message) {
    return textLetter(personId).compose(sharedText, message);
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

  private NoticeLetter noticeLetter(PersonId personId) {
    return own.notice(personId, of.beside().notice().link()).orElseGet(this::noticeLetter);
  }

  /** One person's notice; it is on no devices yet. */
  public NoticeLetter.Composed notice(PersonId personId, NoticeLetter.Own message) {
    return noticeLetter(personId).compose(sharedNotice, message);
  }

  /** What it says on paper. */
  public PaperWording paperWording() {
    return of.beside().paper();
  }

  public List<TemplateError> paperErrors() {
    return preparedPaper.errors();
  }

  private PaperLetter.Looks paperLooks() {
    return new PaperLetter.Looks(of.looks().head(), of.looks().signature(), of.beside().document());
  }

  /** The document that its letter on paper is made of. */
  public Optional<DocumentLetter.Source> document() {
    return of.beside().document();
  }

  /** Blanks that are left in that document. */
  public List<String> documentBlanks() {
    return document().map(d -> new DocumentLetter(d, of.fields()).blanks()).orElse(List.of());
  }

  /** A letter with errors counts as empty, and blocks the release. */
  private PaperLetter paperLetter() {
    return preparedPaper
        .letter()
        .orElseGet(
            () ->
                PaperLetter.prepare(
                        PaperWording.EMPTY,
                        new PaperLetter.Looks(of.looks().head(), of.looks().signature()),
                        of.fields())
                    .letter()
                    .orElseThrow());
  }

  private PaperLetter paperLetter(PersonId personId) {
    return paperWording().usesDocument()
        ? paperLetter()
        : own.paper(personId, of.beside().paper()).orElseGet(this::paperLetter);
  }

  /** One person's letter on paper. */
  public PaperLetter.Composed paper(PersonId personId, PaperLetter.Own message) {
    return paperLetter(personId).compose(sharedPaper, message);
  }

  /** The mailing's own words; those of a person who has other words are theirs. */
  LetterText text(PersonId personId) {
    return own.mail(personId).orElse(shared.text());
  }

  /** Whether a person gets other words than all others by a way. */
  public boolean hasOwnWords(PersonId personId, Channel way) {
    return own.of(personId, way).isPresent() && mayHaveOwnWords(way);
  }

  /** A document says the same to all, but for its fields. */
  private boolean mayHaveOwnWords(Channel way) {
    return way != Channel.POST || !paperWording().usesDocument();
  }

  /** Whether a person's own words for a way were written before the shared ones changed. */
  public boolean hasOldWords(PersonId personId, Channel way) {
    SharedWords words =
        new SharedWords(
            of.wording(), of.beside().text(), of.beside().notice(), of.beside().paper());
    return hasOwnWords(personId, way)
        && own.of(personId, way).filter(own -> own.isOlderThan(words.of(way))).isPresent();
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
    Values posted = PostalField.over(person, posting, of.workspace().locale());
    return field -> house(field).orElseGet(() -> posted.get(field));
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
