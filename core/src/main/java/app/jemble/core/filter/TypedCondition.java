package app.jemble.core.filter;

import app.jemble.core.record.Field;
import app.jemble.core.record.FieldType;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What is asked of a field, as people write it after its name. */
final class TypedCondition {

  private static final List<String> IS = List.of("is any of", "has any of", "is", "are", "was");
  private static final List<String> ABSENT =
      List.of("never", "empty", "unknown", "missing", "none", "not known");
  private static final List<String> PRESENT = List.of("known", "filled", "ever");
  private static final List<String> IS_NOT = List.of("is not", "not");
  private static final List<String> CONTAINS = List.of("contains", "with", "like", "has");
  private static final List<String> STARTS =
      List.of("starts with", "begins with", "starting with", "beginning with");
  private static final List<List<String>> COMPARED = List.of(IS_NOT, CONTAINS, STARTS);
  private static final List<String> OR = List.of(",", "or");
  private static final Pattern NUMBER =
      Pattern.compile("[£$€]?(\\d{1,12}(?:,\\d{3})*(?:\\.\\d{1,6})?)");
  private static final Pattern WITH_DIGIT = Pattern.compile("[\\p{L}\\d./-]*\\d[\\p{L}\\d./-]*");

  /** Texts that are asked for as a whole rather than for a part of them. */
  private static final Set<String> WHOLE =
      Set.of("number", "email", "address.postcode", "time_zone", "language", "honorific");

  static final int LONGEST_NAME = 10;

  private final TypedCursor at;
  private final TypedHouse.Calendar calendar;
  private final TypedNames names;

  /** Whether something else than a value begins here, such as another field. */
  private final Predicate<TypedCursor> endsHere;

  TypedCondition(TypedCursor at, TypedHouse house, Predicate<TypedCursor> endsHere) {
    this.at = at;
    this.calendar = house.calendar();
    this.names = new TypedNames(house);
    this.endsHere = endsHere;
  }

  /** Null, and nothing taken, when nothing here is asked of the field, or nothing that can be. */
  Filter read(Field field) {
    int begun = at.position();
    Filter read = presence(field);
    if (read == null) {
      at.moveTo(begun);
      read = compared(field);
    }
    if (read == null) {
      at.moveTo(begun);
    }
    return read;
  }

  private Filter compared(Field field) {
    try {
      return switch (field.type()) {
        case DAY, INSTANT -> new TypedDayCondition(at, field, calendar).read();
        case NUMBER, MONEY -> number(field);
        case CHOICE, REFERENCE, TAGS -> named(field);
        case FLAG -> flag(field);
        case INTRODUCER -> introduced(field);
        default -> text(field);
      };
    } catch (FilterException outOfRange) {
      return null;
    }
  }

  /** "never", "unknown", "known". */
  private Filter.Condition presence(Field field) {
    at.takeAny(List.of("is", "are"));
    if (at.takeAny(ABSENT)) {
      return bare(field, Operator.EMPTY);
    }
    return at.takeAny(PRESENT) ? bare(field, Operator.FILLED) : null;
  }

  static Filter.Condition bare(Field field, Operator operator) {
    return new Filter.Condition(field, operator, new Operand.None());
  }

  private Filter.Condition flag(Field field) {
    at.takeAny(IS);
    return at.takeAny(List.of("no", "not"))
        ? bare(field, Operator.NO)
        : at.take("yes") ? bare(field, Operator.YES) : null;
  }

  private Filter.Condition introduced(Field field) {
    return at.take("me")
        ? new Filter.Condition(field, Operator.INTRODUCED, new Operand.Steps(null, 1))
        : null;
  }

  private Filter.Condition number(Field field) {
    at.takeAny(IS);
    if (at.take("between")) {
      BigDecimal from = number();
      BigDecimal to = from != null && at.takeAny(List.of("and", "to")) ? number() : null;
      return to == null ? null : numbers(field, Operator.BETWEEN, from, to);
    }
    Operator operator = compared();
    BigDecimal value = number();
    return value == null ? null : numbers(field, operator, value, value);
  }

  private Operator compared() {
    if (at.takeAny(List.of("at least", "from", ">="))) {
      return Operator.AT_LEAST;
    }
    if (at.takeAny(List.of("at most", "up to", "<="))) {
      return Operator.AT_MOST;
    }
    if (at.takeAny(List.of("more than", "over", "above", "greater than", ">"))) {
      return Operator.MORE;
    }
    if (at.takeAny(List.of("less than", "under", "below", "fewer than", "<"))) {
      return Operator.LESS;
    }
    return at.takeAny(List.of("not", "other than")) ? Operator.DIFFERS : Operator.EQUALS;
  }

