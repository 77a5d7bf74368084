package app.jemble.print;

import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.audience.AudienceParts;
import app.jemble.core.paper.LabelDesign;
import app.jemble.core.record.ErasedPerson;
import app.jemble.core.record.PersonId;
import app.jemble.print.sheet.DesignBody;
import app.jemble.problem.Problem;
import app.jemble.storage.ForgetsPeople;
import app.jemble.storage.Forgotten;
import app.jemble.storage.HangsOnPerson;
import app.jemble.storage.RenamedWord;
import app.jemble.storage.Sql;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.ObjectMapper;

/** Print runs: begun for some people, laid out, printed, posted. All colleagues see them. */
@Service
public class PrintRunService implements RenamedWord.Follower, HangsOnPerson.Room, ForgetsPeople {

  static final int LONGEST_NAME = 200;
  private static final int LONGEST_WORDS = 2_000;

  private final PrintMapper mapper;
  private final ItemMapper items;
  private final PrintFiles files;
  private final RunLayouts layouts;
  private final AccountService accounts;
  private final AudienceParts parts;
  private final ObjectMapper json;
  private final Clock clock;

  PrintRunService(
      PrintMapper mapper,
      ItemMapper items,
      PrintFiles files,
      RunLayouts layouts,
      AccountService accounts,
      AudienceParts parts,
      ObjectMapper json,
      Clock clock) {
    this.mapper = mapper;
    this.items = items;
    this.files = files;
    this.layouts = layouts;
    this.accounts = accounts;
    this.parts = parts;
    this.json = json;
    this.clock = clock;
  }

  PrintRun find(long id) {
    return known(mapper.find(id));
  }

  private PrintRun lock(long id) {
    return known(mapper.lock(id));
  }

  private static PrintRun known(PrintRun run) {
    if (run == null || run.isOfLetters()) {
      throw Problem.notFound("There is no such print run.");
    }
    return run;
  }

  private PrintRun lockDraft(long id) {
    PrintRun run = lock(id);
    if (run.state() != RunState.DRAFT) {
      throw Problem.conflict("Only a print run that is not printed yet can be changed.");
    }
    return run;
  }

  /** Saves what was changed of a draft; a problem when it is not of the version they saw. */
  @Transactional
  public void write(long id, PrintRunBody body) {
    lockDraft(id);
    if (body.name().isBlank() || body.name().length() > LONGEST_NAME) {
      throw Problem.wrong("name", "Give it a name of at most 200 characters.");
    }
    LabelDesign design = body.design().sound();
    RunLayouts.labels(design, body.start(), body.copies(), body.offsetAcross(), body.offsetDown());
    int written =
        mapper.write(
            id,
            body,
            parts.write(body.parts()),
            body.picks().toArray(PersonId[]::new),
            body.leftOut().toArray(PersonId[]::new),
            json.writeValueAsString(DesignBody.of(design)));
    if (written == 0) {
      throw Problem.conflict(
          "This print run was changed elsewhere in the meantime. Reload it to go on from there.");
    }
  }

  /**
   * One person's label says something of its own in this run.
   *
   * @param words null for what all others say
   */
  @Transactional
  public void own(long id, PersonId personId, String words) {
    lockDraft(id);
    if (words == null) {
      mapper.dropOwn(id, personId);
    } else if (words.length() > LONGEST_WORDS) {
      throw Problem.wrong("words", "A label has at most 2,000 characters of text.");
    } else {
      mapper.writeOwn(id, personId, words);
    }
    mapper.touch(id);
  }

  @Transactional
  public void discard(long id) {
    if (mapper.move(lock(id).id(), RunState.DRAFT, RunState.DISCARDED) == 0) {
      throw Problem.conflict("Only a print run that is not printed yet can be discarded.");
    }
  }

  @Transactional
  public void restore(long id) {
    if (mapper.move(lock(id).id(), RunState.DISCARDED, RunState.DRAFT) == 0) {
      throw Problem.conflict("Only a discarded print run can be taken back.");
    }
  }

