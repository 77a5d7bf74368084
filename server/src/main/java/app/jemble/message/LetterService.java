package app.jemble.message;

import app.jemble.account.AccountService;
import app.jemble.cause.Cause;
import app.jemble.cause.Wordings;
import app.jemble.core.message.LetterText.Style;
import app.jemble.core.message.MailWording;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.letterhead.LetterheadService;
import app.jemble.mailing.MailingFiles;
import app.jemble.message.Letter.Ingredients;
import app.jemble.picture.PictureService;
import app.jemble.settings.JembleSettings;
import app.jemble.workspace.Workspace;
import app.jemble.workspace.WorkspaceService;
import java.util.List;
import java.util.function.Supplier;
import org.springframework.stereotype.Service;

/** Makes the letter of a mailing. */
@Service
public class LetterService {

  private final Wordings wordings;
  private final OwnWordings ownWordings;
  private final MailingFiles files;
  private final LetterheadService letterheads;
  private final PictureService pictures;
  private final AccountService accounts;
  private final WorkspaceService workspace;
  private final JembleSettings settings;
  private final BesideMailWords beside;

  LetterService(
      Wordings wordings,
      OwnWordings ownWordings,
      MailingFiles files,
      LetterheadService letterheads,
      PictureService pictures,
      AccountService accounts,
      WorkspaceService workspace,
      JembleSettings settings,
      BesideMailWords beside) {
    this.wordings = wordings;
    this.ownWordings = ownWordings;
    this.files = files;
    this.letterheads = letterheads;
    this.pictures = pictures;
    this.accounts = accounts;
    this.workspace = workspace;
    this.settings = settings;
    this.beside = beside;
  }

  public Letter of(Cause cause) {
    return asItWillLeave(cause, List::of);
  }

  /**
   * A letter with all it will carry.
   *
   * @param recipients the names of those who will get it, asked where a list of them is attached
   */
  Letter asItWillLeave(Cause cause, Supplier<List<String>> recipients) {
    MailWording wording = wordings.of(cause);
    Workspace house = workspace.current();
    FieldCatalogue fields = workspace.fields();
    var sender = accounts.find(cause.senderId());
    Style looks =
        new Style(
            letterheads.of(wording.letterheadId()),
            sender.signature(),
            house.locale(),
            wording.countClicks(),
            wording.promotional());
    return new Letter(
        new Ingredients(
            wording,
            beside.of(cause),
            sender,
            wording.replyColleague() == null ? null : accounts.find(wording.replyColleague()),
            house,
            fields,
            looks,
            ownWordings.all(cause.id()),
            files.attached(cause.id(), fields, recipients),
            pictures,
            settings.publicUrl()));
  }
}
