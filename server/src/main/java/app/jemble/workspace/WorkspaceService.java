package app.jemble.workspace;

import app.jemble.core.record.Field;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldType;
import app.jemble.core.record.FieldUse;
import app.jemble.workspace.WorkspaceMapper.AttributeRow;
import java.security.SecureRandom;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Service;

/** The workspace and its field catalogue. */
@Service
public class WorkspaceService {

  /** A topic of mailings, which people can leave. */
  public record Topic(long id, String name) {}

  private static final int SECRET_OCTETS = 32;

  private final WorkspaceMapper mapper;
  private final SecureRandom random = new SecureRandom();

  WorkspaceService(WorkspaceMapper mapper) {
    this.mapper = mapper;
  }

  /** The workspace; a new database gets a plain one, to be named in the settings. */
  public Workspace current() {
    Workspace workspace = mapper.find();
    if (workspace != null) {
      return workspace;
    }
    create(
        new Workspace("New workspace", "", "Europe/London", "en-GB", "localhost.test", 30, null));
    return mapper.find();
  }

  /** Creates the workspace with a secret of its own, unless there is one. */
  public void create(Workspace wanted) {
    byte[] secret = new byte[SECRET_OCTETS];
    random.nextBytes(secret);
    mapper.create(
        new Workspace(
            wanted.name(),
            wanted.postalAddress(),
            wanted.zone(),
            wanted.language(),
            wanted.returnDomain(),
            wanted.holdSeconds(),
            secret));
  }

  /** Every field by name, the workspace's attributes among them. */
  public FieldCatalogue fields() {
    return FieldCatalogue.standard()
        .plus(mapper.attributes().stream().map(WorkspaceService::field).toList());
  }

  public void addAttribute(Field attribute) {
    mapper.addAttribute(
        new AttributeRow(
            attribute.name(), attribute.label(), attribute.type().name(), attribute.choices()));
  }

  public List<Topic> topics() {
    return mapper.topics().stream().map(t -> new Topic(t.id(), t.name())).toList();
  }

  public void addTopic(String name) {
    mapper.addTopic(name);
  }

  private static Field field(AttributeRow row) {
    return new Field(
        row.name(),
        row.label(),
        FieldType.valueOf(row.type()),
        row.choices(),
        Set.of(FieldUse.values()));
  }
}
