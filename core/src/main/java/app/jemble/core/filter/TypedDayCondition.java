package app.jemble.core.filter;

import app.jemble.core.record.Field;
import app.jemble.core.record.TypedDay;
import java.time.LocalDate;
import java.time.Month;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * What is asked of a day, as people write it: "before may", "in the last 3 weeks", "over a year
 * ago", "2024", "this week", "within 14 days" of a birthday. The words are common practice.
 */
final class TypedDayCondition {

  /** Fields of days that mostly lie ahead. */
  private static final Set<String> AHEAD =
      Set.of("renews_on", "valid_until", "due_on", "starts", "until");

  /** Fields of which the day in the year is asked, not the year. */
  private static final String EVERY_YEAR = "birthday";

  private static final int MONTHS_A_YEAR = 12;
  private static final int WEEKS_A_FORTNIGHT = 2;
  private static final int MOST_SPAN = 36_500;
  private static final int DAYS_A_YEAR = 366;

  private final TypedCursor at;
  private final Field field;
  private final TypedDayRange days;

  TypedDayCondition(TypedCursor at, Field field, TypedHouse.Calendar calendar) {
    this.at = at;
    this.field = field;
    this.days =
        new TypedDayRange(
            calendar, AHEAD.contains(field.name()) ? TypedDay.Lean.AHEAD : TypedDay.Lean.BACK);
  }

  /** Null when nothing here is asked of a day. */
  Filter.Condition read() {
    at.takeAny(List.of("is", "was", "are", "were"));
    Filter.Condition read = eachYear();
    if (read == null) {
      read = period();
    }
    if (read == null) {
      read = span();
    }
    return read == null ? range() : read;
  }

  private Filter.Condition condition(Operator operator, String... values) {
    return new Filter.Condition(field, operator, Operand.read(field, operator, List.of(values)));
  }

  private Filter.Condition range() {
    if (at.takeAny(List.of("before", "earlier than"))) {
      return onRange(days.take(at), r -> condition(Operator.BEFORE, r.from().toString()));
    }
    if (at.takeAny(List.of("until", "till", "by", "up to"))) {
      return onRange(days.take(at), r -> before(r.to().plusDays(1)));
    }
    if (at.takeAny(List.of("after", "later than"))) {
      return onRange(days.take(at), r -> condition(Operator.AFTER, r.to().toString()));
    }
    if (at.take("since")) {
      return onRange(days.take(at), r -> after(r.from().minusDays(1)));
    }
    if (at.takeAny(List.of("between", "from"))) {
      DayRange first = days.take(at);
      DayRange last =
          first != null && at.takeAny(List.of("and", "to", "until")) ? days.take(at) : null;
      return last == null
          ? onRange(first, r -> after(r.from().minusDays(1)))
          : condition(Operator.BETWEEN, first.from().toString(), last.to().toString());
    }
    at.takeAny(List.of("on", "in", "during"));
    return onRange(
        days.take(at),
        r ->
            r.from().equals(r.to())
                ? condition(Operator.ON, r.from().toString())
                : condition(Operator.BETWEEN, r.from().toString(), r.to().toString()));
  }

  private Filter.Condition before(LocalDate day) {
    return condition(Operator.BEFORE, day.toString());
  }

  private Filter.Condition after(LocalDate day) {
    return condition(Operator.AFTER, day.toString());
  }

  private static Filter.Condition onRange(
      DayRange range, Function<DayRange, Filter.Condition> made) {
    return range == null ? null : made.apply(range);
  }

  /** "in the last 3 weeks", "next 10 days", "over a year ago". */
  private Filter.Condition span() {
    int begun = at.position();
    at.takeAny(List.of("in", "within", "during"));
    at.take("the");
    if (at.takeAny(List.of("last", "past"))) {
      return spanned(Operator.IN_LAST, begun);
    }
    if (at.takeAny(List.of("next", "coming"))) {
      return spanned(Operator.IN_NEXT, begun);
    }
    at.moveTo(begun);
    if (at.takeAny(List.of("more than", "over", "longer than"))) {
      Filter.Condition read = spanned(Operator.AGO, begun);
      at.take("ago");
      return read;
    }
    return null;
  }

