package app.jemble.people;

import app.jemble.account.AccountService;
import app.jemble.core.record.PersonId;
import app.jemble.problem.Problem;
import app.jemble.record.ChangeService;
import app.jemble.record.Undoing;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Posts that people hold: begun, and ended on a day. */
@Service
class OfficeService implements Undoing {

  private static final String FIELD = "office";
  private static final int LONGEST = 80;

  /**
   * An office to hold.
   *
   * @param body the committee or body it belongs to, or null
   * @param since the first day, or null when it is not known
   */
  @Schema(name = "OfficeDraft")
  record Draft(
      String name,
      @Schema(nullable = true) String body,
      @Schema(nullable = true) LocalDate since) {}

  private final OfficeMapper mapper;
  private final ChangeService changes;
  private final AccountService accounts;

  OfficeService(OfficeMapper mapper, ChangeService changes, AccountService accounts) {
    this.mapper = mapper;
    this.changes = changes;
    this.accounts = accounts;
  }

  /** Gives a person an office; answers the act, to take it back. */
  @Transactional
  long begin(PersonId person, Draft draft) {
    String name = words("name", draft.name());
    if (name == null) {
      throw Problem.wrong("name", "Say which office it is.");
    }
    if (!changes.lock(person)) {
      throw Problem.notFound("There is no such person any more.");
    }
    long batch = changes.begin("Gave the office of " + name);
    long id = mapper.begin(person, new Draft(name, words("body", draft.body()), draft.since()));
    changes.noteEach(batch, List.of(person), FIELD, List.of(id));
    return batch;
  }

  private static String words(String field, String text) {
    String words = text == null ? "" : text.strip();
    if (words.length() > LONGEST) {
      throw Problem.wrong(field, "At most " + LONGEST + " letters.");
    }
    return words.isEmpty() ? null : words;
  }

  /** Ends an office on a day; a null day lets it go on. */
  @Transactional
  void end(PersonId person, long id, LocalDate until) {
    accounts.currentWriter();
    LocalDate since = mapper.since(id);
    if (until != null && since != null && until.isBefore(since)) {
      throw Problem.wrong("until", "It cannot end before it began.");
    }
    if (mapper.end(person, id, until) == 0) {
      throw Problem.notFound("There is no such office any more.");
    }
  }

  /** Offices in use, to choose from. */
  List<String> names() {
    return mapper.names();
  }

  @Override
  public boolean takes(String field) {
    return field.equals(FIELD);
  }

  @Override
  public void undo(String field, List<Noted> noted) {
    mapper.remove(noted.stream().map(n -> Long.valueOf(n.after())).toArray(Long[]::new));
  }
}
