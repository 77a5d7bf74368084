package app.jemble.core.house;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Whether the records that a mail domain has are those it should have. */
public final class DomainRecordRule {

  private static final String SPF = "v=spf1";
  private static final String DMARC = "v=dmarc1";

  /** Terms that make whoever reads the record look further (RFC 7208 section 4.6.4). */
  private static final Set<String> LOOKING_FURTHER =
      Set.of("include", "a", "mx", "ptr", "exists", "redirect");

  private static final int MOST_LOOK_UPS = 10;

  /** A directive or a modifier (RFC 7208 section 12). */
  private static final Pattern TERM =
      Pattern.compile(
          "[+?~-]?(all|include:\\S+|a([:/]\\S+)?|mx([:/]\\S+)?|ptr(:\\S+)?|ip4:[\\d./]+"
              + "|ip6:[0-9a-f:./]+|exists:\\S+)|[a-z][a-z0-9_.-]*=\\S*",
          Pattern.CASE_INSENSITIVE);

  private DomainRecordRule() {}

  /** How it stands with a record. */
  public enum State {
    RIGHT,
    MISSING,
    WRONG,
    /** nobody could be asked */
    NOT_REACHED
  }

  /**
   * What was found.
   *
   * @param words a sentence on it
   */
  public record Found(State state, String words) {}

  /**
   * @param texts of the records under its name; of MX the hosts. Empty when nobody could be asked
   * @param sender the host that sends
   */
  public static Found judge(DomainRecord wanted, Optional<List<String>> texts, String sender) {
    if (texts.isEmpty()) {
      return new Found(State.NOT_REACHED, "Nobody answers who knows the domain; ask again later.");
    }
    List<String> found = texts.get();
    return switch (wanted.kind()) {
      case MX -> mx(found);
      case SPF -> spf(only(found, SPF), wanted.name(), sender);
      case DKIM -> dkim(found);
      case DMARC -> dmarc(only(found, DMARC));
    };
  }

  private static List<String> only(List<String> texts, String version) {
    return texts.stream()
        .filter(text -> text.toLowerCase(Locale.ROOT).matches(version + "(\\s*;.*|\\s.*)?"))
        .toList();
  }

  private static Found mx(List<String> hosts) {
    if (hosts.isEmpty()) {
      return missing("There is none: what cannot be delivered comes back to nobody.");
    }
    // RFC 7505: a single dot says that the domain takes no mail.
    return hosts.stream().allMatch(host -> host.matches("(\\d+\\s+)?\\.?"))
        ? wrong("It says that the domain takes no mail.")
        : right("Mail to the domain goes to " + names(hosts) + ".");
  }

  /** Without preferences and final dots. */
  private static String names(List<String> hosts) {
    return hosts.stream()
        .map(host -> host.replaceFirst("^\\d+\\s+", "").replaceFirst("\\.$", ""))
        .collect(Collectors.joining(", "));
  }

  private static Found spf(List<String> records, String domain, String sender) {
    if (records.isEmpty()) {
      return missing("There is none: anybody may send in the name of the domain.");
    }
    if (records.size() > 1) {
      return wrong("There are " + records.size() + "; one is allowed, and none of them counts.");
    }
    String[] words = records.get(0).strip().split("\\s+");
    List<String> terms = Arrays.asList(words).subList(1, words.length);
    for (String term : terms) {
      if (!TERM.matcher(term).matches()) {
        return wrong("It cannot be read at “" + term + "”.");
      }
    }
    List<String> bare =
        terms.stream().map(t -> t.replaceFirst("^[+?~-]", "").toLowerCase(Locale.ROOT)).toList();
    long lookUps = bare.stream().filter(t -> LOOKING_FURTHER.contains(name(t))).count();
    if (lookUps > MOST_LOOK_UPS) {
      return wrong("It makes others look up " + lookUps + " names; 10 are allowed.");
    }
    if (terms.stream().anyMatch(t -> t.matches("(?i)\\+?all"))) {
      return wrong("It ends with “all”: anybody may send in the name of the domain.");
    }
    return named(bare, domain, sender);
  }

  /** Terms begin with a name that ends at a colon, a slash or an equals sign. */
  private static String name(String term) {
    return term.split("[:/=]", 2)[0];
  }

  private static Found named(List<String> terms, String domain, String sender) {
    String host = sender.toLowerCase(Locale.ROOT);
    boolean isNamed =
        terms.contains("a:" + host)
            || terms.contains("ip4:" + host)
            || terms.contains("ip6:" + host)
            || terms.contains("a") && host.equals(domain.toLowerCase(Locale.ROOT));
    if (isNamed) {
      return right("It names " + sender + ".");
    }
    boolean namesOthers = terms.stream().anyMatch(t -> !t.equals("all") && !t.startsWith("exp="));
    return namesOthers
        ? right(
            "It names others than "
                + sender
                + "; whoever runs your mail server knows whether it is among them.")
        : wrong("It names nobody who may send.");
  }

  private static Found dkim(List<String> records) {
    if (records.isEmpty()) {
      return missing("There is none under this name; whoever runs your mail server knows both.");
    }
    List<String[]> tags = tags(records.get(0));
    Optional<String> key = value(tags, "p");
    Optional<String> version = value(tags, "v");
    if (key.isEmpty() || version.isPresent() && !version.get().equals("DKIM1")) {
      return wrong("It holds no key.");
    }
    return key.get().isEmpty()
        ? wrong("Its key was withdrawn.")
        : right("It holds a key. Whether mails are signed with it shows in one that arrives.");
  }

  private static Found dmarc(List<String> records) {
    if (records.isEmpty()) {
      return missing("There is none: some who receive mail believe less of the domain.");
    }
    if (records.size() > 1) {
      return wrong("There are " + records.size() + "; one is allowed, and none of them counts.");
    }
    List<String[]> tags = tags(records.get(0));
    boolean second = tags.size() > 1 && tags.get(1)[0].equals("p");
    String policy = second ? tags.get(1)[1].toLowerCase(Locale.ROOT) : "";
    return switch (policy) {
      case "none" -> right("What is not proved is let through.");
      case "quarantine" -> right("What is not proved goes among unwanted mail.");
      case "reject" -> right("What is not proved is refused.");
      default -> wrong("After its version it must say p=none, p=quarantine or p=reject.");
    };
  }

  private static List<String[]> tags(String record) {
    return Arrays.stream(record.split(";"))
        .map(tag -> tag.split("=", 2))
        .filter(tag -> tag.length == 2)
        .map(tag -> new String[] {tag[0].strip(), tag[1].replaceAll("\\s", "")})
        .toList();
  }

  private static Optional<String> value(List<String[]> tags, String name) {
    return tags.stream().filter(tag -> tag[0].equals(name)).map(tag -> tag[1]).findFirst();
  }

  private static Found right(String words) {
    return new Found(State.RIGHT, words);
  }

  private static Found missing(String words) {
    return new Found(State.MISSING, words);
  }

  private static Found wrong(String words) {
    return new Found(State.WRONG, words);
  }
}
