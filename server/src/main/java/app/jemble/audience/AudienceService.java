package app.jemble.audience;

import app.jemble.account.AccountService;
import app.jemble.cause.Cause;
import app.jemble.core.filter.AsOf;
import app.jemble.core.message.PaperLetter;
import app.jemble.core.reach.Address;
import app.jemble.core.reach.Channel;
import app.jemble.core.reach.Reach;
import app.jemble.core.reach.Ways;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.PersonId;
import app.jemble.core.record.Values;
import app.jemble.filter.AskedNow;
import app.jemble.filter.FilterBody;
import app.jemble.people.PeopleService;
import app.jemble.people.PersonRecord;
import app.jemble.people.PersonValues;
import app.jemble.workspace.WorkspaceService;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Service;

/** Whom a mailing is for, each with their reach and what their message is made of. */
@Service
public class AudienceService {

  /** One message of an audience: its person, what it is about, and all it is made of. */
  public record Reader(PersonRecord person, About about, Values values, Ways.Found way) {

    public Reach reach() {
      return way.reach();
    }

    /** Where the message goes. */
    public Address address() {
      return Address.of(way.channel(), person.address(way.channel()));
    }

    /**
     * What is their own of a letter on paper; empty when nothing is posted to them.
     *
     * @param day of the letter
     */
    public Optional<PaperLetter.Own> onPaper(LocalDate day) {
      return address() instanceof Address.Postal post && post.stored() != null
          ? Optional.of(
              new PaperLetter.Own(
                  post, person.name(), values, Locale.forLanguageTag(person.language()), day, ""))
          : Optional.empty();
    }
  }

  private final PeopleService people;
  private final PersonValues personValues;
  private final WorkspaceService workspace;
  private final AccountService accounts;
  private final Audiences audiences;
  private final AudienceParts parts;
  private final AboutRecords about;
  private final WaysOpening opening;
  private final AskedNow asked;

  AudienceService(
      PeopleService people,
      PersonValues personValues,
      WorkspaceService workspace,
      AccountService accounts,
      Audiences audiences,
      AudienceParts parts,
      AboutRecords about,
      WaysOpening opening,
      AskedNow asked) {
    this.people = people;
    this.personValues = personValues;
    this.workspace = workspace;
    this.accounts = accounts;
    this.audiences = audiences;
    this.parts = parts;
    this.about = about;
    this.opening = opening;
    this.asked = asked;
  }

  /** Looks again at people who were found ready, when their messages are written. */
  public final class Again {
    private final UnaryOperator<Values> house;
    private final FieldCatalogue fields = workspace.fields();
    private final WaysOpen open;
    private final Map<PersonId, List<About>> records;

    private Again(Cause mailing, UnaryOperator<Values> house) {
      this.house = house;
      this.open = opening.of(mailing, Set.of());
      this.records = about.of(audiences.of(mailing));
    }

    /** Each person with the record beside it, in the same order; null for one that is gone. */
    public List<Reader> readers(List<PersonId> personIds, List<Long> recordIds) {
      Map<PersonId, PersonRecord> found = new HashMap<>();
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
      return new Reader(person, which, which.over(values), open.to(person));
    }
  }

  public Again again(Cause mailing, UnaryOperator<Values> house) {
    return new Again(mailing, house);
  }

  /** Reads everyone of the audience, in order of name, each with the one reach that holds. */
  public void each(Cause mailing, UnaryOperator<Values> house, Consumer<Reader> taker) {
    FieldCatalogue fields = workspace.fields();
    AsOf asOf = asOf(mailing);
    Audience whom = audiences.of(mailing);
    Set<PersonId> leftOut = new HashSet<>(List.of(whom.leftOut()));
    FilterBody leave = parts.any(whom.leftOutParts());
    if (leave != null) {
      leftOut.addAll(people.ids(leave, asOf));
    }
    WaysOpen open = opening.of(mailing, leftOut);
    Map<PersonId, List<About>> records = about.of(whom);
    people.eachRecord(
        parts.any(whom.parts()),
        whom.pickedPeople(),
        asOf,
        person -> {
          Ways.Found way = open.toNext(person);
          Values values = house.apply(personValues.of(person, fields));
          for (About each : records.getOrDefault(person.id(), List.of(About.NOTHING))) {
            taker.accept(new Reader(person, each, each.over(values), way));
          }
        });
  }

  /**
   * One message to somebody, whether in the audience or not, about one record of theirs or the
   * newest; null when there is no such person. Of several ways the one that reaches them.
   */
  public Reader one(Cause mailing, UnaryOperator<Values> house, PersonId personId, long recordId) {
    Reader reader = one(audiences.of(mailing), house, personId, recordId);
    if (reader == null) {
      return null;
    }
    PersonRecord person = reader.person();
    About which = about.coming(mailing, person, reader.values()).orElse(reader.about());
    return new Reader(person, which, which.over(reader.values()), way(mailing, person));
  }

  private Ways.Found way(Cause mailing, PersonRecord person) {
    return mailing.ways().inOrder().size() == 1
        ? new Ways.Found(mailing.ways().inOrder().get(0), Reach.READY, List.of())
        : opening.of(mailing, Set.of()).to(person);
  }

  /** The same by mail, were it for this audience. */
  public Reader one(Audience whom, UnaryOperator<Values> house, PersonId personId, long recordId) {
    PersonRecord person = people.record(personId);
    if (person == null) {
      return null;
    }
    Values values = house.apply(personValues.of(person, workspace.fields()));
    List<About> theirs = about.of(whom).getOrDefault(personId, List.of(About.NOTHING));
    About which = theirs.stream().filter(a -> a.id() == recordId).findFirst().orElse(theirs.get(0));
    return new Reader(
        person, which, which.over(values), new Ways.Found(Channel.EMAIL, Reach.READY, List.of()));
  }

  /** Who is left out by hand. */
  public List<PersonId> leftOut(Cause mailing) {
    return List.of(audiences.of(mailing).leftOut());
  }

  /** The records of these people, in order of name. */
  public List<PersonRecord> records(List<PersonId> ids) {
    return people.records(ids);
  }

  /** The time zones of these people, as they are written. */
  public Map<PersonId, String> timeZones(List<PersonId> ids) {
    return people.timeZones(ids);
  }

  /** How many {@link #each} reads. */
  public long size(Cause mailing) {
    Audience whom = audiences.of(mailing);
    return people.count(parts.any(whom.parts()), whom.pickedPeople(), asOf(mailing));
  }

  /** Another for each who sees their own people only, and when these are others; else empty. */
  public String whomOneSees() {
    return people.whomOneSees();
  }

  private AsOf asOf(Cause mailing) {
    return asked.by(accounts.find(mailing.senderId()));
  }
}
