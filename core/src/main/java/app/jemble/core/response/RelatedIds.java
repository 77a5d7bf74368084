package app.jemble.core.response;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;

/** Message-IDs (RFC 5322 section 3.6.4) named in a mail. */
final class RelatedIds {

  private static final Pattern ID = Pattern.compile("<[^<>\\s@]++@[^<>\\s@]++>");

  private static final Pattern HEADER_IN_TEXT =
      Pattern.compile("^[> ]*+Message-I[dD]:\\s*+<[^<>\\s]++>", Pattern.MULTILINE);

  private RelatedIds() {}

  static List<String> of(InboundMail mail) {
    Set<String> found = new LinkedHashSet<>(ids(mail.originalHeader("message-id")));
    found.addAll(ids(mail.header("in-reply-to")));
    List<String> references = new ArrayList<>(ids(mail.header("references")));
    Collections.reverse(references);
    found.addAll(references);
    // A return in prose brings the message back as text.
    HEADER_IN_TEXT.matcher(mail.said()).results().forEach(m -> found.addAll(ids(m.group())));
    return List.copyOf(found);
  }

  private static List<String> ids(String header) {
    return ID.matcher(header).results().map(MatchResult::group).toList();
  }
}
