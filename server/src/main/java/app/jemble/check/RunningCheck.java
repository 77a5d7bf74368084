package app.jemble.check;

import app.jemble.audience.AudienceService.Reader;
import app.jemble.core.check.Finding;
import app.jemble.core.check.NoticeCheck;
import app.jemble.core.check.ReleaseCheck;
import app.jemble.core.check.ReleaseCheck.Mark;
import app.jemble.core.check.TextCheck;
import app.jemble.core.message.MessageComposer.Composed;
import app.jemble.core.message.MessageFields;
import app.jemble.core.message.NoticeLetter;
import app.jemble.core.message.Outgoing;
import app.jemble.core.message.OutgoingNotice;
import app.jemble.core.message.OutgoingText;
import app.jemble.core.message.TextLetter;
import app.jemble.core.pace.Collisions;
import app.jemble.core.reach.Address;
import app.jemble.core.reach.Channel;
import app.jemble.core.reach.Reach;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldUse;
import app.jemble.core.record.PersonId;
import app.jemble.core.record.Values;
import app.jemble.message.Letter;
import app.jemble.people.PersonRecord;
import app.jemble.plan.ReaderClocks;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/** One look at everyone while it goes on. Messages are made by the lot, several lots at once. */
public final class RunningCheck {

  private static final int LOT = 500;

  /** Who has been written to of late, and when other messages to people are due. */
  record Elsewhere(Set<PersonId> lately, Map<PersonId, List<Instant>> due) {}

  /** What somebody would get on a phone. */
  record OnPhone(PersonId personId, Outgoing message) {}

  /** What came of a lot: its readers, and the messages of those of them who are ready. */
  record Lot(
      List<Reader> readers,
      List<ReleaseCheck.Message> messages,
      List<OnPhone> onPhones,
      Map<String, Long> lacks) {}

  private final Letter letter;
  private final ReleaseCheck check;
  private final TextCheck texts;
  private final NoticeCheck notices;
  private final List<String> fields;
  private final Elsewhere elsewhere;
  private final ReaderClocks clocks;
  private final Instant now;
  private final List<Checked.Entry> entries = new ArrayList<>();
  private final Map<String, Long> lacks = new HashMap<>();
  private List<Reader> lot = new ArrayList<>(LOT);

  RunningCheck(
      Letter letter,
      ReleaseCheck check,
      TextCheck texts,
      NoticeCheck notices,
      List<String> fields,
      Elsewhere elsewhere,
      ReaderClocks clocks,
      Instant now) {
    this.letter = letter;
    this.check = check;
    this.texts = texts;
    this.notices = notices;
    this.fields = fields;
    this.elsewhere = elsewhere;
    this.clocks = clocks;
    this.now = now;
  }

  /** The merge fields whose values are people's own. */
  static List<String> ofPeople(FieldCatalogue fields) {
    return fields.all(FieldUse.MERGE).stream()
        .map(Field::name)
        .filter(f -> !f.startsWith("sender.") && !f.startsWith("workspace."))
        .filter(f -> !f.equals(MessageFields.LEAVE))
        .toList();
  }

  void add(Reader reader, InOrder<Lot> lots) {
    lot.add(reader);
    if (lot.size() == LOT) {
      give(lots);
    }
  }

  /** Gives what was added last, and waits for all of it. */
  void end(InOrder<Lot> lots) {
    give(lots);
    lots.finish();
  }

  private void give(InOrder<Lot> lots) {
    List<Reader> readers = lot;
    lots.give(() -> look(readers));
    lot = new ArrayList<>(LOT);
  }

  private Lot look(List<Reader> readers) {
    List<ReleaseCheck.Message> messages = new ArrayList<>(readers.size());
    List<OnPhone> onPhones = new ArrayList<>();
    Map<String, Long> lacking = new HashMap<>();
    for (Reader reader : readers) {
      if (reader.reach() == Reach.READY) {
        messages.add(message(reader, onPhones));
        countLacks(reader.values(), lacking);
      }
    }
    return new Lot(readers, messages, onPhones, lacking);
  }