  private static Filter.Condition numbers(
      Field field, Operator operator, BigDecimal from, BigDecimal to) {
    return new Filter.Condition(field, operator, new Operand.Numbers(from, to));
  }

  private BigDecimal number() {
    return at.longest(1, TypedCondition::amount);
  }

  private static BigDecimal amount(String word) {
    Matcher found = NUMBER.matcher(word);
    return found.matches() ? new BigDecimal(found.group(1).replace(",", "")) : null;
  }

  /** One or more of what the house calls by name. */
  private Filter.Condition named(Field field) {
    at.takeAny(IS);
    boolean not = at.takeAny(List.of("not", "none of", "has none of", "is none of"));
    if (field.type() == FieldType.REFERENCE && at.take("me")) {
      return bare(field, Operator.IS_ME);
    }
    return among(field, not, words -> names.calledAtFirst(field, words));
  }

  /** The same of a value that stands without its field, by its whole name alone; null if none. */
  Filter.Condition value(Field field) {
    return among(field, false, words -> names.called(field, words));
  }

  private Filter.Condition among(Field field, boolean not, UnaryOperator<String> keyOf) {
    List<String> keys = new ArrayList<>();
    String key = at.longest(LONGEST_NAME, keyOf);
    while (key != null) {
      keys.add(key);
      int begun = at.position();
      boolean more = at.takeAny(OR) || at.take("and");
      key = more ? at.longest(LONGEST_NAME, keyOf) : null;
      if (key == null) {
        at.moveTo(begun);
      }
    }
    boolean tags = field.type() == FieldType.TAGS;
    Operator any = tags ? Operator.HAS_ANY : Operator.ANY_OF;
    Operator none = tags ? Operator.HAS_NONE : Operator.NONE_OF;
    return keys.isEmpty()
        ? null
        : new Filter.Condition(field, not ? none : any, new Operand.Words(keys));
  }

  private Filter text(Field field) {
    boolean plain = !at.takesNext(COMPARED);
    Operator asked = asked(field);
    List<String> values = new ArrayList<>();
    String value = phrase();
    while (value != null) {
      values.add(value);
      int begun = at.position();
      value = at.takeAny(OR) ? phrase() : null;
      if (value == null) {
        at.moveTo(begun);
      }
    }
    if (values.size() <= 1) {
      return values.isEmpty() ? null : texted(field, asked, values.get(0));
    }
    if (plain || asked == Operator.IS) {
      return new Filter.Condition(field, Operator.ONE_OF, new Operand.Words(values));
    }
    boolean not = asked == Operator.IS_NOT;
    return new Filter.Group(
        not ? Filter.Match.ALL : Filter.Match.ANY,
        values.stream().map(v -> texted(field, asked, v)).toList());
  }

  private static Filter texted(Field field, Operator operator, String value) {
    return new Filter.Condition(field, operator, new Operand.Text(value));
  }

  private Operator asked(Field field) {
    if (at.takeAny(IS_NOT)) {
      return Operator.IS_NOT;
    }
    if (at.takeAny(CONTAINS)) {
      return Operator.CONTAINS;
    }
    if (at.takeAny(STARTS)) {
      return Operator.STARTS_WITH;
    }
    boolean whole = at.takeAny(List.of("is one of", "is", "are")) | WHOLE.contains(field.name());
    at.take("in");
    return whole ? Operator.IS : Operator.CONTAINS;
  }

  /** What stands in quotes, or the words until something else begins; null for none. */
  private String phrase() {
    if (at.isDone()) {
      return null;
    }
    if (at.here().quoted()) {
      String quoted = at.next().raw();
      return quoted.isBlank() ? null : quoted;
    }
    int begun = at.position();
    while (!at.isDone() && !at.here().quoted() && !endsHere.test(at)) {
      at.next();
    }
    return at.position() == begun ? null : at.between(begun, at.position());
  }

  /** Numbers of members or quotes that stand by themselves: "2031, 2032 or Q-2033"; else null. */
  Filter.Condition numbered(Field number) {
    List<String> values = new ArrayList<>();
    String value = at.longest(1, TypedCondition::withDigit);
    while (value != null) {
      values.add(value);
      int begun = at.position();
      while (at.takeAny(OR) || at.take("and")) {
        // between them may stand what people put there, or nothing
      }
      value = at.longest(1, TypedCondition::withDigit);
      if (value == null) {
        at.moveTo(begun);
      }
    }
    if (values.isEmpty()) {
      return null;
    }
    return values.size() == 1
        ? new Filter.Condition(number, Operator.IS, new Operand.Text(values.get(0)))
        : new Filter.Condition(number, Operator.ONE_OF, new Operand.Words(values));
  }

  private static String withDigit(String word) {
    return WITH_DIGIT.matcher(word).matches() ? word : null;
  }
}
