package app.jemble.print;

import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.audience.AudienceParts;
import app.jemble.cause.Cause;
import app.jemble.cause.OpenCauses;
import app.jemble.check.CheckService;
import app.jemble.check.Checked;
import app.jemble.core.paper.LabelDesign;
import app.jemble.core.paper.ShippedSheets;
import app.jemble.core.reach.Reach;
import app.jemble.core.record.PersonId;
import app.jemble.filter.AskedNow;
import app.jemble.filter.Selection;
import app.jemble.people.PeopleService;
import app.jemble.print.sheet.DesignBody;
import java.time.Clock;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.ObjectMapper;

/** Begins print runs. */
@Service
public class PrintBeginnings {

  private final PrintMapper mapper;
  private final AccountService accounts;
  private final AudienceParts parts;
  private final PeopleService people;
  private final AskedNow asked;
  private final OpenCauses mailings;
  private final CheckService checks;
  private final ObjectMapper json;
  private final Clock clock;

  PrintBeginnings(
      PrintMapper mapper,
      AccountService accounts,
      AudienceParts parts,
      PeopleService people,
      AskedNow asked,
      OpenCauses mailings,
      CheckService checks,
      ObjectMapper json,
      Clock clock) {
    this.mapper = mapper;
    this.accounts = accounts;
    this.parts = parts;
    this.people = people;
    this.asked = asked;
    this.mailings = mailings;
    this.checks = checks;
    this.json = json;
    this.clock = clock;
  }

  /**
   * Begins a run. Whoever matches a filter is looked for again until it is printed; a part of them
   * is taken as it is now.
   *
   * @param name under which the filter is kept, or null
   * @param design null for addresses on the first of the sheets that ship
   */
  @Transactional
  public long create(Selection who, String name, DesignBody design) {
    Account me = accounts.currentWriter();
    boolean matching =
        who.picks() == null && who.reach() == null && !Boolean.TRUE.equals(who.archived());
    List<PersonId> picks = matching ? List.of() : people.ids(who, asked.byMe());
    List<AudienceParts.Part> ofFilter =
        matching ? List.of(new AudienceParts.Part(name, who.filter())) : List.of();
    return mapper.create(
        new PrintMapper.NewRun(
            "Labels",
            me.id(),
            clock.instant(),
            parts.write(ofFilter),
            picks.toArray(PersonId[]::new),
            matching ? leftOut(who) : new PersonId[0],
            json.writeValueAsString(design == null ? usual() : DesignBody.of(design.sound()))));
  }

  private static DesignBody usual() {
    return DesignBody.of(LabelDesign.usual(ShippedSheets.ALL.get(0)));
  }

  /** Begins a run for those whom a mailing does not reach, for one reason, as it is now. */
  @Transactional
  public long createFor(long mailingId, Reach reason) {
    Account me = accounts.currentWriter();
    Cause mailing = mailings.find(mailingId);
    PersonId[] people =
        checks.lastCheck(mailing).entries().stream()
            .filter(entry -> entry.reach() == reason)
            .map(Checked.Entry::personId)
            .distinct()
            .toArray(PersonId[]::new);
    String name = mailing.name() + ", on paper";
    return mapper.create(
        new PrintMapper.NewRun(
            name.substring(0, Math.min(name.length(), PrintRunService.LONGEST_NAME)),
            me.id(),
            clock.instant(),
            parts.write(List.of()),
            people,
            new PersonId[0],
            json.writeValueAsString(usual())));
  }

  private static PersonId[] leftOut(Selection who) {
    return who.leftOut() == null
        ? new PersonId[0]
        : who.leftOut().stream().map(PersonId::new).toArray(PersonId[]::new);
  }
}
