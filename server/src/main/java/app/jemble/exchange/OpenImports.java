package app.jemble.exchange;

import app.jemble.access.AccessService;
import app.jemble.core.access.Right;
import app.jemble.problem.Problem;
import org.springframework.stereotype.Component;

/** The only way to an import: whoever brought a file in is alone with it. */
@Component
class OpenImports {

  private final ImportMapper mapper;
  private final AccessService access;

  OpenImports(ImportMapper mapper, AccessService access) {
    this.mapper = mapper;
    this.access = access;
  }

  /** One's own import; a problem when there is none. */
  ImportRun find(long id) {
    access.must(Right.IMPORT);
    ImportRun run = mapper.find(id);
    if (run == null || !access.isOpen(run.byId(), true)) {
      throw Problem.notFound("There is no such import any more.");
    }
    return run;
  }
}