  private void countLacks(Values values, Map<String, Long> lacking) {
    for (String field : fields) {
      if (values.get(field).isEmpty()) {
        lacking.merge(field, 1L, Long::sum);
      }
    }
  }

  private ReleaseCheck.Message message(Reader reader) {
    PersonRecord person = reader.person();
    Composed composed = letter.compose(person, reader.values(), now);
    return new ReleaseCheck.Message(
        person.id(),
        person.firstName(),
        person.email().strip(),
        composed.message().subject(),
        composed.missing(),
        composed.leadsNowhere(),
        composed.leadsAstray(),
        marks(person.id(), Channel.EMAIL));
  }

  private ReleaseCheck.Message message(Reader reader, List<OnPhone> onPhones) {
    PersonId person = reader.person().id();
    Locale language = Locale.forLanguageTag(reader.person().language());
    if (reader.address() instanceof Address.Phone phone) {
      TextLetter.Composed text =
          letter.text(person, new TextLetter.Own(phone, reader.values(), language, ""));
      onPhones.add(new OnPhone(person, text.message()));
      return message(reader, text.missing());
    }
    if (reader.address() instanceof Address.Device app) {
      NoticeLetter.Composed notice =
          letter.notice(person, new NoticeLetter.Own(app, reader.values(), language, ""));
      onPhones.add(new OnPhone(person, notice.message()));
      return message(reader, notice.missing());
    }
    return reader
        .onPaper(LocalDate.ofInstant(now, ZoneOffset.UTC))
        .map(own -> message(reader, letter.paper(person, own).missing()))
        .orElseGet(() -> message(reader));
  }

  private ReleaseCheck.Message message(Reader reader, Set<String> missing) {
    PersonRecord person = reader.person();
    return new ReleaseCheck.Message(
        person.id(),
        person.firstName(),
        null,
        "",
        missing,
        false,
        false,
        marks(person.id(), reader.way().channel()));
  }

  private Set<Mark> marks(PersonId person, Channel way) {
    Set<Mark> marks = EnumSet.noneOf(Mark.class);
    if (letter.hasOldWords(person, way)) {
      marks.add(Mark.OWN_WORDING_OLD);
    }
    if (elsewhere.lately().contains(person)) {
      marks.add(Mark.WRITTEN_LATELY);
    }
    return marks;
  }

  /** Takes what came of a lot, in the order of the audience; how many have been looked at. */
  int take(Lot done) {
    for (Reader reader : done.readers()) {
      PersonRecord person = reader.person();
      entries.add(
          new Checked.Entry(
              person.id(),
              person.name(),
              reader.about().withoutFields(),
              reader.way(),
              letter.hasOwnWords(person.id(), reader.way().channel()),
              false));
      if (reader.reach() == Reach.READY) {
        clocks.add(person, reader.way().channel());
      }
    }
    done.messages().forEach(check::add);
    done.onPhones().forEach(this::add);
    done.lacks().forEach((field, people) -> lacks.merge(field, people, Long::sum));
    return entries.size();
  }

  private void add(OnPhone on) {
    if (on.message() instanceof OutgoingText text) {
      texts.add(on.personId(), text.to().stored(), text.text());
    } else if (on.message() instanceof OutgoingNotice notice) {
      notices.add(on.personId(), notice);
    }
  }

  TextCheck texts() {
    return texts;
  }

  ReleaseCheck check() {
    return check;
  }

  ReaderClocks clocks() {
    return clocks;
  }

  /** What those who are ready have waiting elsewhere. */
  Collisions collisions() {
    return new Collisions(
        entries.stream().filter(Checked.Entry::isReady).map(Checked.Entry::personId).toList(),
        elsewhere.due());
  }

  Checked looked(int version) {
    List<Finding> findings = new ArrayList<>(check.findings());
    findings.addAll(texts.findings());
    findings.addAll(notices.findings());
    return Checked.of(
        version,
        entries,
        findings,
        lacks,
        new Checked.Outcome(clocks.clocks(), collisions(), texts.sum()));
  }
}
