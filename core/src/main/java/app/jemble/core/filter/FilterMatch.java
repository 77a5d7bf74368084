package app.jemble.core.filter;

import static app.jemble.core.record.Words.fold;

import app.jemble.core.record.FieldValue;
import app.jemble.core.record.PersonId;
import app.jemble.core.record.Related;
import app.jemble.core.record.Values;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Whether a filter holds for one person. This is the meaning of a filter; the SQL made from the
 * same tree must give the same people.
 *
 * <p>An empty value fails every comparison except "is empty", and passes "is not", "is other than",
 * "is none of" and "has none of": people expect "plan is none of Oar" to include those with no
 * plan.
 */
public final class FilterMatch {

  private FilterMatch() {}

  public static boolean holds(Filter filter, Values person, AsOf asOf) {
    if (filter instanceof Filter.Group group) {
      return switch (group.match()) {
        case ALL -> group.parts().stream().allMatch(p -> holds(p, person, asOf));
        case ANY -> group.parts().stream().anyMatch(p -> holds(p, person, asOf));
        case NONE -> group.parts().stream().noneMatch(p -> holds(p, person, asOf));
      };
    }
    if (filter instanceof Filter.Has has) {
      return count(has.kind(), has.where(), person, asOf) >= has.atLeast();
    }
    if (filter instanceof Filter.HasNo none) {
      return count(none.kind(), none.where(), person, asOf) == 0;
    }
    Filter.Condition condition = (Filter.Condition) filter;
    return compare(condition, person.get(condition.field().name()), asOf);
  }

  private static long count(Related kind, Filter where, Values person, AsOf asOf) {
    return person.related(kind).stream().filter(r -> holds(where, r, asOf)).count();
  }

  private static boolean compare(Filter.Condition c, FieldValue value, AsOf asOf) {
    if (value.isEmpty()) {
      return switch (c.operator()) {
        case EMPTY, IS_NOT, DIFFERS, NONE_OF, HAS_NONE -> true;
        default -> false;
      };
    }
    return switch (c.operator()) {
      case EMPTY -> false;
      case FILLED -> true;
      case IS, IS_NOT, CONTAINS, STARTS_WITH -> compareText(c, (FieldValue.Text) value);
      case EQUALS, DIFFERS, LESS, AT_MOST, MORE, AT_LEAST -> compareNumber(c, number(value));
      case BETWEEN ->
          c.operand() instanceof Operand.Numbers
              ? compareNumber(c, number(value))
              : range(c, asOf).holds(day(value, asOf));
      case BEFORE, AFTER, ON, IN_PERIOD, IN_LAST, IN_NEXT, AGO ->
          range(c, asOf).holds(day(value, asOf));
      case IN_MONTH -> day(value, asOf).getMonthValue() == Operand.month(c.operand(), asOf.today());
      case COMES_ROUND ->
          YearDays.within(asOf.today(), ((Operand.Count) c.operand()).days())
              .contains(MonthDay.from(day(value, asOf)));
      case IS_ME -> ((FieldValue.Text) value).text().equals(asOf.login());
      case INTRODUCED -> introduced((Operand.Steps) c.operand(), value, asOf);
      case ONE_OF, ANY_OF -> words(c).contains(fold(((FieldValue.Text) value).text()));
      case NONE_OF -> !words(c).contains(fold(((FieldValue.Text) value).text()));
      case HAS_ANY -> tags(value).stream().anyMatch(words(c)::contains);
      case HAS_ALL -> tags(value).containsAll(words(c));
      case HAS_NONE -> tags(value).stream().noneMatch(words(c)::contains);
      case YES -> ((FieldValue.Flag) value).yes();
      case NO -> !((FieldValue.Flag) value).yes();
    };
  }

  private static boolean compareText(Filter.Condition c, FieldValue.Text value) {
    String has = fold(value.text());
    String asked = fold(((Operand.Text) c.operand()).text());
    return switch (c.operator()) {
      case IS -> has.equals(asked);
      case IS_NOT -> !has.equals(asked);
      case CONTAINS -> has.contains(asked);
      default -> has.startsWith(asked);
    };
  }

  private static boolean compareNumber(Filter.Condition c, BigDecimal has) {
    Operand.Numbers asked = (Operand.Numbers) c.operand();
    int order = has.compareTo(asked.from());
    return switch (c.operator()) {
      case EQUALS -> order == 0;
      case DIFFERS -> order != 0;
      case LESS -> order < 0;
      case AT_MOST -> order <= 0;
      case MORE -> order > 0;
      case AT_LEAST -> order >= 0;
      default -> order >= 0 && has.compareTo(asked.to()) <= 0;
    };
  }

  private static boolean introduced(Operand.Steps asked, FieldValue value, AsOf asOf) {
    PersonId by = asked.person() == null ? asOf.person() : asked.person();
    List<PersonId> chain = ((FieldValue.Introducers) value).ids();
    return by != null && chain.subList(0, Math.min(asked.steps(), chain.size())).contains(by);
  }

  private static DayRange range(Filter.Condition c, AsOf asOf) {
    return DayRange.of(c.operator(), c.operand(), asOf);
  }

  private static LocalDate day(FieldValue value, AsOf asOf) {
    return value instanceof FieldValue.Moment m
        ? asOf.dayOf(m.instant())
        : ((FieldValue.Day) value).day();
  }

  private static BigDecimal number(FieldValue value) {
    return value instanceof FieldValue.Money m ? m.amount() : ((FieldValue.Amount) value).number();
  }

  private static Set<String> words(Filter.Condition c) {
    List<String> words = ((Operand.Words) c.operand()).words();
    return words.stream().map(w -> fold(w)).collect(Collectors.toSet());
  }

  private static Set<String> tags(FieldValue value) {
    List<String> tags = ((FieldValue.Tags) value).tags();
    return tags.stream().map(t -> fold(t)).collect(Collectors.toSet());
  }
}
