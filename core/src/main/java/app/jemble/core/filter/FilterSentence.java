package app.jemble.core.filter;

import app.jemble.core.record.Field;
import app.jemble.core.record.FieldType;
import app.jemble.core.record.Related;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.Month;
import java.time.format.DateTimeFormatter;
import java.time.format.ResolverStyle;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * A filter as one English sentence, without the full stop. {@link FilterSentenceReader} reads it
 * back to the same tree: words that could be taken otherwise stand in “quotes”, and nested groups
 * in brackets.
 */
public final class FilterSentence {

  /** What people call the key of a reference: a login's name, a mailing's title. */
  @FunctionalInterface
  public interface Naming {

    /** Null when there is no better word than the key. */
    String nameOf(Field field, String key);
  }

  static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("d MMMM uuuu", Locale.ENGLISH)
          .withResolverStyle(ResolverStyle.STRICT);
  static final Pattern BARE_WORD = Pattern.compile("[\\p{L}\\p{N}_-]+");
  static final Set<String> JOINTS = Set.of("and", "or");

  private final Naming naming;

  private FilterSentence(Naming naming) {
    this.naming = naming;
  }

  /** For example "members whose last visit is before 1 May 2025". */
  public static String of(Filter filter) {
    return of(filter, (field, key) -> null);
  }

  /** The same, with the names of colleagues and mailings before their keys. */
  public static String of(Filter filter, Naming naming) {
    Filter.Group root =
        filter instanceof Filter.Group g ? g : new Filter.Group(Filter.Match.ALL, List.of(filter));
    return new FilterSentence(naming).sentence(root);
  }

  /** For example "quotes whose total is more than 500": what is asked of records of one kind. */
  public static String ofRecords(Related kind, Filter.Group filter, Naming naming) {
    String body = new FilterSentence(naming).where(filter, true);
    return kind.many() + body;
  }

  private String sentence(Filter.Group root) {
    if (root.parts().isEmpty()) {
      return switch (root.match()) {
        case ALL -> "everyone";
        case ANY -> "nobody";
        case NONE -> "everyone, nothing being ruled out";
      };
    }
    if (root.match() == Filter.Match.ALL && isKinds(root.parts().get(0))) {
      String people = kinds((Filter.Condition) root.parts().get(0));
      List<Filter> rest = root.parts().subList(1, root.parts().size());
      return rest.isEmpty() ? people : people + " " + joined(rest, " and ", true);
    }
    return "people " + body(root, true);
  }

  private static boolean isKinds(Filter filter) {
    return filter instanceof Filter.Condition c
        && c.field().name().equals("kind")
        && c.operator() == Operator.ANY_OF
        && c.field().choices().containsAll(((Operand.Words) c.operand()).words());
  }

  /** Kinds are said as people say them: "members and leads". */
  private static String kinds(Filter.Condition condition) {
    List<String> kinds = ((Operand.Words) condition.operand()).words();
    return kinds.stream().map(k -> k + "s").collect(Collectors.joining(" and "));
  }

  /**
   * The parts of a group that stands alone: the whole filter, or what a related record must hold.
   */
  private String body(Filter.Group group, boolean spoken) {
    List<Filter> parts = group.parts();
    return switch (group.match()) {
      case ALL -> joined(parts, " and ", spoken);
      case ANY ->
          parts.size() == 1
              ? "with at least one of (" + phrase(parts.get(0)) + ")"
              : joined(parts, " or ", spoken);
      case NONE -> "with none of (" + joined(parts, " or ", false) + ")";
    };
  }

  private String joined(List<Filter> parts, String joint, boolean spoken) {
    List<String> phrases = new ArrayList<>();
    for (int i = 0; i < parts.size(); i++) {
      String before = spoken ? pronoun(parts.get(i), i == 0 ? null : parts.get(i - 1)) : "";
      phrases.add(before + phrase(parts.get(i)));
    }
    return String.join(joint, phrases);
  }

  /** "whose", "who", "for whom": said where the way of speaking changes. */
  private static String pronoun(Filter part, Filter before) {
    String word = pronoun(part);
    return before != null && pronoun(before).equals(word) && !word.equals("who ") ? "" : word;
  }

  private static String pronoun(Filter part) {
    if (part instanceof Filter.Condition c) {
      return c.field().type() == FieldType.INTRODUCER ? "who were " : "whose ";
    }
    return part instanceof Filter.Group ? "for whom " : "who ";
  }

