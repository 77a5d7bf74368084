package app.jemble.setup;

import app.jemble.core.record.Field;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.PersonId;
import app.jemble.privacy.ErasureService;
import app.jemble.problem.Problem;
import app.jemble.record.ChangeService;
import app.jemble.workspace.WorkspaceService;
import java.io.IOException;
import java.io.InputStream;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;

/**
 * Ten people to try things with before those are brought in whom one writes to. Their addresses are
 * of a domain that nobody can have (RFC 2606); by these they are known again and thrown away.
 */
@Service
class MadeUpPeople {

  private final SetUpMapper mapper;
  private final ChangeService changes;
  private final ErasureService erasures;
  private final WorkspaceService workspace;
  private final JsonNode people;

  MadeUpPeople(
      SetUpMapper mapper,
      ChangeService changes,
      ErasureService erasures,
      WorkspaceService workspace,
      ObjectMapper json)
      throws IOException {
    this.mapper = mapper;
    this.changes = changes;
    this.erasures = erasures;
    this.workspace = workspace;
    try (InputStream file = new ClassPathResource("made-up-people.json").getInputStream()) {
      this.people = json.readTree(file);
    }
  }

  /** Adds them; not while one of them is there. */
  @Transactional
  void add() {
    mapper.lock();
    if (!there().isEmpty()) {
      throw Problem.conflict("They are there already.");
    }
    long batch = changes.begin("Added ten made-up people to try things with");
    changes.addEach(batch, fields(), people.valueStream().map(JsonNode::toString).toList());
  }

  private List<Field> fields() {
    Set<String> names = new LinkedHashSet<>();
    people.forEach(person -> names.addAll(person.propertyNames()));
    FieldCatalogue catalogue = workspace.fields();
    return names.stream().map(name -> catalogue.find(name).orElseThrow()).toList();
  }

  /** Throws those away who are there, with all that was tried with them. */
  @Transactional
  void throwAway() {
    there().forEach(erasures::throwAway);
  }

  /** Those of them who are on record. */
  List<PersonId> there() {
    return mapper.withAddresses(
        people.valueStream().map(person -> person.path("email").asString()).toList());
  }
}
