package app.jemble.carrier.mail;

import app.jemble.carrier.HandoverResult;
import app.jemble.core.message.Mailbox;
import app.jemble.core.message.OutgoingMessage;
import app.jemble.core.message.PublicToken;
import app.jemble.core.message.ThreadPlace;
import app.jemble.settings.JembleSettings;
import app.jemble.workspace.Workspace;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.web.util.HtmlUtils;

/** Mails by which the house itself tells somebody something. */
@Component
public class HouseMails {

  /**
   * What one says.
   *
   * @param link what the link leads to, in a word
   * @param path the page it leads to
   */
  public record Words(String text, String link, String path) {}

  private final MailCarrier handover;
  private final WorkspaceService workspace;
  private final JembleSettings settings;
  private final Clock clock;

  HouseMails(
      MailCarrier handover, WorkspaceService workspace, JembleSettings settings, Clock clock) {
    this.handover = handover;
    this.workspace = workspace;
    this.settings = settings;
    this.clock = clock;
  }

  /** A letter as it is sent. */
  public record Letter(String html, String text) {}

  /**
   * Tells a colleague something, at once.
   *
   * @param id that no other mail has
   * @return false when it did not leave and should be tried again
   */
  public boolean send(String id, Mailbox to, String subject, Words words) {
    return send(id, to, to, subject, letter(words));
  }

  /**
   * Sends a letter at once.
   *
   * @param id that no other mail has
   * @param from whose it is where the house has no address of its own
   * @return false when it did not leave and should be tried again
   */
  public boolean send(String id, Mailbox from, Mailbox to, String subject, Letter letter) {
    HandoverResult result = hand(id, from, to, subject, letter);
    return !(result instanceof HandoverResult.Unreachable
        || result instanceof HandoverResult.NotTried
        || result instanceof HandoverResult.PutOff);
  }

  /** The same, and what the mail server said. */
  public HandoverResult hand(String id, Mailbox from, Mailbox to, String subject, Letter letter) {
    return handover.sendOnce(message(id, from, to, subject, letter));
  }

  /** The Message-ID that the mail of an id has. */
  public String identity(String id) {
    return "<" + token(id) + "@" + workspace.current().returnDomain() + ">";
  }

  /** Where it comes back to when it cannot be delivered. */
  public String returnAddress(String id) {
    return "return+" + token(id) + "@" + workspace.current().returnDomain();
  }

  private String token(String id) {
    return PublicToken.named(id, workspace.secret());
  }

  /** A letter of a sentence alone. */
  public static Letter plain(String words) {
    return new Letter(
        "<!DOCTYPE html><html><body><p>" + HtmlUtils.htmlEscape(words) + "</p></body></html>\n",
        words + "\n");
  }

  private Letter letter(Words words) {
    String link = settings.publicUrl() + words.path();
    String html =
        String.format(
            Locale.ROOT,
            "<!DOCTYPE html><html><body><p>%s</p><p><a href=\"%s\">%s</a></p></body></html>\n",
            HtmlUtils.htmlEscape(words.text()),
            HtmlUtils.htmlEscape(link),
            words.link());
    return new Letter(html, words.text() + "\n\n" + words.link() + ": " + link + "\n");
  }

  private OutgoingMessage message(
      String id, Mailbox from, Mailbox to, String subject, Letter letter) {
    Workspace house = workspace.current();
    return new OutgoingMessage(
        identity(id),
        clock.instant(),
        house.houseEmail() == null ? from : new Mailbox(house.name(), house.houseEmail()),
        Optional.empty(),
        to,
        subject,
        letter.html(),
        letter.text(),
        List.of(),
        List.of(),
        ThreadPlace.NEW,
        List.of(),
        Optional.empty(),
        returnAddress(id),
        true);
  }
}
