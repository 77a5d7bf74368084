package app.jemble.template;

import app.jemble.account.AccountService;
import app.jemble.template.TemplateService.Draft;
import app.jemble.template.TemplateService.Template;
import app.jemble.workspace.WorkspaceService;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class TemplateController {

  private final TemplateService templates;
  private final WorkspaceService workspace;
  private final AccountService accounts;

  TemplateController(
      TemplateService templates, WorkspaceService workspace, AccountService accounts) {
    this.templates = templates;
    this.workspace = workspace;
    this.accounts = accounts;
  }

  @GetMapping("/templates")
  List<Template> all() {
    return templates.all();
  }

  @GetMapping("/templates/{id}")
  Template find(@PathVariable long id) {
    return templates.find(id);
  }

  @PostMapping("/templates")
  Template create(@RequestBody Draft draft) {
    accounts.currentWriter();
    return templates.create(draft);
  }

  @PutMapping("/templates/{id}")
  Template save(@PathVariable long id, @RequestBody Draft draft) {
    accounts.currentWriter();
    return templates.save(id, draft);
  }

  @GetMapping("/topics")
  List<WorkspaceService.Topic> topics() {
    return workspace.topics();
  }
}
