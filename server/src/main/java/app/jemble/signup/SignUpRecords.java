package app.jemble.signup;

import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldException;
import app.jemble.core.record.FieldReader;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.PersonId;
import app.jemble.core.record.Values;
import app.jemble.core.signup.SaidAndKept;
import app.jemble.people.PeopleService;
import app.jemble.people.PersonValues;
import app.jemble.problem.Problem;
import app.jemble.record.ChangeService;
import app.jemble.record.FieldJson;
import app.jemble.series.entry.Entering;
import app.jemble.workspace.WorkspaceService;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;

/** Puts on record what somebody said who has confirmed it. */
@Component
class SignUpRecords {

  private static final Logger LOG = LoggerFactory.getLogger(SignUpRecords.class);

  /** Who it is on record, and what they said otherwise than it stands there. */
  record Kept(PersonId person, Map<String, FieldValue> differs) {}

  private final PeopleService people;
  private final SignUpConsents asked;
  private final PersonValues values;
  private final ChangeService changes;
  private final Entering entering;
  private final AccountService accounts;
  private final WorkspaceService workspace;
  private final FieldJson json;
  private final ObjectMapper mapper;

  SignUpRecords(
      PeopleService people,
      SignUpConsents asked,
      PersonValues values,
      ChangeService changes,
      Entering entering,
      AccountService accounts,
      WorkspaceService workspace,
      FieldJson json,
      ObjectMapper mapper) {
    this.people = people;
    this.asked = asked;
    this.values = values;
    this.changes = changes;
    this.entering = entering;
    this.accounts = accounts;
    this.workspace = workspace;
    this.json = json;
    this.mapper = mapper;
  }

  /**
   * @param known who has the address on record, or null
   */
  Kept keep(SignUpPage page, SignUp signUp, PersonId known, Instant now) {
    SignUpPageBody body = page.body();
    long batch = changes.beginOutside("Signed up at “" + body.name() + "”");
    Map<String, FieldValue> said = said(signUp.said());
    Map<String, FieldValue> differs = Map.of();
    PersonId person = known;
    if (known == null) {
      person = add(batch, page, signUp, said);
    } else {
      SaidAndKept both = SaidAndKept.of(said, onRecord(known, said));
      both.fills().forEach((name, value) -> set(batch, name, value, known));
      differs = both.differs();
    }
    if (body.tag() != null) {
      changes.setTag(batch, body.tag(), true, List.of(person));
    }
    Set<Long> topics = asked.of(page, signUp);
    if (known == null) {
      asked.leaveOthers(person, topics, now);
    } else {
      comeBack(batch, person, topics);
    }
    asked.ways(page, signUp, person, known != null, now);
    if (body.series() != null) {
      entering.comeInThemselves(
          body.series(), List.of(person), "signed up at " + body.name(), null);
    }
    return new Kept(person, differs);
  }

  private PersonId add(long batch, SignUpPage page, SignUp signUp, Map<String, FieldValue> said) {
    SignUpPageBody body = page.body();
    Map<String, FieldValue> all = new LinkedHashMap<>(said);
    all.put("email", FieldValue.text(signUp.address()));
    all.put("kind", FieldValue.text(body.kind()));
    all.put("language", FieldValue.text(signUp.language()));
    all.put("source", FieldValue.text(body.source() == null ? body.name() : body.source()));
    if (body.owner() != null) {
      Account owner = accounts.find(body.owner());
      all.put("owner", FieldValue.text(owner.login()));
    }
    FieldCatalogue catalogue = workspace.fields();
    List<Field> fields = new ArrayList<>();
    all.keySet().forEach(name -> fields.add(catalogue.find(name).orElseThrow()));
    if (all.get("organisation.name") instanceof FieldValue.Text name) {
      changes.needOrganisations(batch, List.of(name.text()));
    }
    return changes.addEach(batch, fields, List.of(json.writeAll(all))).get(0);
  }

  private void set(long batch, String name, FieldValue value, PersonId person) {
    workspace
        .fields()
        .find(name)
        .ifPresent(field -> changes.setThemselves(batch, field, value, List.of(person)));
  }

  private Map<String, FieldValue> onRecord(PersonId person, Map<String, FieldValue> said) {
    Values record = values.of(people.record(person), workspace.fields());
    Map<String, FieldValue> kept = new LinkedHashMap<>();
    said.keySet().forEach(name -> kept.put(name, record.get(name)));
    return kept;
  }

  /** Whoever asked for no mail at all takes that back with it. */
  private void comeBack(long batch, PersonId person, Set<Long> topics) {
    asked.comeBack(person, topics);
    if (people.record(person).askedNot() && !topics.isEmpty()) {
      set(batch, "asked_not", new FieldValue.Flag(false), person);
    }
  }

  /** What was said, by field; a field that was taken away or changed since says nothing. */
  Map<String, FieldValue> said(String stored) {
    FieldCatalogue catalogue = workspace.fields();
    FieldReader reader = workspace.reader();
    Map<String, FieldValue> said = new LinkedHashMap<>();
    for (Map.Entry<String, JsonNode> entry : mapper.readTree(stored).properties()) {
      catalogue
          .find(entry.getKey())
          .ifPresent(
              field -> {
                try {
                  said.put(
                      field.name(), reader.read(field, json.words(entry.getValue().toString())));
                } catch (FieldException changed) {
                  LOG.info("What was said of {} is no value of it any more.", field.name());
                }
              });
    }
    return said;
  }

  /**
   * A colleague takes some of what was said otherwise, and lets the rest go.
   *
   * @param take names of fields
   * @return the act in the history, to take it back
   */
  long take(String page, PersonId person, String differs, List<String> take) {
    Map<String, FieldValue> said = said(differs);
    if (!said.keySet().containsAll(take)) {
      throw Problem.wrong("take", "That was not said, or the field is not there any more.");
    }
    FieldCatalogue fields = workspace.fields();
    long batch = changes.begin("Took what was said at “" + page + "”");
    for (String name : take) {
      changes.set(batch, fields.find(name).orElseThrow(), said.get(name), List.of(person));
    }
    return batch;
  }
}
