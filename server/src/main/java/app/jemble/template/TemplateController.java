package app.jemble.template;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.core.message.BlankLetter;
import app.jemble.template.TemplateService.Template;
import app.jemble.template.TemplateService.TemplateDraft;
import app.jemble.template.TemplateService.TemplateVersion;
import app.jemble.workspace.WorkspaceService;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class TemplateController {

  /** What a new template begins with. */
  record Blank(String body) {}

  private final TemplateService templates;
  private final WorkspaceService workspace;

  TemplateController(TemplateService templates, WorkspaceService workspace) {
    this.templates = templates;
    this.workspace = workspace;
  }

  @Needs(Right.SEE)
  @GetMapping("/templates")
  List<Template> all() {
    return templates.all();
  }

  /** What a new template begins with. */
  @Needs(Right.SEE)
  @GetMapping("/templates/blank")
  Blank blank() {
    return new Blank(BlankLetter.BODY);
  }

  @Needs(Right.SEE)
  @GetMapping("/templates/{id}")
  Template find(@PathVariable long id) {
    return templates.find(id);
  }

  @Needs(Right.TEMPLATES)
  @PostMapping("/templates")
  Template create(@RequestBody TemplateDraft draft) {
    return templates.create(draft);
  }

  @Needs(Right.TEMPLATES)
  @PutMapping("/templates/{id}")
  Template save(@PathVariable long id, @RequestBody TemplateDraft draft) {
    return templates.save(id, draft);
  }

  @Needs(Right.TEMPLATES)
  @DeleteMapping("/templates/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable long id) {
    templates.remove(id);
  }

  @Needs(Right.SEE)
  @GetMapping("/templates/{id}/versions")
  List<TemplateVersion> versions(@PathVariable long id) {
    return templates.versions(id);
  }

  @Needs(Right.SEE)
  @GetMapping("/topics")
  List<WorkspaceService.Topic> topics() {
    return workspace.topics();
  }
}
