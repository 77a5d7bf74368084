package app.jemble.audience;

import app.jemble.account.AccountService;
import app.jemble.core.filter.AsOf;
import app.jemble.core.reach.Reach;
import app.jemble.core.record.EmailAddress;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.Values;
import app.jemble.filter.AskedNow;
import app.jemble.filter.FilterBody;
import app.jemble.mailing.Mailing;
import app.jemble.people.PeopleService;
import app.jemble.people.PersonRecord;
import app.jemble.people.PersonValues;
import app.jemble.workspace.WorkspaceService;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Service;

/** Whom a mailing is for, each with their reach and what their message is made of. */
@Service
public class AudienceService {

  /** One message of an audience: its person, what it is about, and all it is made of. */
  public record Reader(PersonRecord person, About about, Values values, Reach reach) {}

  private final PeopleService people;
  private final PersonValues personValues;
  private final WorkspaceService workspace;
  private final AccountService accounts;
  private final AudienceParts parts;
  private final AboutRecords about;
  private final AskedNow asked;

  AudienceService(
      PeopleService people,
      PersonValues personValues,
      WorkspaceService workspace,
      AccountService accounts,
      AudienceParts parts,
      AboutRecords about,
      AskedNow asked) {
    this.people = people;
    this.personValues = personValues;
    this.workspace = workspace;
    this.accounts = accounts;
    this.parts = parts;
    this.about = about;
    this.asked = asked;
  }

  /** Looks again at people who were found ready, when their messages are written. */
  public final class Again {
    private final UnaryOperator<Values> house;
    private final FieldCatalogue fields = workspace.fields();
    private final Set<Long> gone;
    private final Map<Long, List<About>> records;

    private Again(Mailing mailing, UnaryOperator<Values> house) {
      this.house = house;
      this.gone = people.whoLeft(mailing.topicId());
      this.records = about.of(mailing);
    }

    /** Each person with the record beside it, in the same order; null for one that is gone. */
    public List<Reader> readers(List<Long> personIds, List<Long> recordIds) {
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
      Values values = house.apply(personValues.of(person, fields));
      Reach reach = reach(person, gone, Set.of(), Set.of());
      return new Reader(person, which, which.over(values), reach);
    }
  }

  public Again again(Mailing mailing, UnaryOperator<Values> house) {
    return new Again(mailing, house);
  }

  /** Reads everyone of the audience, in order of name, each with the one reach that holds. */
  public void each(Mailing mailing, UnaryOperator<Values> house, Consumer<Reader> taker) {
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
          Values values = house.apply(personValues.of(person, fields));
          for (About each : records.getOrDefault(person.id(), List.of(About.NOTHING))) {
            taker.accept(new Reader(person, each, each.over(values), reach));
          }
        });
  }

  /**
   * One message to somebody, whether in the audience or not, about one record of theirs or the
   * newest; null when there is no such person.
   */
  public Reader one(Mailing mailing, UnaryOperator<Values> house, long personId, long recordId) {
    PersonRecord person = people.record(personId);
    if (person == null) {
      return null;
    }
    Values values = house.apply(personValues.of(person, workspace.fields()));
    List<About> theirs = about.of(mailing).getOrDefault(personId, List.of(About.NOTHING));
    About which = theirs.stream().filter(a -> a.id() == recordId).findFirst().orElse(theirs.get(0));
    return new Reader(person, which, which.over(values), Reach.READY);
  }

  /** The records of these people, in order of name. */
  public List<PersonRecord> records(List<Long> ids) {
    return people.records(ids);
  }

  /** The time zones of these people, as they are written. */
  public Map<Long, String> timeZones(List<Long> ids) {
    return people.timeZones(ids);
  }

  /** How many {@link #each} reads. */
  public long size(Mailing mailing) {
    return people.count(filter(mailing), mailing.picks(), asOf(mailing));
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
