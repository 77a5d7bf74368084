package app.jemble.mailing;

import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.core.check.Finding;
import app.jemble.core.check.ReleaseCheck;
import app.jemble.core.check.ReleaseCheck.Mark;
import app.jemble.core.filter.AsOf;
import app.jemble.core.message.Mailbox;
import app.jemble.core.message.MessageComposer;
import app.jemble.core.message.MessageComposer.Composed;
import app.jemble.core.message.MessageFields;
import app.jemble.core.message.ThreadPlace;
import app.jemble.core.pace.Clocks;
import app.jemble.core.pace.PlanAsk;
import app.jemble.core.reach.Reach;
import app.jemble.core.record.EmailAddress;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldUse;
import app.jemble.core.record.Values;
import app.jemble.filter.AskedNow;
import app.jemble.filter.FilterBody;
import app.jemble.mailing.AboutRecords.About;
import app.jemble.outbox.OutboxService;
import app.jemble.people.PeopleService;
import app.jemble.people.PersonRecord;
import app.jemble.people.PersonValues;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import org.springframework.stereotype.Service;

/** Whom a mailing is for: each person's reach, what their message lacks, and all findings. */
@Service
class AudienceService {

  private static final Duration LATELY = Duration.ofDays(3);
  private static final int MOST_KEPT = 20;
  private static final int TOLD_EVERY = 500;

  /** Told how far a look has come. */
  @FunctionalInterface
  interface Progress {
    Progress NONE = (looked, of) -> {};

    void looked(long looked, long of);
  }

  /** One message of an audience: its person, what it is about, and all it is made of. */
  record Reader(PersonRecord person, About about, Values values, Reach reach) {}

  private final PeopleService people;
  private final PersonValues personValues;
  private final WorkspaceService workspace;
  private final AccountService accounts;
  private final OutboxService outbox;
  private final AudienceParts parts;
  private final AboutRecords about;
  private final AskedNow asked;
  private final LetterService letters;
  private final MailingFiles files;
  private final PlanService plans;
  private final Clock clock;

