package app.jemble.core.filter;

import static app.jemble.core.record.FieldType.CHOICE;
import static app.jemble.core.record.FieldType.DAY;
import static app.jemble.core.record.FieldType.FLAG;
import static app.jemble.core.record.FieldType.INSTANT;
import static app.jemble.core.record.FieldType.INTRODUCER;
import static app.jemble.core.record.FieldType.MONEY;
import static app.jemble.core.record.FieldType.NUMBER;
import static app.jemble.core.record.FieldType.REFERENCE;
import static app.jemble.core.record.FieldType.TAGS;
import static app.jemble.core.record.FieldType.TEXT;

import app.jemble.core.record.FieldType;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/** How a field is compared; the words are those of the filter's sentence. */
public enum Operator {
  IS("is", Takes.ONE, TEXT),
  IS_NOT("is not", Takes.ONE, TEXT),
  CONTAINS("contains", Takes.ONE, TEXT),
  STARTS_WITH("starts with", Takes.ONE, TEXT),
  ONE_OF("is one of", Takes.SOME, TEXT),
  EQUALS("is", Takes.ONE, NUMBER, MONEY),
  DIFFERS("is other than", Takes.ONE, NUMBER, MONEY),
  LESS("is less than", Takes.ONE, NUMBER, MONEY),
  AT_MOST("is at most", Takes.ONE, NUMBER, MONEY),
  MORE("is more than", Takes.ONE, NUMBER, MONEY),
  AT_LEAST("is at least", Takes.ONE, NUMBER, MONEY),
  BEFORE("is before", Takes.ONE, DAY, INSTANT),
  AFTER("is after", Takes.ONE, DAY, INSTANT),
  ON("is on", Takes.ONE, DAY, INSTANT),
  BETWEEN("is between", Takes.TWO, NUMBER, MONEY, DAY, INSTANT),
  IN_PERIOD("is", Takes.PERIOD, DAY, INSTANT),
  IN_LAST("was in the last", Takes.SPAN, DAY, INSTANT),
  IN_NEXT("is in the next", Takes.SPAN, DAY, INSTANT),
  AGO("is more than", "ago", Takes.SPAN, DAY, INSTANT),
  IN_MONTH("is in", "of any year", Takes.MONTH, DAY, INSTANT),
  COMES_ROUND("comes round within", Takes.DAYS, DAY, INSTANT),
  ANY_OF("is any of", Takes.SOME, CHOICE, REFERENCE),
  NONE_OF("is none of", Takes.SOME, CHOICE, REFERENCE),
  IS_ME("is me", Takes.NOTHING, REFERENCE),
  HAS_ANY("has any of", Takes.SOME, TAGS),
  HAS_ALL("has all of", Takes.SOME, TAGS),
  HAS_NONE("has none of", Takes.SOME, TAGS),
  YES("is yes", Takes.NOTHING, FLAG),
  NO("is no", Takes.NOTHING, FLAG),
  INTRODUCED("is", Takes.STEPS, INTRODUCER),
  EMPTY("is empty", Takes.NOTHING, FieldType.values()),
  FILLED("is filled", Takes.NOTHING, FieldType.values());

  /** What stands after the operator. */
  public enum Takes {
    /** nothing */
    NOTHING,
    /** one value of the field's type */
    ONE,
    /** two values of the field's type, both ends counted in */
    TWO,
    /** one or more words, or keys of a reference */
    SOME,
    /** a whole number of days, 0 to 366 */
    DAYS,
    /** a whole number, 0 to 36,500, then days, weeks or months */
    SPAN,
    /** a month, 1 to 12, or last, this, next */
    MONTH,
    /** a {@link Period} in lower case, with a blank between its words */
    PERIOD,
    /** {@code me} or the id of a person, then a whole number of steps, 1 to 9 */
    STEPS
  }

  private final String words;
  private final String after;
  private final Takes takes;
  private final Set<FieldType> types;

  Operator(String words, Takes takes, FieldType... types) {
    this(words, "", takes, types);
  }

  Operator(String words, String after, Takes takes, FieldType... types) {
    this.words = words;
    this.after = after;
    this.takes = takes;
    this.types = EnumSet.copyOf(Arrays.asList(types));
  }

  /** What stands between the field and the operand. */
  public String words() {
    return words;
  }

  /** What stands after the operand; mostly nothing. */
  public String after() {
    return after;
  }

  public Takes takes() {
    return takes;
  }

  public boolean suits(FieldType type) {
    return types.contains(type);
  }

  /** The operators for fields of a type, in the order in which they are offered. */
  public static List<Operator> of(FieldType type) {
    return Arrays.stream(values()).filter(o -> o.suits(type)).toList();
  }
}
