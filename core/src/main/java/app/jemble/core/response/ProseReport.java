package app.jemble.core.response;

import app.jemble.core.record.EmailAddress;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;

/**
 * Reads a return that a mail server wrote in prose. It goes line by line: an address that stands by
 * itself, or beside or below words of failure, is one that failed; the words around it say why.
 */
final class ProseReport {

  private static final Pattern ADDRESS =
      Pattern.compile(
          "(?<![A-Za-z0-9._%+\\-=/!#$&'*?^`{|}~])[A-Za-z0-9._%+\\-=/!#$&'*?^`{|}~]++"
              + "@[A-Za-z0-9](?:[A-Za-z0-9.-]*[A-Za-z0-9])?");

  /** Where the message that came back begins. */
  private static final Pattern ORIGINAL_BEGINS =
      Pattern.compile(
          "^[^\\w\\n]*+(?:_{2,}+[^\\w\\n]*+)?((this is |below this line is |here is |start of )?(a |the )?"
              + "(copy of|header of|text of|original|returned|unsent|undelivered|unmodified)[^:]{0,12}"
              + "(message|mail|header|lines|e-?mail)\\b|message (header|text|body)|(your|the) (original )?message"
              + " (follows|was|reads|is appended)|included is a copy|(the )?(header|body|text) of (the|your)).*$"
              + "|^(Received: |Return-Path: |X-\\S+: \\S|Message-I[dD]: <).*$",
          Pattern.CASE_INSENSITIVE);

  /** Lines whose addresses are of others than who failed. */
  private static final Pattern OF_OTHERS =
      Pattern.compile(
          "^\\W*(from|sender|reply-to|by|message-?id|return-path|errors-to|cc|subject|received|date)\\b ?:"
              + "|message-id|contact|assistance|help|report (this|the)|questions|https?://|mail from"
              + "|postmaster|originat|your message from|on behalf",
          Pattern.CASE_INSENSITIVE);

  private static final Pattern NOBODYS =
      Pattern.compile(
          "^(mailer-daemon|postmaster|mdaemon|abuse|nobody|root)@", Pattern.CASE_INSENSITIVE);

  /** Words that lead to an address that is to be used instead. */
  private static final Pattern ADVICE =
      Pattern.compile(
          "(try|(please|can|may|should|must) (use|write( to)?|contact|reach|send)|resend( it)? to|(new|other"
              + "|current|correct|alternat\\w*) (e-?mail )?address( is| now)?|moved to|changed to|forward\\w* to"
              + "|instead( of)?( at| to)?|(reached|found|contacted) at)\\W{0,8}$",
          Pattern.CASE_INSENSITIVE);

  private static final int ADVICE_BEFORE = 60;

  private static final Pattern NAMED_BY_SENDER =
      Pattern.compile("(?<!generated )from:?[ ]*+[<(\"]*+$", Pattern.CASE_INSENSITIVE);

  /** More are not asked about one by one. */
  private static final int MOST_ADDRESSES = 200;

  private static final int MOST_LINES = 300;
  private static final int LONGEST_LINE = 500;
  private static final int NEAR = 3;
  private static final int LONGEST_REASON = 300;

  private final InboundMail mail;
  private final List<String> lines;

  /** Which lines tell of a failure. */
  private final boolean[] tells;

  private final Map<String, Integer> signs = new LinkedHashMap<>();
  private final Map<String, Integer> at = new LinkedHashMap<>();

  private ProseReport(InboundMail mail) {
    this.mail = mail;
    this.lines = human(mail.said());
    this.tells = new boolean[lines.size()];
    for (int i = 0; i < tells.length; i++) {
      tells[i] = ReturnWords.tellFailure(lines.get(i));
    }
  }

  static SortedMail read(InboundMail mail) {
    return new ProseReport(mail).read();
  }

  /** What the server says itself, up to the message that it brings back. */
  private static List<String> human(String said) {
    List<String> human = new ArrayList<>();
    boolean named = false;
    for (String line : said.lines().limit(MOST_LINES).map(ProseReport::cut).toList()) {
      // What precedes it must have said something; some reports begin with such a line.
      if (named && ORIGINAL_BEGINS.matcher(line).matches()) {
        break;
      }
      named = named || ADDRESS.matcher(line).find();
      human.add(line);
    }
    return human;
  }

  /** No server says more in a line; patterns are not let loose on what somebody makes up. */
  private static String cut(String line) {
    String stripped = line.strip();
    return stripped.length() > LONGEST_LINE ? stripped.substring(0, LONGEST_LINE) : stripped;
  }

  private SortedMail read() {
    List<String> addresses = new ArrayList<>(named(mail.header("x-failed-recipients")));
    weigh();
    if (addresses.isEmpty()) {
      addresses.addAll(likely());
    }
    String all = String.join("\n", lines);
    if (addresses.isEmpty()) {
      return new SortedMail.UnreadReturn("It names nobody who failed, in words that are known.");
    }
    if (ReturnWords.tellDelay(mail.header("subject") + "\n" + all)) {
      return new SortedMail.Delayed(addresses);
    }
    String reason = reason(addresses.get(0), all);
    ReturnMeaning meaning = meaning(reason, all);
    return new SortedMail.Returned(
        meaning.forGood(),
        addresses,
        meaning.code(),
        reason.length() > LONGEST_REASON ? reason.substring(0, LONGEST_REASON) : reason);
  }

