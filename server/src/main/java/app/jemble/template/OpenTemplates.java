package app.jemble.template;

import app.jemble.access.AccessService;
import app.jemble.problem.Problem;
import app.jemble.template.TemplateService.Template;
import org.springframework.stereotype.Component;

/** The only way to a template: as far as it is open to the colleague who asks. */
@Component
class OpenTemplates {

  private final TemplateMapper mapper;
  private final AccessService access;

  OpenTemplates(TemplateMapper mapper, AccessService access) {
    this.mapper = mapper;
    this.access = access;
  }

  /** A template; a problem when there is none that the colleague may see. */
  Template find(long id) {
    Template template = mapper.find(id);
    if (template == null || isAnothers(template)) {
      throw Problem.notFound("There is no such template any more.");
    }
    return template;
  }

  /** The name of a template; null when it is gone, or another's own. */
  String nameOf(long id) {
    Template template = mapper.find(id);
    return template == null || isAnothers(template) ? null : template.name();
  }

  private boolean isAnothers(Template template) {
    return template.privateTo() != null && !access.isOpen(template.privateTo(), true);
  }
}
