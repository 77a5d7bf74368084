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
      Pattern.compile("^<?(mailer-daemon|postmaster)@", Pattern.CASE_INSENSITIVE);

  private MailSorter() {}

  public static SortedMail sort(InboundMail mail) {
    if (mail.feedbackReport() != null) {
      return new SortedMail.Complaint();
    }
    if (mail.deliveryStatus() != null) {
      return DeliveryReport.read(mail.deliveryStatus());
    }
    if (mail.contentType().startsWith("multipart/report") || fromReporter(mail)) {
      return new SortedMail.UnreadReturn("A report in a form that is not known.");
    }
    String automatic = automaticSign(mail);
    return automatic == null ? new SortedMail.Reply() : new SortedMail.AutoReply(automatic);
  }

  private static boolean fromReporter(InboundMail mail) {
    String from = mail.header("from");
    int open = from.lastIndexOf('<');
    String address = open < 0 ? from : from.substring(open + 1);
    return REPORTER.matcher(address).find();
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
