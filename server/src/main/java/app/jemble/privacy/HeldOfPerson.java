package app.jemble.privacy;

import app.jemble.account.AccountService;
import app.jemble.core.record.PersonId;
import app.jemble.privacy.HeldMapper.CameRow;
import app.jemble.privacy.HeldMapper.SentRow;
import app.jemble.problem.Problem;
import app.jemble.storage.HangsOnPerson;
import app.jemble.storage.Sql;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.stereotype.Service;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;

/**
 * Gathers all that is held of a person: their record, whatever the rooms say hangs on it, its
 * history, and the messages that went and came. What is private to another colleague is not among
 * it, since for whoever asks it does not exist.
 */
@Service
class HeldOfPerson {

  /**
   * What is held.
   *
   * @param record its parts by name, rows as JSON; {@code person} has one
   */
  record Held(
      PersonId id,
      String name,
      Map<String, List<JsonNode>> record,
      List<SentRow> sent,
      List<CameRow> came) {}

  /** What opens something to whoever has it, and what is made of other columns. */
  private static final Sql NOT_TOLD =
      Sql.of(
          "array['token', 'secret', 'key', 'octets', 'email_key', 'phone_key', 'name_key',"
              + " 'tags_key', 'address_key', 'copies_id', 'copy_place']");

  private final HeldMapper mapper;
  private final List<HangsOnPerson.Room> rooms;
  private final AccountService accounts;
  private final ObjectMapper json;

  HeldOfPerson(
      HeldMapper mapper,
      List<HangsOnPerson.Room> rooms,
      AccountService accounts,
      ObjectMapper json) {
    this.mapper = mapper;
    this.rooms = rooms;
    this.accounts = accounts;
    this.json = json;
  }

  Held find(PersonId person) {
    long me = accounts.current().id();
    List<JsonNode> record =
        rows(
            Sql.of(
                """
                (select p.*, o.name as organisation_name
                 from offered.person p
                 left join offered.organisation o on o.id = p.organisation_id) t
                where t.id = %s and t.erased_at is null""",
                Sql.param(person)));
    if (record.isEmpty()) {
      throw Problem.notFound("This person is not on record any more.");
    }
    Map<String, List<JsonNode>> parts = new LinkedHashMap<>();
    parts.put("person", record);
    for (HangsOnPerson.Room room : rooms) {
      for (HangsOnPerson rows : room.ofPeople()) {
        if (!rows.isList() && room.isToldToThem(rows.name())) {
          parts.put(name(rows), hanging(room, rows, person, me));
        }
      }
    }
    parts.put("change", of(Sql.of("offered.change"), person));
    parts.put("import_row", of(Sql.of("offered.import_row"), person));
    parts.values().removeIf(List::isEmpty);
    return new Held(
        person,
        record.get(0).path("name").asString(),
        parts,
        mapper.sent(person, me),
        mapper.came(person, me));
  }

  private static String name(HangsOnPerson rows) {
    return rows.name().toLowerCase(Locale.ROOT);
  }

  private List<JsonNode> hanging(
      HangsOnPerson.Room room, HangsOnPerson rows, PersonId person, long me) {
    return rows(
        Sql.of(
            "%s t where t.person_id = %s and %s",
            rows.table(), Sql.param(person), room.openTo(rows.name(), me)));
  }

  private List<JsonNode> of(Sql view, PersonId person) {
    return rows(Sql.of("%s t where t.person_id = %s", view, Sql.param(person)));
  }

  private List<JsonNode> rows(Sql from) {
    List<JsonNode> rows = new ArrayList<>();
    mapper
        .rows(Sql.of("select (to_jsonb(t) - %s)::text from %s order by 1", NOT_TOLD, from))
        .forEach(row -> rows.add(json.readTree(row)));
    return rows;
  }
}
