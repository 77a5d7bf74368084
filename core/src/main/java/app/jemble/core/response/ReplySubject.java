package app.jemble.core.response;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Subjects of answers: with "Re:" (RFC 5322 section 3.6.5) and what mail readers write for it. */
public final class ReplySubject {

  /** Nobody's subject is read further (RFC 5322 section 2.1.1: a line has 998 octets). */
  private static final int LONGEST = 998;

  /**
   * What programs in many languages write before a subject that is answered or passed on (common
   * practice): English, German, Dutch, Danish, Norwegian, Swedish, Finnish, Icelandic, French,
   * Italian, Spanish, Portuguese, Polish, Czech, Croatian, Hungarian, Turkish, Welsh, Greek,
   * Russian, Bulgarian, Ukrainian, Hebrew, Arabic, Chinese, Japanese, Korean, Indonesian.
   */
  private static final Pattern MARK =
      Pattern.compile(
          "\\s*+(?:re|r|fwd?|fw|aw|antwort|antw|wg|weitergeleitet|doorst|bet|sv|vs|vb|vl|ts|svar|ref|réf"
              + "|rép|rep|tr|rif|rv|res|enc|odp|pd|předáno|odg|prosl|vá|vál|továbbítás|ynt|yanıt|i̇lt|ilt|ilet"
              + "|atb|απ|σχετ|πρθ|ha|на|отг|отв|ответ|пер|пересл|відп|השב|תגובה|הועבר|רֵד|رد|إعادة توجيه|بازگشت"
              + "|回复|回覆|答复|答覆|转发|轉寄|轉發|返信|転送|답장|회신|전달|bls|trs|balas|terusan)"
              + "\\s*+\\.?(?:\\[\\d{1,4}]|\\(\\d{1,4}\\)|\\^\\d{1,4})?\\s*+[:：]\\s*+",
          Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE);

  private ReplySubject() {}

  /** The subject that is answered or passed on; empty where nothing else stood there. */
  public static String bare(String subject) {
    String read = subject.length() > LONGEST ? subject.substring(0, LONGEST) : subject;
    Matcher mark = MARK.matcher(read);
    int at = 0;
    while (mark.region(at, read.length()).lookingAt()) {
      at = mark.end();
    }
    return read.substring(at).strip();
  }

  /** Whether a subject says of itself that it answers, or passes on. */
  static boolean isMarked(String subject) {
    return MARK.matcher(subject.length() > LONGEST ? subject.substring(0, LONGEST) : subject)
        .lookingAt();
  }

  /** The subject of an answer, with one "Re:" however many there were. */
  public static String answering(String subject) {
    return ("Re: " + bare(subject)).strip();
  }
}
