package app.jemble.message;

import app.jemble.core.message.LetterText;
import app.jemble.core.message.LetterText.Style;
import app.jemble.core.message.LetterText.Written;
import app.jemble.core.message.NoticeLetter;
import app.jemble.core.message.NoticeWording;
import app.jemble.core.message.PaperLetter;
import app.jemble.core.message.PaperWording;
import app.jemble.core.message.TextLetter;
import app.jemble.core.message.TextWording;
import app.jemble.core.reach.Channel;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.PersonId;
import app.jemble.message.OwnWordings.OwnWording;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/** The words that single people get instead of everybody's, by the way, parsed once. */
final class OwnLetters {

  private final Map<PersonId, Map<Channel, OwnWording>> wordings = new HashMap<>();
  private final Map<PersonId, Optional<LetterText>> mails = new ConcurrentHashMap<>();
  private final Map<PersonId, Optional<TextLetter>> texts = new ConcurrentHashMap<>();
  private final Map<PersonId, Optional<NoticeLetter>> notices = new ConcurrentHashMap<>();
  private final Map<PersonId, Optional<PaperLetter>> papers = new ConcurrentHashMap<>();
  private final Style looks;
  private final FieldCatalogue fields;

  OwnLetters(List<OwnWording> wordings, Style looks, FieldCatalogue fields) {
    this.looks = looks;
    this.fields = fields;
    wordings.forEach(
        own ->
            this.wordings
                .computeIfAbsent(own.personId(), id -> new EnumMap<>(Channel.class))
                .put(own.channel(), own));
  }

  /** Whether somebody has any. */
  boolean isOf(PersonId person) {
    return wordings.containsKey(person);
  }

  Optional<OwnWording> of(PersonId person, Channel way) {
    return Optional.ofNullable(wordings.getOrDefault(person, Map.of()).get(way));
  }

  /** Empty where there are none, or a field that they ask for is no more. */
  Optional<LetterText> mail(PersonId person) {
    return of(person, Channel.EMAIL)
        .flatMap(
            own ->
                mails.computeIfAbsent(
                    person,
                    id ->
                        LetterText.prepare(new Written(own.subject(), own.body()), looks, fields)
                            .text()));
  }

  /** Likewise; characters become plain as in everybody's. */
  Optional<TextLetter> text(PersonId person, TextWording.Likeness likeness) {
    return of(person, Channel.TEXT)
        .flatMap(
            own ->
                texts.computeIfAbsent(
                    person,
                    id ->
                        TextLetter.prepare(new TextWording(own.body(), likeness), fields)
                            .letter()));
  }

  /** Likewise; it lies on its sheet as everybody's does. */
  Optional<PaperLetter> paper(PersonId person, PaperWording shared) {
    return of(person, Channel.POST)
        .flatMap(
            own ->
                papers.computeIfAbsent(
                    person,
                    id ->
                        PaperLetter.prepare(
                                shared.saying(new Written(own.subject(), own.body())),
                                new PaperLetter.Looks(looks.head(), looks.signature()),
                                fields)
                            .letter()));
  }

  /** Likewise; it leads where everybody's does. */
  Optional<NoticeLetter> notice(PersonId person, String link) {
    return of(person, Channel.APP)
        .flatMap(
            own ->
                notices.computeIfAbsent(
                    person,
                    id ->
                        NoticeLetter.prepare(
                                new NoticeWording(own.subject(), own.body(), link), fields)
                            .letter()));
  }
}
