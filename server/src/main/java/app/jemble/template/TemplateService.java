package app.jemble.template;

import app.jemble.account.AccountService;
import app.jemble.core.message.LetterText;
import app.jemble.core.message.LetterText.Written;
import app.jemble.core.message.SafeHtml;
import app.jemble.letterhead.LetterheadService;
import app.jemble.problem.Problem;
import app.jemble.workspace.WorkspaceService;
import com.fasterxml.jackson.annotation.JsonIgnore;
import com.fasterxml.jackson.annotation.JsonProperty;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Templates: reusable messages with merge fields. */
@Service
public class TemplateService {

  /**
   * A template.
   *
   * @param label what it is found under, beside its name; may be empty
   * @param startsFrom what record its messages begin from: person, member, quote or event
   * @param isPrivate whether the colleague who made it alone sees it
   * @param letterheadId null for no letterhead
   * @param promotional whether its messages must say how to leave the list
   * @param used in how many mailings
   */
  public record Template(
      long id,
      String name,
      String label,
      String startsFrom,
      @JsonProperty("private") boolean isPrivate,
      @JsonIgnore Long privateTo,
      @JsonIgnore long madeBy,
      String subject,
      String body,
      long topicId,
      String topic,
      @Schema(nullable = true) Long letterheadId,
      boolean promotional,
      int version,
      Instant changedAt,
      String changedBy,
      long used) {}

  /** What a writer saves. */
  public record TemplateDraft(
      String name,
      String label,
      String startsFrom,
      @JsonProperty("private") boolean isPrivate,
      String subject,
      String body,
      long topicId,
      @Schema(nullable = true) Long letterheadId,
      boolean promotional,
      int version) {}

  /** What a template was before a change. */
  public record TemplateVersion(
      int version, String name, String subject, String body, Instant savedAt, String savedBy) {}

  private static final Set<String> BEGINNINGS = Set.of("person", "member", "quote", "event");
  private static final int LONGEST_LABEL = 60;

  private final TemplateMapper mapper;
  private final OpenTemplates open;
  private final LetterheadService letterheads;
  private final WorkspaceService workspace;
  private final AccountService accounts;
  private final Clock clock;

  TemplateService(
      TemplateMapper mapper,
      OpenTemplates open,
      LetterheadService letterheads,
      WorkspaceService workspace,
      AccountService accounts,
      Clock clock) {
    this.mapper = mapper;
    this.open = open;
    this.letterheads = letterheads;
    this.workspace = workspace;
    this.accounts = accounts;
    this.clock = clock;
  }

  /** Those shared with all, and the asker's own. */
  public List<Template> all() {
    return mapper.all(accounts.current().id());
  }

  /** A template; a problem when there is none that the asker may see. */
  public Template find(long id) {
    return open.find(id);
  }

  /** The name of a template; null when it is gone, or another's own. */
  public String nameOf(long id) {
    return open.nameOf(id);
  }

  @Transactional
  public Template create(TemplateDraft draft) {
    long by = accounts.currentWriter().id();
    TemplateDraft sound = sound(draft, 0);
    return find(mapper.create(sound, sound.isPrivate() ? by : null, by, clock.instant()));
  }

  /** Saves a change; what was there before stays as a version. */
  @Transactional
  public Template save(long id, TemplateDraft draft) {
    long by = accounts.currentWriter().id();
    mapper.lock(id);
    Template before = find(id);
    TemplateDraft sound = sound(draft, id);
    if (sound.isPrivate() && !before.isPrivate() && before.madeBy() != by) {
      throw Problem.wrong(
          "private",
          "Only who made a template can keep it to themselves. Save yours under another name.");
    }
    mapper.keepVersion(id, sound.version());
    if (mapper.save(id, sound, sound.isPrivate() ? by : null, by, clock.instant()) == 0) {
      throw Problem.conflict(find(id).changedBy() + " changed this template in the meantime.");
    }
    return find(id);
  }

  /** What it was before, newest first. */
  public List<TemplateVersion> versions(long id) {
    find(id);
    return mapper.versions(id);
  }

  /** Takes a template away; mailings that began from it keep their texts. */
  @Transactional
  public void remove(long id) {
    accounts.currentWriter();
    find(id);
    mapper.remove(id);
  }

  private TemplateDraft sound(TemplateDraft draft, long id) {
    String name = draft.name() == null ? "" : draft.name().strip();
    if (name.isEmpty()) {
      throw Problem.wrong("name", "Give the template a name.");
    }
    if (mapper.named(name, id, accounts.current().id()) > 0) {
      throw Problem.wrong("name", "Another template is already named “" + name + "”.");
    }
    String label = draft.label() == null ? "" : draft.label().strip();
    if (label.length() > LONGEST_LABEL) {
      throw Problem.wrong("label", "A label has at most 60 letters.");
    }
    String startsFrom = draft.startsFrom() == null ? "person" : draft.startsFrom();
    if (!BEGINNINGS.contains(startsFrom)) {
      throw Problem.wrong("startsFrom", "A template begins from a person, member, quote or event.");
    }
    if (workspace.topics().stream().noneMatch(t -> t.id() == draft.topicId())) {
      throw Problem.wrong(
          "topicId", "Choose a topic; people can leave a topic and stay with others.");
    }
    if (!letterheads.exists(draft.letterheadId())) {
      throw Problem.wrong("letterheadId", "There is no such letterhead any more; choose another.");
    }
    String subject = draft.subject() == null ? "" : draft.subject();
    String body = SafeHtml.clean(draft.body() == null ? "" : draft.body());
    LetterText.errors(new Written(subject, body), workspace.fields()).stream()
        .findFirst()
        .ifPresent(
            e -> {
              throw Problem.wrong("body", e.sentence());
            });
    return new TemplateDraft(
        name,
        label,
        startsFrom,
        draft.isPrivate(),
        subject,
        body,
        draft.topicId(),
        draft.letterheadId(),
        draft.promotional(),
        draft.version());
  }
}
