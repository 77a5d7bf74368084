package app.jemble.core.response;

import java.util.Locale;
import java.util.regex.Pattern;

/**
 * Says what a mail that arrived is. Reports are looked for first, since they are often marked as
 * automatic themselves; then automatic replies (RFC 3834 and the headers of common practice); what
 * is left is a reply.
 */
public final class MailSorter {

  private static final Pattern AWAY_SUBJECT =
      Pattern.compile(
          "^\\W*(out of (the )?office|automatic reply|auto(matic)?[- ]?(reply|response)|away from)",
          Pattern.CASE_INSENSITIVE);
  private static final Pattern REPORTER =
      Pattern.compile(
          "mailer-daemon|\\bpostmaster\\b|mdaemon@|<>"
              + "|mail (delivery|administrator|system)|delivery (sub)?system|system administrator",
          Pattern.CASE_INSENSITIVE);
  private static final Pattern RETURNED_SUBJECT =
      Pattern.compile(
          "^(?!re:|aw:|sv:|antw:|fwd?:|wg:|tr:).*(undeliver|unzustellbar|nicht zugestellt|returned mail|non-?delivery"
              + "|mail (delivery )?(failed|failure|error|could not)|rejected mail"
              + "|(delivery|message)[^:]{0,20}(fail|error|could not|not (be )?deliver|problem)"
              + "|failure (notice|delivery|notification)|not (be )?delivered)",
          Pattern.CASE_INSENSITIVE);

  private MailSorter() {}

  public static SortedMail sort(InboundMail mail) {
    if (mail.feedbackReport() != null) {
      return new SortedMail.Complaint();
    }
    if (mail.deliveryStatus() != null) {
      return DeliveryReport.read(mail.deliveryStatus()).orElseGet(() -> ProseReport.read(mail));
    }
    if (isReport(mail)) {
      return ProseReport.read(mail);
    }
    if (hasReturnedSubject(mail)) {
      SortedMail read = ProseReport.read(mail);
      boolean bringsBack = !mail.original().isEmpty() || automaticSign(mail) != null;
      if (bringsBack || !(read instanceof SortedMail.UnreadReturn)) {
        return read;
      }
    }
    String automatic = automaticSign(mail);
    return automatic == null ? new SortedMail.Reply() : new SortedMail.AutoReply(automatic);
  }

  private static boolean isReport(InboundMail mail) {
    return mail.contentType().startsWith("multipart/report")
        || !mail.header("x-failed-recipients").isEmpty()
        || REPORTER.matcher(mail.header("from")).find();
  }

  /** Some servers write in a name of their own; the subject of a return and its words tell. */
  private static boolean hasReturnedSubject(InboundMail mail) {
    return RETURNED_SUBJECT.matcher(mail.header("subject")).find();
  }

  /** The header that shows a mail was written by software, or null. */
  private static String automaticSign(InboundMail mail) {
    String submitted = mail.header("auto-submitted").toLowerCase(Locale.ROOT);
    if (!submitted.isEmpty() && !submitted.startsWith("no")) {
      return "Auto-Submitted: " + submitted;
    }
    for (String name : new String[] {"x-autoreply", "x-autorespond", "x-auto-response-suppress"}) {
      if (!mail.header(name).isEmpty()) {
        return name + ": " + mail.header(name);
      }
    }
    String precedence = mail.header("precedence").toLowerCase(Locale.ROOT);
    if (precedence.equals("auto_reply") || precedence.equals("bulk") || precedence.equals("junk")) {
      return "Precedence: " + precedence;
    }
    if (mail.header("return-path").equals("<>")) {
      return "Return-Path: <>";
    }
    String subject = mail.header("subject");
    return AWAY_SUBJECT.matcher(subject).find() ? "Subject: " + subject : null;
  }
}
