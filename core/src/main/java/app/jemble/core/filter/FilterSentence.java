package app.jemble.core.filter;

import java.time.LocalDate;
import java.time.Month;
import java.time.format.DateTimeFormatter;
import java.time.format.TextStyle;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** A filter as one English sentence, without the full stop. */
public final class FilterSentence {

  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH);

  private FilterSentence() {}

  /** For example "members whose last visit is before 1 May 2025". */
  public static String of(Filter filter) {
    if (filter instanceof Filter.Group g && g.parts().isEmpty()) {
      return g.match() == Filter.Match.ANY ? "nobody" : "everyone";
    }
    if (filter instanceof Filter.Group g
        && g.match() == Filter.Match.ALL
        && isKinds(g.parts().get(0))) {
      return kindsFirst(g);
    }
    return "people whose " + phrase(filter, true);
  }

  private static boolean isKinds(Filter filter) {
    return filter instanceof Filter.Condition c
        && c.field().name().equals("kind")
        && c.operator() == Operator.ANY_OF;
  }

  /** Kinds are said as people say them: "members and leads". */
  private static String kindsFirst(Filter.Group group) {
    Operand.Words kinds = (Operand.Words) ((Filter.Condition) group.parts().get(0)).operand();
    String people = kinds.words().stream().map(k -> k + "s").collect(Collectors.joining(" and "));
    List<Filter> rest = group.parts().subList(1, group.parts().size());
    return rest.isEmpty()
        ? people
        : people + " whose " + phrase(new Filter.Group(Filter.Match.ALL, rest), true);
  }

  private static String phrase(Filter filter, boolean outermost) {
    if (filter instanceof Filter.Group group) {
      return groupPhrase(group, outermost);
    }
    Filter.Condition c = (Filter.Condition) filter;
    String label = c.field().label().toLowerCase(Locale.ENGLISH);
    if (c.operand() instanceof Operand.Count n && c.operator() != Operator.IN_MONTH) {
      return label + " " + daysPhrase(c.operator(), n.number());
    }
    return (label + " " + c.operator().words() + " " + operandWords(c)).stripTrailing();
  }

  private static String groupPhrase(Filter.Group group, boolean outermost) {
    if (group.parts().isEmpty()) {
      return group.match() == Filter.Match.ANY ? "nothing fits" : "anything fits";
    }
    String joint = group.match() == Filter.Match.ALL ? " and " : " or ";
    String inside =
        group.parts().stream().map(p -> phrase(p, false)).collect(Collectors.joining(joint));
    if (group.match() == Filter.Match.NONE) {
      return "not (" + inside + ")";
    }
    return outermost || group.parts().size() == 1 ? inside : "(" + inside + ")";
  }

  private static String daysPhrase(Operator operator, int days) {
    String count = days == 1 ? "day" : days + " days";
    return switch (operator) {
      case IN_LAST_DAYS -> "was in the last " + count;
      case IN_NEXT_DAYS -> "is in the next " + count;
      default -> "is more than " + (days == 1 ? "1 day" : count) + " ago";
    };
  }

  private static String operandWords(Filter.Condition c) {
    Operand operand = c.operand();
    if (operand instanceof Operand.Text t) {
      return "“" + t.text() + "”";
    }
    if (operand instanceof Operand.Words w) {
      return or(w.words());
    }
    if (operand instanceof Operand.Numbers n) {
      String from = n.from().toPlainString();
      return c.operator() == Operator.BETWEEN ? from + " and " + n.to().toPlainString() : from;
    }
    if (operand instanceof Operand.Days d) {
      return c.operator() == Operator.BETWEEN
          ? day(d.from()) + " and " + day(d.to())
          : day(d.from());
    }
    if (operand instanceof Operand.Count month) {
      return Month.of(month.number()).getDisplayName(TextStyle.FULL, Locale.ENGLISH);
    }
    return "";
  }

  private static String or(List<String> words) {
    if (words.size() == 1) {
      return words.get(0);
    }
    int last = words.size() - 1;
    return String.join(", ", words.subList(0, last)) + " or " + words.get(last);
  }

  private static String day(LocalDate day) {
    return day.format(DAY);
  }
}
