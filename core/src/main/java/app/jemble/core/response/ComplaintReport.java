package app.jemble.core.response;

import app.jemble.core.record.EmailAddress;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Reads of whom a complaint is (RFC 5965 section 3.2, and To of the message that comes with it).
 */
final class ComplaintReport {

  private static final Pattern READER =
      Pattern.compile(
          "^(original-rcpt-to|removal-recipient):\\s*(\\S+)\\s*$",
          Pattern.CASE_INSENSITIVE | Pattern.MULTILINE);

  private ComplaintReport() {}

  static List<String> addresses(InboundMail mail) {
    Stream<String> named =
        READER.matcher(mail.feedbackReport()).results().map((MatchResult m) -> m.group(2));
    String to = mail.originalHeader("to");
    String address = to.substring(to.lastIndexOf('<') + 1).replace(">", "");
    return Stream.concat(named, Stream.of(address))
        .map(a -> a.replaceAll("^<|>$", "").strip())
        .filter(EmailAddress::isValid)
        .distinct()
        .toList();
  }
}
