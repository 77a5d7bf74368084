package app.jemble.signup;

import java.util.LinkedHashMap;
import java.util.Map;

/**
 * What the house says on a page in one language; a text that is empty is the one that ships.
 *
 * @param consent what the reader agrees to
 * @param subject of the confirmation mail
 * @param mail its text, above the link
 */
public record SignUpWords(
    String title, String intro, String consent, String thanks, String subject, String mail) {

  /** The house says nothing of its own. */
  public static final SignUpWords NONE = new SignUpWords("", "", "", "", "", "");

  public SignUpWords {
    title = tidy(title);
    intro = tidy(intro);
    consent = tidy(consent);
    thanks = tidy(thanks);
    subject = tidy(subject).replaceAll("\\s+", " ");
    mail = tidy(mail);
  }

  private static String tidy(String text) {
    return text == null ? "" : text.strip();
  }

  /** Each text by its name. */
  Map<String, String> byName() {
    Map<String, String> all = new LinkedHashMap<>();
    all.put("title", title);
    all.put("intro", intro);
    all.put("consent", consent);
    all.put("thanks", thanks);
    all.put("subject", subject);
    all.put("mail", mail);
    return all;
  }
}
