package app.jemble.signup;

import app.jemble.core.record.Field;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.PersonId;
import app.jemble.core.record.Values;
import app.jemble.people.PeopleService;
import app.jemble.people.PersonValues;
import app.jemble.problem.Problem;
import app.jemble.record.FieldJson;
import app.jemble.workspace.WorkspaceService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who signed up, and what of it waits for a colleague. */
@Service
public class SignUpDesk {

  private static final int MOST = 200;

  /**
   * Somebody who signed up and confirmed.
   *
   * @param consent the words they agreed to, of which version
   * @param differs what they said otherwise than it stands on record, where that waits for a look
   */
  public record SignedUp(
      long id,
      String page,
      PersonId personId,
      @Schema(nullable = true) String name,
      String address,
      Instant askedAt,
      String askedFrom,
      Instant confirmedAt,
      String confirmedFrom,
      boolean wasKnown,
      String consent,
      int consentVersion,
      List<SaidOtherwise> differs) {}

  /** One thing said otherwise than it stands on record. */
  public record SaidOtherwise(String field, String label, String said, String kept) {}

  private final SignUpMapper mapper;
  private final SignUpPages pages;
  private final SignUpRecords records;
  private final PeopleService people;
  private final PersonValues values;
  private final WorkspaceService workspace;
  private final FieldJson json;
  private final Clock clock;

  SignUpDesk(
      SignUpMapper mapper,
      SignUpPages pages,
      SignUpRecords records,
      PeopleService people,
      PersonValues values,
      WorkspaceService workspace,
      FieldJson json,
      Clock clock) {
    this.mapper = mapper;
    this.pages = pages;
    this.records = records;
    this.people = people;
    this.values = values;
    this.workspace = workspace;
    this.json = json;
    this.clock = clock;
  }

  /** Of a page: those that wait for a look first, then the latest; 200 at most. */
  public List<SignedUp> ofPage(long page) {
    pages.find(page);
    return mapper.ofPage(page, MOST).stream().map(this::signedUp).toList();
  }

  public List<SignedUp> ofPerson(PersonId person) {
    return mapper.ofPerson(person).stream().map(this::signedUp).toList();
  }

  /**
   * Takes some of what was said otherwise, and lets the rest go.
   *
   * @param take names of fields; none keeps the record as it is
   * @return the act in the history, to take it back
   */
  @Transactional
  public long settle(long id, List<String> take) {
    SignUp signUp = mapper.lock(id);
    if (signUp == null || signUp.personId() == null) {
      throw Problem.notFound("There is no such sign-up any more.");
    }
    if (signUp.settledAt() != null || signUp.differs().equals("{}")) {
      throw Problem.conflict("A colleague has looked at this one already.");
    }
    long batch =
        records.take(
            pages.find(signUp.pageId()).body().name(),
            new PersonId(signUp.personId()),
            signUp.differs(),
            take);
    mapper.settled(id, clock.instant());
    return batch;
  }

  private SignedUp signedUp(SignUpMapper.Shown s) {
    return new SignedUp(
        s.id(),
        s.page(),
        s.personId(),
        s.name(),
        s.address(),
        s.askedAt(),
        s.askedFrom(),
        s.confirmedAt(),
        s.confirmedFrom(),
        s.wasKnown(),
        s.consent(),
        s.consentVersion(),
        s.awaitsLook() ? differences(s) : List.of());
  }

  private List<SaidOtherwise> differences(SignUpMapper.Shown s) {
    Values record = values.of(people.record(s.personId()), workspace.fields());
    return records.said(s.differs()).entrySet().stream()
        .map(
            said -> {
              Field field = workspace.fields().find(said.getKey()).orElseThrow();
              return new SaidOtherwise(
                  field.name(),
                  field.label(),
                  words(said.getValue()),
                  words(record.get(field.name())));
            })
        .toList();
  }

  private String words(FieldValue value) {
    return json.words(json.write(value));
  }
}