  /** What the words at the address say; only where they say nothing, all words. */
  private static ReturnMeaning meaning(String reason, String all) {
    boolean tells =
        ReturnWords.enhanced(reason).isPresent() || ReturnWords.meant(reason).isPresent();
    String words = tells ? reason : all;
    return ReturnMeaning.of(ReturnWords.enhanced(words).orElse(""), words);
  }

  /** Counts what speaks for each address. */
  private void weigh() {
    Set<String> ours = ours();
    for (int i = 0; i < lines.size(); i++) {
      String line = lines.get(i);
      boolean ofOthers =
          OF_OTHERS.matcher(line).find() && !line.matches("(?i).*(rcpt to|recipient).*");
      if (ofOthers || isOfOriginal(i)) {
        continue;
      }
      for (String address : named(line)) {
        if (signs.size() == MOST_ADDRESSES) {
          return;
        }
        String key = address.toLowerCase(Locale.ROOT);
        boolean sender = isLedTo(line, address, NAMED_BY_SENDER) || isLedTo(line, address, ADVICE);
        if (!ours.contains(key) && !sender && !NOBODYS.matcher(address).find()) {
          signs.merge(address, signs(line, address, i), Math::max);
          at.putIfAbsent(address, i);
        }
      }
    }
  }

  /** Whether certain words stand right before an address. */
  private static boolean isLedTo(String line, String address, Pattern words) {
    int at = line.indexOf(address);
    return at > 0 && words.matcher(line.substring(Math.max(0, at - ADVICE_BEFORE), at)).find();
  }

  /** "Your message To: … Subject: … did not reach": to whom it was written, not who failed. */
  private boolean isOfOriginal(int i) {
    return lines.get(i).matches("(?i)to:.*")
        && i + 1 < lines.size()
        && lines.get(i + 1).matches("(?i)(subject|sent|date|cc):.*");
  }

  private int signs(String line, String address, int i) {
    String rest = line.replace(address, " ");
    boolean told = tells[i] && ReturnWords.tellFailure(rest);
    int signs = 0;
    if (rest.matches("[\\s<>\\[\\]()\"':;,.*-]*")) {
      signs += 2;
    }
    if (rest.matches("(?i)^\\W*(to|recipient|rcpt to|user|address|failed|for)\\b.*")) {
      signs += 1;
    }
    if (told || ReturnWords.tellDelay(rest)) {
      signs += 3;
    }
    for (int near = Math.max(0, i - NEAR); near <= Math.min(lines.size() - 1, i + NEAR); near++) {
      if (near != i && tells[near]) {
        signs += 1;
        break;
      }
    }
    return signs;
  }

  /** Those for whom most speaks; one alone needs little. */
  private List<String> likely() {
    int most = signs.values().stream().mapToInt(s -> s).max().orElse(0);
    if (most < 1) {
      return List.of();
    }
    Set<String> keys = new LinkedHashSet<>();
    return signs.entrySet().stream()
        .filter(e -> e.getValue() >= Math.max(1, most - (most >= 3 ? 0 : 1)))
        .map(Map.Entry::getKey)
        .filter(a -> keys.add(a.toLowerCase(Locale.ROOT)))
        .toList();
  }

  /** To whom the report itself went: whoever wrote the message. */
  private Set<String> ours() {
    Set<String> ours = new LinkedHashSet<>();
    for (String header : List.of("to", "from", "return-path")) {
      named(mail.header(header)).forEach(a -> ours.add(a.toLowerCase(Locale.ROOT)));
    }
    return ours;
  }

  /** The words at an address, one line. */
  private String reason(String address, String all) {
    Integer line = at.get(address);
    if (line == null) {
      return all.replaceAll("\\s+", " ").strip();
    }
    StringBuilder words = new StringBuilder();
    for (int i = line; i < Math.min(lines.size(), line + 1 + NEAR); i++) {
      boolean another =
          i > line && !named(lines.get(i)).isEmpty() && !lines.get(i).contains(address);
      if (another) {
        break;
      }
      words.append(lines.get(i)).append(' ');
    }
    String here = words.toString().replaceAll("\\s+", " ").strip();
    return ReturnWords.tellFailure(here.replace(address, " "))
        ? here
        : all.replaceAll("\\s+", " ").strip();
  }

  private static List<String> named(String line) {
    return ADDRESS
        .matcher(line)
        .results()
        .map(MatchResult::group)
        .map(a -> a.replaceAll("(?i)^(smtp|rfc822|mailto)[=;:]|^[='`.*/]+|['.]+$", ""))
        .filter(EmailAddress::isValid)
        .toList();
  }
}
