package app.jemble.telling;

import app.jemble.account.Account;
import app.jemble.carrier.HandoverResult;
import app.jemble.carrier.mail.HouseMails;
import app.jemble.core.message.Mailbox;
import app.jemble.core.signup.ReaderLanguage;
import app.jemble.page.ShippedWords;
import app.jemble.workspace.WorkspaceService;
import java.text.MessageFormat;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Component;

/** Mails by which the house tells a colleague something. */
@Component
public class ColleagueMails {

  /**
   * What one says: the words of a kind, in which values stand.
   *
   * @param kind such as {@code invited}, of which a subject, a text and the words of a link ship
   * @param more sentences after the text, already in the colleague's language; or empty
   * @param path the page that the link leads to
   * @param values texts and numbers in the order of the kind's words
   */
  public record Told(String kind, String more, String path, List<Object> values) {}

  private final HouseMails mails;
  private final WorkspaceService workspace;

  ColleagueMails(HouseMails mails, WorkspaceService workspace) {
    this.mails = mails;
    this.workspace = workspace;
  }

  /**
   * Tells a colleague something, at once.
   *
   * @param id that no other mail has
   * @return false when it did not leave and should be tried again
   */
  public boolean send(String id, Account to, Told told) {
    ReaderLanguage language = language(to);
    Object[] values = told.values().toArray();
    String text = words(language, told.kind() + ".text", values);
    return mails.send(
        id,
        mailbox(to),
        words(language, told.kind() + ".subject", values),
        new HouseMails.Words(
            told.more().isEmpty() ? text : text + " " + told.more(),
            words(language, told.kind() + ".link"),
            told.path()));
  }

  /** The same without a link, and what the mail server said. */
  public HandoverResult hand(String id, Account to, String kind, Object... values) {
    ReaderLanguage language = language(to);
    return mails.hand(
        id,
        mailbox(to),
        mailbox(to),
        words(language, kind + ".subject", values),
        HouseMails.plain(words(language, kind + ".text", values)));
  }

  /** Words of a kind in a colleague's language, such as {@code gone.sent}. */
  public String words(Account to, String key, Object... values) {
    return words(language(to), key, values);
  }

  private ReaderLanguage language(Account of) {
    return ReaderLanguage.firstOf(of.language(), workspace.current().language());
  }

  static String words(ReaderLanguage language, String key, Object... values) {
    return new MessageFormat(
            ShippedWords.of("telling.words", language).get(key),
            Locale.forLanguageTag(language.tag()))
        .format(values);
  }

  private static Mailbox mailbox(Account of) {
    return new Mailbox(of.name(), of.email());
  }
}
