package app.jemble.mailing;

import app.jemble.account.AccountService;
import app.jemble.workspace.JembleSettings;
import app.jemble.workspace.WorkspaceService;
import org.springframework.stereotype.Service;

/** Makes the letter of a mailing. */
@Service
class LetterService {

  private final AccountService accounts;
  private final WorkspaceService workspace;
  private final JembleSettings settings;

  LetterService(AccountService accounts, WorkspaceService workspace, JembleSettings settings) {
    this.accounts = accounts;
    this.workspace = workspace;
    this.settings = settings;
  }

  Letter of(Mailing mailing) {
    return new Letter(
        mailing,
        accounts.find(mailing.senderId()),
        workspace.current(),
        workspace.fields(),
        settings.publicUrl());
  }
}
