package app.jemble.mailing;

import app.jemble.account.AccountService;
import app.jemble.core.check.Finding;
import app.jemble.core.check.ReleaseCheck;
import app.jemble.core.filter.AsOf;
import app.jemble.core.merge.Renderer;
import app.jemble.core.pace.WallClock;
import app.jemble.core.reach.Reach;
import app.jemble.core.record.EmailAddress;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.Values;
import app.jemble.filter.AskedNow;
import app.jemble.filter.FilterBody;
import app.jemble.people.PeopleService;
import app.jemble.people.PersonRecord;
import app.jemble.people.PersonValues;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import tools.jackson.databind.ObjectMapper;

/** Whom a mailing is for: each person's reach, what their message lacks, and all findings. */
@Service
class AudienceService {

  /**
   * One person of the audience.
   *
   * @param odd whether a notice is about this person
   */
  record Entry(PersonRecord person, Values values, Reach reach, boolean odd) {
    boolean isReady() {
      return reach == Reach.READY;
    }
  }

  /**
   * @param entries those who want a look first, then those who are ready, then those who cannot be
   *     written to, each in order of name
   */
  record Audience(List<Entry> entries, List<Finding> findings) {

    /** What was found about each person; people without a finding are left out. */
    Map<Long, List<Finding>> findingsByPerson() {
      Map<Long, List<Finding>> byPerson = new HashMap<>();
      for (Finding finding : findings) {
        for (long person : finding.people()) {
          byPerson.computeIfAbsent(person, p -> new ArrayList<>()).add(finding);
        }
      }
      return byPerson;
    }
  }

  private final PeopleService people;
  private final PersonValues personValues;
  private final WorkspaceService workspace;
  private final AccountService accounts;
  private final AskedNow asked;
  private final LetterService letters;
  private final ObjectMapper json;
  private final Clock clock;

  AudienceService(
      PeopleService people,
      PersonValues personValues,
      WorkspaceService workspace,
      AccountService accounts,
      AskedNow asked,
      LetterService letters,
      ObjectMapper json,
      Clock clock) {
    this.people = people;
    this.personValues = personValues;
    this.workspace = workspace;
    this.accounts = accounts;
    this.asked = asked;
    this.letters = letters;
    this.json = json;
    this.clock = clock;
  }

  FilterBody filter(Mailing mailing) {
    String stored = mailing.audienceFilter();
    return stored == null ? null : json.readValue(stored, FilterBody.class);
  }

  /** Looks at everyone: reach first, then the text of each who is ready. */
  Audience look(Mailing mailing) {
    Letter letter = letters.of(mailing);
    ReleaseCheck check = new ReleaseCheck();
    check.lookAtTexts(
        mailing.subject(), mailing.body(), letter.subjectErrors(), letter.bodyErrors());
    check.lookAtStart(start(mailing), clock.instant());
    List<Entry> entries = reached(mailing, letter);
    ZoneId zone = workspace.current().zoneId();
    for (Entry entry : entries) {
      if (entry.isReady()) {
        lookAt(entry, letter, zone, check);
      }
    }
    List<Finding> findings = check.findings();
    Set<Long> odd = findings.stream().flatMap(f -> f.people().stream()).collect(Collectors.toSet());
    List<Entry> sorted =
        entries.stream()
            .map(e -> new Entry(e.person(), e.values(), e.reach(), odd.contains(e.person().id())))
            .sorted(Comparator.comparing(e -> e.isReady() ? e.odd() ? 0 : 1 : 2))
            .toList();
    return new Audience(sorted, findings);
  }

  /** One person's values with the sender's and the house's; null when there is no such person. */
  Entry one(Mailing mailing, long personId) {
    FieldCatalogue fields = workspace.fields();
    Letter letter = letters.of(mailing);
    PersonRecord person = people.record(personId);
    return person == null
        ? null
        : new Entry(person, letter.values(personValues.of(person, fields)), Reach.READY, false);
  }

  /** The instant a draft would start, or null for at once. */
  Instant start(Mailing mailing) {
    return mailing.startWall() == null
        ? null
        : WallClock.at(mailing.startWall(), workspace.current().zoneId());
  }

  private List<Entry> reached(Mailing mailing, Letter letter) {
    FieldCatalogue fields = workspace.fields();
    Set<Long> gone = people.whoLeft(mailing.topicId());
    Set<Long> leftOut = new HashSet<>(List.of(mailing.leftOut()));
    Set<String> addresses = new HashSet<>();
    AsOf asOf = asked.by(accounts.find(mailing.senderId()));
    List<Entry> entries = new ArrayList<>();
    for (PersonRecord person : people.records(filter(mailing), mailing.picks(), asOf)) {
      Reach reach = reach(person, gone, leftOut, addresses);
      if (reach == Reach.READY) {
        addresses.add(EmailAddress.key(person.email()));
      }
      Values values = letter.values(personValues.of(person, fields));
      entries.add(new Entry(person, values, reach, false));
    }
    return entries;
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

  private static void lookAt(Entry entry, Letter letter, ZoneId zone, ReleaseCheck check) {
    Locale language = Locale.forLanguageTag(entry.person().language());
    Renderer.Rendered subject = Renderer.render(letter.subject(), entry.values(), language, zone);
    Renderer.Rendered body = Renderer.render(letter.body(), entry.values(), language, zone);
    Set<String> missing = new TreeSet<>(subject.missing());
    missing.addAll(body.missing());
    check.add(entry.person().id(), entry.values(), missing, subject.text());
  }
}
