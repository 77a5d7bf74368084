package app.jemble.template;

import app.jemble.account.AccountService;
import app.jemble.core.merge.TemplateError;
import app.jemble.core.merge.TemplateParser;
import app.jemble.core.message.SafeHtml;
import app.jemble.workspace.Problem;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Templates: reusable messages with merge fields. */
@Service
public class TemplateService {

  /** A template. */
  public record Template(
      long id,
      String name,
      String subject,
      String body,
      long topicId,
      String topic,
      int version,
      Instant changedAt,
      String changedBy,
      long used) {}

  /** What a writer saves. */
  public record Draft(String name, String subject, String body, long topicId, int version) {}

  private final TemplateMapper mapper;
  private final WorkspaceService workspace;
  private final AccountService accounts;
  private final Clock clock;

  TemplateService(
      TemplateMapper mapper, WorkspaceService workspace, AccountService accounts, Clock clock) {
    this.mapper = mapper;
    this.workspace = workspace;
    this.accounts = accounts;
    this.clock = clock;
  }

  public List<Template> all() {
    return mapper.all();
  }

  public Template find(long id) {
    Template template = mapper.find(id);
    if (template == null) {
      throw Problem.notFound("There is no such template any more.");
    }
    return template;
  }

  @Transactional
  public Template create(Draft draft) {
    Draft sound = sound(draft);
    if (mapper.named(sound.name(), 0) > 0) {
      throw nameTaken(sound.name());
    }
    return find(mapper.create(sound, accounts.currentWriter().id(), clock.instant()));
  }

  @Transactional
  public Template save(long id, Draft draft) {
    Draft sound = sound(draft);
    if (mapper.named(sound.name(), id) > 0) {
      throw nameTaken(sound.name());
    }
    if (mapper.save(id, sound, accounts.currentWriter().id(), clock.instant()) == 0) {
      Template now = find(id);
      throw Problem.conflict(
          now.changedBy()
              + " changed this template in the meantime. Copy what you wrote, reload, and"
              + " put it in again.");
    }
    return find(id);
  }

  /** What is wrong with a template's texts; empty when it can be used. */
  public List<String> errors(String subject, String body) {
    List<TemplateError> errors =
        new ArrayList<>(
            TemplateParser.parse(subject, TemplateParser.Kind.HEADER, workspace.fields()).errors());
    errors.addAll(
        TemplateParser.parse(body, TemplateParser.Kind.HTML, workspace.fields()).errors());
    return errors.stream().map(TemplateError::sentence).toList();
  }

  private Draft sound(Draft draft) {
    String name = draft.name() == null ? "" : draft.name().strip();
    if (name.isEmpty()) {
      throw Problem.wrong("name", "Give the template a name.");
    }
    if (workspace.topics().stream().noneMatch(t -> t.id() == draft.topicId())) {
      throw Problem.wrong(
          "topicId", "Choose a topic; people can leave a topic and stay with others.");
    }
    String subject = draft.subject() == null ? "" : draft.subject();
    String body = SafeHtml.clean(draft.body() == null ? "" : draft.body());
    List<String> errors = errors(subject, body);
    if (!errors.isEmpty()) {
      throw Problem.wrong("body", errors.get(0));
    }
    return new Draft(name, subject, body, draft.topicId(), draft.version());
  }

  private static Problem nameTaken(String name) {
    return Problem.wrong("name", "Another template is already named “" + name + "”.");
  }
}