  private String phrase(Filter filter) {
    if (filter instanceof Filter.Group group) {
      return nested(group);
    }
    if (filter instanceof Filter.Has has) {
      String many =
          has.atLeast() == 1
              ? article(has.kind().one())
              : "at least " + has.atLeast() + " " + has.kind().many();
      return "have " + many + where(has.where());
    }
    if (filter instanceof Filter.HasNo none) {
      return "have no " + none.kind().one() + where(none.where());
    }
    return condition((Filter.Condition) filter);
  }

  static String article(String word) {
    return ("aeiou".indexOf(word.charAt(0)) >= 0 ? "an " : "a ") + word;
  }

  private String where(Filter.Group where) {
    return where(where, false);
  }

  private String where(Filter.Group where, boolean spoken) {
    if (where.parts().isEmpty()) {
      return switch (where.match()) {
        case ALL -> "";
        case ANY -> " (that cannot be)";
        case NONE -> " (nothing being ruled out)";
      };
    }
    return spoken ? " " + body(where, true) : " (" + body(where, false) + ")";
  }

  private String nested(Filter.Group group) {
    if (group.parts().isEmpty()) {
      return switch (group.match()) {
        case ALL -> "anything fits";
        case ANY -> "nothing fits";
        case NONE -> "nothing is ruled out";
      };
    }
    boolean one = group.parts().size() == 1;
    return switch (group.match()) {
      case ALL -> (one ? "all of (" : "(") + joined(group.parts(), " and ", false) + ")";
      case ANY -> (one ? "any of (" : "(") + joined(group.parts(), " or ", false) + ")";
      case NONE -> "not (" + joined(group.parts(), " or ", false) + ")";
    };
  }

  private String condition(Filter.Condition c) {
    String label = label(c.field());
    if (c.operand() instanceof Operand.Steps steps) {
      return label + " " + steps(steps);
    }
    return List.of(label, c.operator().words(), operand(c), c.operator().after()).stream()
        .filter(w -> !w.isEmpty())
        .collect(Collectors.joining(" "));
  }

  /** As it stands within a sentence; in quotes when it holds a word that joins conditions. */
  static String label(Field field) {
    String label = field.label().toLowerCase(Locale.ENGLISH);
    return (" " + label + " ").matches(".* (and|or) .*") ? quoted(label) : label;
  }

  private static String steps(Operand.Steps asked) {
    String who = asked.person() == null ? "me" : "person " + asked.person();
    return who + (asked.steps() == 1 ? " directly" : " within " + asked.steps() + " steps");
  }

  private String operand(Filter.Condition c) {
    Operand operand = c.operand();
    if (operand instanceof Operand.Text text) {
      return quoted(text.text());
    }
    if (operand instanceof Operand.Words words) {
      return or(words.words().stream().map(w -> word(c.field(), w)).toList());
    }
    if (operand instanceof Operand.Numbers n) {
      return c.operator() == Operator.BETWEEN
          ? both(plain(n.from()), plain(n.to()))
          : plain(n.from());
    }
    if (operand instanceof Operand.Days d) {
      return c.operator() == Operator.BETWEEN ? both(day(d.from()), day(d.to())) : day(d.from());
    }
    if (operand instanceof Operand.Span span) {
      return span.number() + " " + span.unit().words(span.number());
    }
    if (operand instanceof Operand.Count count) {
      return count.days() + (count.days() == 1 ? " day" : " days");
    }
    if (operand instanceof Operand.Month month) {
      return Month.of(month.number()).getDisplayName(TextStyle.FULL, Locale.ENGLISH);
    }
    if (operand instanceof Operand.MonthFromNow month) {
      return month.months() == 0 ? "this month" : month.months() < 0 ? "last month" : "next month";
    }
    return operand instanceof Operand.During during ? during.period().words() : "";
  }

  private String word(Field field, String word) {
    if (field.type() == FieldType.REFERENCE) {
      String name = naming.nameOf(field, word);
      return (name == null ? "" : quoted(name) + " ") + "[" + word.replace("]", "]]") + "]";
    }
    return BARE_WORD.matcher(word).matches() && !JOINTS.contains(word) ? word : quoted(word);
  }

  /** A closing quote inside is doubled. */
  static String quoted(String text) {
    return "“" + text.replace("”", "””") + "”";
  }

  private static String plain(BigDecimal number) {
    return number.toPlainString();
  }

  private static String both(String from, String to) {
    return from + " and " + to;
  }

  private static String or(List<String> words) {
    int last = words.size() - 1;
    return last == 0
        ? words.get(0)
        : String.join(", ", words.subList(0, last)) + " or " + words.get(last);
  }

  private static String day(LocalDate day) {
    return day.format(DAY);
  }
}
