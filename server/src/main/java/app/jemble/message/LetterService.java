package app.jemble.message;

import app.jemble.account.AccountService;
import app.jemble.core.message.LetterText.Looks;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.letterhead.LetterheadService;
import app.jemble.mailing.Mailing;
import app.jemble.mailing.MailingFiles;
import app.jemble.message.Letter.Ingredients;
import app.jemble.picture.PictureService;
import app.jemble.settings.JembleSettings;
import app.jemble.workspace.Workspace;
import app.jemble.workspace.WorkspaceService;
import org.springframework.stereotype.Service;

/** Makes the letter of a mailing. */
@Service
public class LetterService {

  private final OwnWordings ownWordings;
  private final MailingFiles files;
  private final LetterheadService letterheads;
  private final PictureService pictures;
  private final AccountService accounts;
  private final WorkspaceService workspace;
  private final JembleSettings settings;

  LetterService(
      OwnWordings ownWordings,
      MailingFiles files,
      LetterheadService letterheads,
      PictureService pictures,
      AccountService accounts,
      WorkspaceService workspace,
      JembleSettings settings) {
    this.ownWordings = ownWordings;
    this.files = files;
    this.letterheads = letterheads;
    this.pictures = pictures;
    this.accounts = accounts;
    this.workspace = workspace;
    this.settings = settings;
  }

  public Letter of(Mailing mailing) {
    Workspace house = workspace.current();
    FieldCatalogue fields = workspace.fields();
    var sender = accounts.find(mailing.senderId());
    Looks looks =
        new Looks(
            letterheads.of(mailing.letterheadId()),
            sender.signature(),
            house.locale(),
            mailing.countClicks(),
            mailing.promotional());
    return new Letter(
        new Ingredients(
            mailing,
            sender,
            mailing.replyColleague() == null ? null : accounts.find(mailing.replyColleague()),
            house,
            fields,
            looks,
            ownWordings.all(mailing.id()),
            files.attached(mailing.id(), fields),
            pictures,
            settings.publicUrl()));
  }
}
