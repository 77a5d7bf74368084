package app.jemble.setup;

import app.jemble.core.house.ServiceKind;
import app.jemble.core.house.SetUpStep;
import app.jemble.outside.OutsideServices;
import app.jemble.workspace.WorkspaceService;
import java.util.EnumSet;
import java.util.Set;
import org.springframework.stereotype.Service;

/** How far the house is set up; what is left for later can be taken up at any time. */
@Service
class SetUp {

  private final SetUpMapper mapper;
  private final WorkspaceService workspace;
  private final OutsideServices services;

  SetUp(SetUpMapper mapper, WorkspaceService workspace, OutsideServices services) {
    this.mapper = mapper;
    this.workspace = workspace;
    this.services = services;
  }

  SetUpStep.Facts facts() {
    return new SetUpStep.Facts(
        workspace.isNamed(),
        services.has(ServiceKind.MAIL_SERVER),
        services.has(ServiceKind.MAILBOX),
        !workspace.plans().isEmpty() || workspace.topics().size() > 1,
        mapper.hasOwnLetterhead(),
        mapper.people(),
        mapper.colleagues());
  }

  Set<SetUpStep> later() {
    return workspace.setUpLater();
  }

  void leave(SetUpStep step, boolean forLater) {
    Set<SetUpStep> steps = EnumSet.noneOf(SetUpStep.class);
    steps.addAll(later());
    if (forLater) {
      steps.add(step);
    } else {
      steps.remove(step);
    }
    workspace.leaveForLater(steps);
  }
}
