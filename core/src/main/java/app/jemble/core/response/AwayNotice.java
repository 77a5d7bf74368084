package app.jemble.core.response;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Subjects that mail programs give to the notice of somebody who is away, in the languages they
 * most often speak (common practice). They stand at the very beginning: whoever answers a mail
 * about somebody's absence writes "Re:" before it.
 */
public final class AwayNotice {

  private static final Pattern AWAY =
      Pattern.compile(
          "^[^\\p{L}\\p{N}]*+(?:auto(?:matic)?[- ]?(?:reply|response|antwort)|automatic reply|out of (?:the )?office"
              + "|away from (?:the office|my (?:mail|desk))|(?:i am|i'm) (?:currently )?(?:away|out of)"
              + "|auto\\s*:.{0,80}(?:out of (?:the )?office|is away|returning|nicht (?:im|da)|abwesen|absent"
              + "|absence|fuori|ausente|fuera|afwezig|bortrest|frav[æe]r|poza biurem)"
              // German
              + "|abwesenheit(?:s\\w*)?|automatische antwort|(?:ich bin )?(?:nicht im b[üu]ro|au[ßs]+er haus)"
              // French
              + "|r[ée]ponse automatique|absence du bureau|absent(?:e)? du bureau|message d.absence"
              // Spanish
              + "|respuesta autom[áa]tica|fuera de (?:la )?oficina|ausente de la oficina|autorrespuesta"
              // Italian
              + "|risposta automatica|fuori (?:sede|ufficio)|assente dall.ufficio"
              // Dutch
              + "|automatisch antwoord|afwezig(?:heid\\w*)?|niet op kantoor|niet aanwezig"
              // Portuguese
              + "|resposta autom[áa]tica|fora do escrit[óo]rio|ausente do escrit[óo]rio|aus[êe]ncia tempor[áa]ria"
              // Polish
              + "|odpowied[źz] automatyczna|automatyczna odpowied[źz]|poza biurem|nieobecno[śs][ćc]"
              // Swedish, Danish, Norwegian
              + "|autosvar|automatis[kc]t? svar|fr[åa]nva\\w*|frav[æe]r\\w*|ej p[åa] kontoret|ikke p[åa] kontoret"
              // Finnish, Czech, Hungarian, Turkish
              + "|automaattinen vastaus|poissa (?:toimistosta|toimistolta)|poissaolo\\w*|automatick[áa] odpov[ěe][ďd]"
              + "|mimo kancel[áa][řr]|nep[řr][íi]tomnost|automatikus v[áa]lasz|otomatik yan[ıi]t|ofis d[ıi][şs][ıi]nda"
              // Russian, Ukrainian, Greek
              + "|автоответ\\w*|автоматический ответ|автоматична відповідь|вне офиса|αυτόματη απάντηση"
              // Japanese, Chinese, Korean
              + "|自動応答|自動返信|不在(?:通知|の)?|自动(?:答复|回复)|自動(?:回覆|答覆)|不在办公室|자동 ?(?:회신|응답)|부재중)",
          Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE);

  private AwayNotice() {}

  static boolean isOne(String subject) {
    return AWAY.matcher(subject).find();
  }

  /** The subject that the notice answers, where it names it: what stands behind its first colon. */
  public static Optional<String> answeredSubject(String subject) {
    Matcher away = AWAY.matcher(subject);
    if (!away.find()) {
      return Optional.empty();
    }
    int colon = subject.indexOf(':', away.end());
    String behind = colon < 0 ? "" : ReplySubject.bare(subject.substring(colon + 1));
    return behind.isEmpty() ? Optional.empty() : Optional.of(behind);
  }
}