  /** The last look at each of a few mailings, for the pages of its list. */
  private final Map<Long, Looked> kept =
      new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Long, Looked> eldest) {
          return size() > MOST_KEPT;
        }
      };

  AudienceService(
      PeopleService people,
      PersonValues personValues,
      WorkspaceService workspace,
      AccountService accounts,
      OutboxService outbox,
      AudienceParts parts,
      AboutRecords about,
      AskedNow asked,
      LetterService letters,
      MailingFiles files,
      PlanService plans,
      Clock clock) {
    this.people = people;
    this.personValues = personValues;
    this.workspace = workspace;
    this.accounts = accounts;
    this.outbox = outbox;
    this.parts = parts;
    this.about = about;
    this.asked = asked;
    this.letters = letters;
    this.files = files;
    this.plans = plans;
    this.clock = clock;
  }

  /** Looks at everyone: reach first, then the whole message of each who is ready. */
  Looked look(Mailing mailing, Progress progress) {
    Letter letter = letters.of(mailing);
    ReleaseCheck check = checked(mailing, letter);
    Instant now = clock.instant();
    Set<Long> lately = outbox.writtenSince(now.minus(LATELY));
    Set<Long> waiting = outbox.waitingElsewhere(mailing.id());
    long of = people.count(filter(mailing), mailing.picks(), asOf(mailing));
    List<Looked.Entry> entries = new ArrayList<>();
    Map<String, Long> lacks = new HashMap<>();
    List<String> fields = ofPeople(workspace.fields());
    ReaderClocks clocks = new ReaderClocks(workspace.current().zoneId());
    each(
        mailing,
        letter,
        reader -> {
          PersonRecord person = reader.person();
          entries.add(
              new Looked.Entry(
                  person.id(),
                  person.name(),
                  reader.about().withoutFields(),
                  reader.reach(),
                  letter.hasOwnWords(person.id()),
                  false));
          if (reader.reach() == Reach.READY) {
            check.add(message(letter, reader, now, marks(letter, person.id(), lately, waiting)));
            countLacks(fields, reader.values(), lacks);
            clocks.add(person);
          }
          if (entries.size() % TOLD_EVERY == 0) {
            progress.looked(entries.size(), of);
          }
        });
    lookAtPlan(mailing, check, clocks, now);
    Looked looked = Looked.of(mailing.version(), entries, check.findings(), lacks, clocks.clocks());
    synchronized (kept) {
      kept.put(mailing.id(), looked);
    }
    return looked;
  }

  /** The merge fields whose values are people's own. */
  private static List<String> ofPeople(FieldCatalogue fields) {
    return fields.all(FieldUse.MERGE).stream()
        .map(Field::name)
        .filter(f -> !f.startsWith("sender.") && !f.startsWith("workspace."))
        .filter(f -> !f.equals(MessageFields.LEAVE))
        .toList();
  }

  private static void countLacks(List<String> fields, Values values, Map<String, Long> lacks) {
    for (String field : fields) {
      if (values.get(field).isEmpty()) {
        lacks.merge(field, 1L, Long::sum);
      }
    }
  }

  /** The last look at a mailing, when nothing was written since; else a new one. */
  Looked lastLook(Mailing mailing) {
    synchronized (kept) {
      Looked last = kept.get(mailing.id());
      if (last != null && last.version() == mailing.version()) {
        return last;
      }
    }
    return look(mailing, Progress.NONE);
  }

  /**
   * Where the people of a mailing are, as the last look found it, whatever was written since; else
   * as a new look finds it.
   */
  Clocks clocks(Mailing mailing) {
    synchronized (kept) {
      Looked last = kept.get(mailing.id());
      if (last != null) {
        return last.clocks();
      }
    }
    return look(mailing, Progress.NONE).clocks();
  }

  private void lookAtPlan(Mailing mailing, ReleaseCheck check, ReaderClocks clocks, Instant now) {
    SendPlan plan = plans.of(mailing);
    PlanAsk ask = plans.ask(mailing, plan, plans.afterHold(now));
    Instant deadline = plan.doneBy() == null ? null : plans.deadline(plan.doneBy());
    check.lookAtPlan(ask, clocks.clocks(), now, deadline);
    if (plan.startOwn() || plan.ownClock()) {
      check.lookAtClocks(clocks.without(), clocks.house());
    }
  }

  private ReleaseCheck checked(Mailing mailing, Letter letter) {
    ReleaseCheck check = new ReleaseCheck();
    check.lookAtTexts(
        mailing.subject(), mailing.body(), letter.subjectErrors(), letter.bodyErrors());
    check.lookAtFiles(
        files.all(mailing.id()).stream().mapToLong(MailingFiles.MailingFile::size).sum(),
        MailingFiles.MOST_OCTETS);
    Account sender = accounts.find(mailing.senderId());
    if (!sender.role().mayWrite()) {
      check.senderMayNot(sender.name() + " may not send; an administrator can change that.");
    }
    return check;
  }

  private static Set<Mark> marks(Letter letter, long person, Set<Long> lately, Set<Long> waiting) {
    Set<Mark> marks = EnumSet.noneOf(Mark.class);
    if (letter.hasOldWords(person)) {
      marks.add(Mark.OWN_WORDING_OLD);
    }
    if (waiting.contains(person)) {
      marks.add(Mark.IN_ANOTHER_MAILING);
    } else if (lately.contains(person)) {
      marks.add(Mark.WRITTEN_LATELY);
    }
    return marks;
  }

  private static ReleaseCheck.Message message(
      Letter letter, Reader reader, Instant now, Set<Mark> marks) {
    PersonRecord person = reader.person();
    Composed composed =
        MessageComposer.compose(
            letter.shared(person.id(), letter.voices(person.ownerName(), person.ownerEmail())),
            new MessageComposer.Own(
                new Mailbox(person.name(), person.email()),
                reader.values(),
                Locale.forLanguageTag(person.language()),
                now,
                "",
                ThreadPlace.NEW));
    return new ReleaseCheck.Message(
        person.id(),
        person.firstName(),
        person.email().strip(),
        composed.message().subject(),
        composed.missing(),
        composed.leadsNowhere(),
        marks);
  }

  /** Looks again at people who were found ready, when their messages are written. */
  final class Again {
    private final Letter letter;
    private final FieldCatalogue fields = workspace.fields();
    private final Set<Long> gone;
    private final Map<Long, List<About>> records;

    private Again(Mailing mailing, Letter letter) {
      this.letter = letter;
      this.gone = people.whoLeft(mailing.topicId());
      this.records = about.of(mailing);
    }

    /** Each person with the record beside it, in the same order; null for one that is gone. */
    List<Reader> readers(List<Long> personIds, List<Long> recordIds) {
      Map<Long, PersonRecord> found = new HashMap<>();
      people.records(personIds).forEach(p -> found.put(p.id(), p));
      List<Reader> readers = new ArrayList<>(personIds.size());
      for (int i = 0; i < personIds.size(); i++) {
        PersonRecord person = found.get(personIds.get(i));
        readers.add(person == null ? null : reader(person, recordIds.get(i)));
      }
      return readers;
    }

    private Reader reader(PersonRecord person, long recordId) {
      About which =
          records.getOrDefault(person.id(), List.of()).stream()
              .filter(a -> a.id() == recordId)
              .findFirst()
              .orElse(About.NOTHING);
      Values values = letter.values(personValues.of(person, fields));
      Reach reach = reach(person, gone, Set.of(), Set.of());
      return new Reader(person, which, which.over(values), reach);
    }
  }

  Again again(Mailing mailing, Letter letter) {
    return new Again(mailing, letter);
  }

  /** Reads everyone of the audience, in order of name, each with the one reach that holds. */
  void each(Mailing mailing, Letter letter, Consumer<Reader> taker) {
    FieldCatalogue fields = workspace.fields();
    AsOf asOf = asOf(mailing);
    Set<Long> gone = people.whoLeft(mailing.topicId());
    Set<Long> leftOut = new HashSet<>(List.of(mailing.leftOut()));
    FilterBody leave = parts.any(mailing.leaveParts());
    if (leave != null) {
      leftOut.addAll(people.ids(leave, asOf));
    }
    Set<String> addresses = new HashSet<>();
    Map<Long, List<About>> records = about.of(mailing);
    people.eachRecord(
        filter(mailing),
        mailing.picks(),
        asOf,
        person -> {
          Reach reach = reach(person, gone, leftOut, addresses);
          if (reach == Reach.READY) {
            addresses.add(EmailAddress.key(person.email()));
          }
          Values values = letter.values(personValues.of(person, fields));
          for (About each : records.getOrDefault(person.id(), List.of(About.NOTHING))) {
            taker.accept(new Reader(person, each, each.over(values), reach));
          }
        });
  }

  /**
   * One message to somebody, whether in the audience or not, about one record of theirs or the
   * newest; null when there is no such person.
   */
  Reader one(Mailing mailing, Letter letter, long personId, long recordId) {
    PersonRecord person = people.record(personId);
    if (person == null) {
      return null;
    }
    Values values = letter.values(personValues.of(person, workspace.fields()));
    List<About> theirs = about.of(mailing).getOrDefault(personId, List.of(About.NOTHING));
    About which = theirs.stream().filter(a -> a.id() == recordId).findFirst().orElse(theirs.get(0));
    return new Reader(person, which, which.over(values), Reach.READY);
  }

  /** The records of these people, in order of name. */
  List<PersonRecord> records(List<Long> ids) {
    return people.records(ids);
  }

  /** The people of one finding in the last look. */
  List<Long> peopleOf(Mailing mailing, Finding.Code code, String about) {
    return lastLook(mailing).findings().stream()
        .filter(f -> f.code() == code && (about == null || f.about().equals(about)))
        .flatMap(f -> f.people().stream())
        .distinct()
        .toList();
  }

  private FilterBody filter(Mailing mailing) {
    return parts.any(mailing.audienceParts());
  }

  private AsOf asOf(Mailing mailing) {
    return asked.by(accounts.find(mailing.senderId()));
  }

  private static Reach reach(
      PersonRecord p, Set<Long> gone, Set<Long> leftOut, Set<String> addresses) {
    return Reach.byEmail(
        new Reach.Facts(
            p.email(),
            p.askedNot(),
            gone.contains(p.id()),
            p.doNotWrite(),
            p.email() != null && addresses.contains(EmailAddress.key(p.email())),
            leftOut.contains(p.id())));
  }
}