  /** Notes what is to be printed; a problem when there is nothing. */
  @Transactional
  public void print(long id) {
    PrintRun run = lockDraft(id);
    RunPeople.Found found = layouts.people(run);
    if (!found.errors().isEmpty()) {
      throw Problem.wrong("lines", found.errors().get(0));
    }
    if (found.items().isEmpty()) {
      throw Problem.conflict("There is nobody to print for.");
    }
    items.begin(id, found.items().size(), clock.instant());
    items.note(
        id,
        found.items().stream().map(RunItem::personId).toArray(PersonId[]::new),
        found.items().stream().map(RunItem::words).toList(),
        found.items().stream().map(item -> item.address().stored()).toList());
  }

  /** What was being printed is a draft again. */
  @Transactional
  public void cancel(long id) {
    lock(id);
    if (!files.giveUp(id, "")) {
      throw Problem.conflict("It is not being printed.");
    }
  }

  /**
   * Notes that a run was posted.
   *
   * @param day null when it was not
   */
  @Transactional
  public void post(long id, LocalDate day) {
    Account me = accounts.currentWriter();
    find(id);
    if (mapper.post(id, day, day == null ? null : me.id()) == 0) {
      throw Problem.conflict("Print it first.");
    }
  }

  /**
   * Notes that somebody's came back.
   *
   * @param day null when it did not
   */
  @Transactional
  public void returned(long id, PersonId personId, LocalDate day) {
    if (find(id).postedOn() == null) {
      throw Problem.conflict("It has not been posted.");
    }
    if (items.returned(id, personId, day) == 0) {
      throw Problem.notFound("There is nothing for this person in it.");
    }
  }

  @Override
  public void follow(RenamedWord word) {
    for (PrintMapper.StoredParts stored : mapper.about(word.field())) {
      String renamed = word.in(stored.parts(), json);
      if (!renamed.equals(stored.parts())) {
        mapper.writeParts(new PrintMapper.StoredParts(stored.id(), renamed));
      }
    }
  }

  @Override
  public List<HangsOnPerson> ofPeople() {
    return List.of(
        HangsOnPerson.list("PRINT_PICK", Sql.of("print_run"), Sql.of("t.id"), Sql.of("picks")),
        HangsOnPerson.list(
            "PRINT_LEFT_OUT", Sql.of("print_run"), Sql.of("t.id"), Sql.of("left_out")),
        HangsOnPerson.rows(
            "PRINT_OWN", Sql.of("print_own"), Sql.of("t.id"), Sql.of("k.run_id = t.run_id")),
        HangsOnPerson.rows("PRINT_ITEM", Sql.of("print_item"), Sql.of("t.id"), null));
  }

  @Override
  public Sql openTo(String name, long colleague) {
    return name.equals("PRINT_ITEM")
        ? Sql.of(
            "(t.message_id is null or %s)",
            HangsOnPerson.ofOpenCause(
                Sql.of("(select m.cause_id from offered.message m where m.id = t.message_id)"),
                colleague))
        : Sql.of("true");
  }

  /** Files in which they stand go whole: nothing can be cut out of a page. */
  @Override
  public List<Sql> forget(Forgotten who) {
    return List.of(
        Sql.of(
            "delete from print_file where run_id in (select run_id from print_item where %s)",
            who.isTheirs(Sql.of("person_id"))),
        Sql.of(
            """
            update print_item set words = %s, address = '', subject = '', filled = null
            where %s""",
            Sql.param(ErasedPerson.NAME), who.isTheirs(Sql.of("person_id"))),
        Sql.of("delete from print_own where %s", who.isTheirs(Sql.of("person_id"))),
        Sql.of(
            """
            update print_run set picks = %s, left_out = %s
            where %s or %s""",
            who.withoutThem(Sql.of("picks")),
            who.withoutThem(Sql.of("left_out")),
            who.areIn(Sql.of("picks")),
            who.areIn(Sql.of("left_out"))),
        Sql.of(
            "update print_run set parts = %s::jsonb where %s",
            who.without(Sql.of("parts::text")), who.isNamedIn(Sql.of("parts::text"))));
  }

  @Override
  public List<Busy> busy(Forgotten who) {
    return List.of(
        new Busy(
            Sql.of(
                """
                select exists (
                        select from print_run r join print_item i on i.run_id = r.id
                        where r.state = 'PRINTING' and %s)""",
                who.isTheirs(Sql.of("i.person_id"))),
            "Something with them in it is being printed right now; try again in a minute."));
  }
}