  private Filter.Condition spanned(Operator operator, int begun) {
    Operand.Span span = length();
    if (span == null) {
      at.moveTo(begun);
      return null;
    }
    return new Filter.Condition(field, operator, span);
  }

  /** "3 weeks", "a year", "week" for one; a year is twelve months, a fortnight two weeks. */
  private Operand.Span length() {
    Integer counted = at.longest(1, TypedDayCondition::count);
    if (at.isDone()) {
      return null;
    }
    int number = counted == null ? 1 : counted;
    String unit = at.next().folded().replaceAll("s$", "");
    Operand.Span read =
        switch (unit) {
          case "day" -> new Operand.Span(number, Operand.Unit.DAYS);
          case "week" -> new Operand.Span(number, Operand.Unit.WEEKS);
          case "fortnight" -> new Operand.Span(number * WEEKS_A_FORTNIGHT, Operand.Unit.WEEKS);
          case "month" -> new Operand.Span(number, Operand.Unit.MONTHS);
          case "year" -> new Operand.Span(number * MONTHS_A_YEAR, Operand.Unit.MONTHS);
          default -> null;
        };
    return read == null || read.number() > MOST_SPAN ? null : read;
  }

  private static Integer count(String word) {
    if (word.equals("a") || word.equals("an") || word.equals("one")) {
      return 1;
    }
    return word.matches("\\d{1,5}") ? Integer.valueOf(word) : null;
  }

  private Filter.Condition period() {
    int begun = at.position();
    at.takeAny(List.of("in", "during", "on"));
    for (Period period : Period.values()) {
      if (at.take(period.words())) {
        return new Filter.Condition(field, Operator.IN_PERIOD, new Operand.During(period));
      }
    }
    at.moveTo(begun);
    return null;
  }

  /** "comes round within 14 days"; for birthdays also "this week", "in may", "next 14 days". */
  private Filter.Condition eachYear() {
    int begun = at.position();
    boolean round = at.takeAny(List.of("comes round", "coming round", "comes up"));
    if (!round && !field.name().equals(EVERY_YEAR)) {
      return null;
    }
    Optional<Filter.Condition> read = soon().or(this::inMonth);
    if (read.isEmpty()) {
      at.moveTo(begun);
    }
    return read.orElse(null);
  }

  private Optional<Filter.Condition> soon() {
    int begun = at.position();
    if (at.take("today")) {
      return Optional.of(round(0));
    }
    if (at.takeAny(List.of("this week", "soon"))) {
      return Optional.of(round(7));
    }
    at.takeAny(List.of("in", "within"));
    at.take("the");
    at.takeAny(List.of("next", "coming"));
    Operand.Span span = length();
    int ahead =
        span == null
            ? -1
            : span.number()
                * switch (span.unit()) {
                  case DAYS -> 1;
                  case WEEKS -> 7;
                  case MONTHS -> 31;
                };
    if (ahead < 0 || ahead > DAYS_A_YEAR) {
      at.moveTo(begun);
      return Optional.empty();
    }
    return Optional.of(round(ahead));
  }

  private Filter.Condition round(int ahead) {
    return new Filter.Condition(field, Operator.COMES_ROUND, new Operand.Count(ahead));
  }

  private Optional<Filter.Condition> inMonth() {
    int begun = at.position();
    at.take("in");
    for (String which : List.of("last", "this", "next")) {
      if (at.take(which + " month")) {
        return Optional.of(condition(Operator.IN_MONTH, which));
      }
    }
    Month month = at.longest(1, word -> TypedDayRange.named(word).orElse(null));
    if (month == null) {
      at.moveTo(begun);
      return Optional.empty();
    }
    at.take("of any year");
    return Optional.of(condition(Operator.IN_MONTH, Integer.toString(month.getValue())));
  }
}
