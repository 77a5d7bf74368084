package app.jemble.core.record;

import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Currency;
import java.util.List;
import java.util.Objects;
import java.util.regex.Pattern;

/** The value of one field of one person. {@link Empty} stands for "not known". */
public sealed interface FieldValue {

  /** Not known: no value, or a text of blanks alone. */
  FieldValue EMPTY = new Empty();

  /** Words, also for choices. Never blank: {@link #text} makes {@link Empty} of a blank text. */
  record Text(String text) implements FieldValue {
    public Text {
      if (text.isBlank()) {
        throw new IllegalArgumentException("a blank text is an empty value");
      }
    }
  }

  /** A plain number. */
  record Amount(BigDecimal number) implements FieldValue {
    public Amount {
      Objects.requireNonNull(number);
    }
  }

  /** An amount of a currency (ISO 4217). */
  record Money(BigDecimal amount, Currency currency) implements FieldValue {
    public Money {
      Objects.requireNonNull(amount);
      Objects.requireNonNull(currency);
    }
  }

  /** A day of the calendar, without a time or a zone. */
  record Day(LocalDate day) implements FieldValue {
    public Day {
      Objects.requireNonNull(day);
    }
  }

  /** A point in time; shown and compared as a day in the workspace's zone. */
  record Moment(Instant instant) implements FieldValue {
    public Moment {
      Objects.requireNonNull(instant);
    }
  }

  /** Yes or no. */
  record Flag(boolean yes) implements FieldValue {}

  /** Several words; never an empty list: {@link #tags} makes {@link Empty} of that. */
  record Tags(List<String> tags) implements FieldValue {
    public Tags {
      tags = List.copyOf(tags);
      if (tags.isEmpty()) {
        throw new IllegalArgumentException("no tags at all is an empty value");
      }
    }
  }

  /** Words that stand in lines of their own, such as an address; never an empty list. */
  record Lines(List<String> lines) implements FieldValue {
    public Lines {
      lines = List.copyOf(lines);
      if (lines.isEmpty()) {
        throw new IllegalArgumentException("no lines at all are an empty value");
      }
    }
  }

  /**
   * A picture on record.
   *
   * @param key its unguessable name
   */
  record Picture(String key) implements FieldValue {
    /** What the address of every picture on record begins with. */
    public static final String PATH = "/pictures/";

    private static final Pattern KEY = Pattern.compile("[A-Za-z0-9_-]+");

    public Picture {
      if (!KEY.matcher(key).matches()) {
        throw new IllegalArgumentException("not the key of a picture: " + key);
      }
    }

    /** Where it is found, from the application's own address on. */
    public String path() {
      return PATH + key;
    }
  }

  /**
   * Who introduced a person, and who introduced those, nearest first; never empty.
   *
   * @param ids of people on record
   */
  record Introducers(List<PersonId> ids) implements FieldValue {
    public Introducers {
      ids = List.copyOf(ids);
      if (ids.isEmpty()) {
        throw new IllegalArgumentException("nobody at all is an empty value");
      }
    }
  }

  /** Nothing known. */
  record Empty() implements FieldValue {}

  static FieldValue text(String text) {
    return text == null || text.isBlank() ? EMPTY : new Text(text);
  }

  static FieldValue lines(List<String> lines) {
    return lines.isEmpty() ? EMPTY : new Lines(lines);
  }

  static FieldValue day(LocalDate day) {
    return day == null ? EMPTY : new Day(day);
  }

  static FieldValue moment(Instant instant) {
    return instant == null ? EMPTY : new Moment(instant);
  }

  static FieldValue money(BigDecimal amount, String currency) {
    return amount == null || currency == null
        ? EMPTY
        : new Money(amount, Currency.getInstance(currency));
  }

  static FieldValue tags(List<String> tags) {
    return tags == null || tags.isEmpty() ? EMPTY : new Tags(tags);
  }

  static FieldValue picture(String key) {
    return key == null ? EMPTY : new Picture(key);
  }

  static FieldValue introducers(List<PersonId> ids) {
    return ids == null || ids.isEmpty() ? EMPTY : new Introducers(ids);
  }

  default boolean isEmpty() {
    return this instanceof Empty;
  }

  /**
   * Whether a conditional passage shows for this value: not empty, not zero, not "no" (domain rules
   * for {@code {{#field}}}).
   */
  default boolean isTruthy() {
    if (this instanceof Amount a) {
      return a.number().signum() != 0;
    }
    if (this instanceof Money m) {
      return m.amount().signum() != 0;
    }
    if (this instanceof Flag f) {
      return f.yes();
    }
    return !isEmpty();
  }
}
