package app.jemble.workspace;

import app.jemble.core.notice.AppToken;
import app.jemble.settings.JembleSettings;
import org.springframework.stereotype.Component;

/** Addresses that only one person was given, by which their app comes to know the house. */
@Component
public class AppLinks {

  private final WorkspaceService workspace;
  private final JembleSettings settings;

  AppLinks(WorkspaceService workspace, JembleSettings settings) {
    this.workspace = workspace;
    this.settings = settings;
  }

  public String of(AppToken.Holder holder) {
    return settings.publicUrl() + "/app/" + AppToken.of(holder, workspace.secret());
  }
}
