package app.jemble.core.filter;

import app.jemble.core.record.FieldType;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/** How a field is compared; the words are those of the filter's sentence. */
public enum Operator {
  IS("is", Takes.ONE, FieldType.TEXT),
  IS_NOT("is not", Takes.ONE, FieldType.TEXT),
  CONTAINS("contains", Takes.ONE, FieldType.TEXT),
  STARTS_WITH("starts with", Takes.ONE, FieldType.TEXT),
  EQUALS("is", Takes.ONE, FieldType.NUMBER, FieldType.MONEY),
  DIFFERS("is other than", Takes.ONE, FieldType.NUMBER, FieldType.MONEY),
  LESS("is less than", Takes.ONE, FieldType.NUMBER, FieldType.MONEY),
  AT_MOST("is at most", Takes.ONE, FieldType.NUMBER, FieldType.MONEY),
  MORE("is more than", Takes.ONE, FieldType.NUMBER, FieldType.MONEY),
  AT_LEAST("is at least", Takes.ONE, FieldType.NUMBER, FieldType.MONEY),
  BEFORE("is before", Takes.ONE, FieldType.DAY, FieldType.INSTANT),
  AFTER("is after", Takes.ONE, FieldType.DAY, FieldType.INSTANT),
  ON("is on", Takes.ONE, FieldType.DAY, FieldType.INSTANT),
  BETWEEN(
      "is between", Takes.TWO, FieldType.NUMBER, FieldType.MONEY, FieldType.DAY, FieldType.INSTANT),
  IN_LAST_DAYS("was in the last days", Takes.DAYS, FieldType.DAY, FieldType.INSTANT),
  IN_NEXT_DAYS("is in the next days", Takes.DAYS, FieldType.DAY, FieldType.INSTANT),
  DAYS_AGO("is more days ago than", Takes.DAYS, FieldType.DAY, FieldType.INSTANT),
  IN_MONTH("is in the month of", Takes.MONTH, FieldType.DAY, FieldType.INSTANT),
  ANY_OF("is any of", Takes.SOME, FieldType.CHOICE),
  NONE_OF("is none of", Takes.SOME, FieldType.CHOICE),
  HAS_ANY("has any of", Takes.SOME, FieldType.TAGS),
  HAS_ALL("has all of", Takes.SOME, FieldType.TAGS),
  HAS_NONE("has none of", Takes.SOME, FieldType.TAGS),
  YES("is yes", Takes.NOTHING, FieldType.FLAG),
  NO("is no", Takes.NOTHING, FieldType.FLAG),
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
    /** one or more words */
    SOME,
    /** a whole number of days, 0 to 36,500 */
    DAYS,
    /** a month, 1 to 12 */
    MONTH
  }

  private final String words;
  private final Takes takes;
  private final Set<FieldType> types;

  Operator(String words, Takes takes, FieldType... types) {
    this.words = words;
    this.takes = takes;
    this.types = EnumSet.copyOf(Arrays.asList(types));
  }

  public String words() {
    return words;
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
