package app.jemble.core.record;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.Currency;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Reads what people type, or what stands in a file, as the value of a field.
 *
 * @param zone the workspace's zone, in which times without one are taken
 * @param region the country (ISO 3166-1 alpha-2) of phone numbers written without one
 * @param currency the currency (ISO 4217) of amounts written without one
 * @param days how days are written besides ISO 8601
 */
public record FieldReader(ZoneId zone, String region, String currency, DayOrder days) {

  private static final int LONGEST = 4000;
  private static final int LONGEST_NAME = 200;
  private static final Set<String> YES = Set.of("yes", "y", "true", "1", "x");
  private static final Set<String> NO = Set.of("no", "n", "false", "0");
  private static final Pattern SYMBOLS = Pattern.compile("[£€$\\s\\u00a0']");
  private static final Pattern CODE = Pattern.compile("[A-Z]{3}");
  private static final Pattern THOUSANDS = Pattern.compile("-?\\d{1,3}(,\\d{3})+(\\.\\d*)?");

  public FieldReader {
    Objects.requireNonNull(zone);
    Objects.requireNonNull(region);
    Objects.requireNonNull(currency);
    Objects.requireNonNull(days);
  }

  /**
   * The value; a blank text is an empty value.
   *
   * @throws FieldException with a sentence when the text is no value of the field
   */
  public FieldValue read(Field field, String given) {
    String text = given == null ? "" : Words.tidy(given);
    if (text.isEmpty()) {
      return FieldValue.EMPTY;
    }
    if (text.length() > LONGEST) {
      throw wrong(field, "at most " + LONGEST + " letters", text);
    }
    if (text.indexOf('\0') >= 0) {
      throw wrong(field, "text without control characters", text.replace("\0", "␀"));
    }
    return switch (field.type()) {
      case TEXT -> text(field, text);
      case NUMBER -> new FieldValue.Amount(number(field, text));
      case MONEY -> money(field, text);
      case DAY -> new FieldValue.Day(day(field, text));
      case INSTANT -> new FieldValue.Moment(instant(field, text));
      case FLAG -> flag(field, text);
      case CHOICE -> choice(field, text);
      case TAGS -> tags(text);
      case REFERENCE -> FieldValue.text(text.toLowerCase(Locale.ROOT));
      case PICTURE -> throw wrong(field, "a picture put on record", text);
      case INTRODUCER -> throw wrong(field, "a person on record", text);
    };
  }

  private FieldValue text(Field field, String text) {
    return switch (field.name()) {
      case "email" -> {
        if (!EmailAddress.isValid(text)) {
          throw wrong(field, "one address such as bea@quay.example", text);
        }
        yield FieldValue.text(text);
      }
      case "phone" ->
          FieldValue.text(
              PhoneNumber.international(text, region)
                  .orElseThrow(() -> wrong(field, "a number such as +44 7700 900123", text)));
      case "time_zone" -> FieldValue.text(zone(field, text));
      case "language" -> FieldValue.text(language(field, text));
      default -> {
        if (text.length() > LONGEST_NAME && !isAttribute(field)) {
          throw wrong(field, "at most " + LONGEST_NAME + " letters", text);
        }
        yield FieldValue.text(oneLine(text));
      }
    };
  }

  /** What people are listed and found by stands in indexes, which take no more. */
  private static boolean isAttribute(Field field) {
    return FieldCatalogue.standard().find(field.name()).isEmpty();
  }

  /** A value is one line: a line break within it would break the line it is merged into. */
  private static String oneLine(String text) {
    return text.replaceAll("\\s*\\R\\s*", " ");
  }

  private static String zone(Field field, String text) {
    if (!ZoneId.getAvailableZoneIds().contains(text)) {
      throw wrong(field, "a zone such as Europe/London", text);
    }
    return text;
  }

  private static String language(Field field, String text) {
    Locale language = Locale.forLanguageTag(text.replace('_', '-'));
    if (language.getLanguage().isEmpty()) {
      throw wrong(field, "a language such as en-GB", text);
    }
    return language.toLanguageTag();
  }

  private static BigDecimal number(Field field, String text) {
    String plain = SYMBOLS.matcher(text).replaceAll("");
    if (THOUSANDS.matcher(plain).matches()) {
      plain = plain.replace(",", "");
    }
    plain = plain.replace(',', '.');
    try {
      BigDecimal number = new BigDecimal(plain);
      if (number.precision() <= 20 && Math.abs(number.scale()) <= 10) {
        return number;
      }
    } catch (NumberFormatException notANumber) {
      // answered below, as for a number beyond all measure
    }
    throw wrong(field, "a number such as 42.50", text);
  }

  private FieldValue money(Field field, String text) {
    Matcher code = CODE.matcher(text);
    String named = code.find() ? code.group() : symbolOf(text);
    Currency known = currency(field, named == null ? currency : named, text);
    BigDecimal amount = number(field, CODE.matcher(text).replaceFirst(""));
    if (amount.signum() < 0 || amount.compareTo(new BigDecimal("9999999999")) > 0) {
      throw wrong(field, "an amount from 0 to 9,999,999,999", text);
    }
    return new FieldValue.Money(amount.setScale(2, RoundingMode.HALF_UP), known);
  }

  private static String symbolOf(String text) {
    return text.contains("£") ? "GBP" : text.contains("€") ? "EUR" : null;
  }

  private static Currency currency(Field field, String code, String text) {
    try {
      return Currency.getInstance(code);
    } catch (IllegalArgumentException unknown) {
      throw wrong(field, "an amount with a currency such as GBP", text);
    }
  }

  private LocalDate day(Field field, String text) {
    return days.read(text).orElseThrow(() -> wrong(field, "a day such as " + days.example(), text));
  }

  private Instant instant(Field field, String text) {
    try {
      if (text.endsWith("Z")) {
        return Instant.parse(text);
      }
      if (text.length() >= 16) {
        return LocalDateTime.parse(text.replace(' ', 'T')).atZone(zone).toInstant();
      }
    } catch (DateTimeException notATime) {
      // it may still be a day
    }
    return day(field, text).atStartOfDay(zone).toInstant();
  }

  private static FieldValue flag(Field field, String text) {
    String word = text.toLowerCase(Locale.ROOT);
    if (YES.contains(word) || NO.contains(word)) {
      return new FieldValue.Flag(YES.contains(word));
    }
    throw wrong(field, "yes or no", text);
  }

  private static FieldValue choice(Field field, String text) {
    return field.choices().stream()
        .filter(c -> Words.fold(c).equals(Words.fold(text)))
        .findFirst()
        .map(FieldValue::text)
        .orElseThrow(() -> wrong(field, "one of " + String.join(", ", field.choices()), text));
  }

  /** Each tag once, however it is written. */
  private static FieldValue tags(String text) {
    Set<String> seen = new HashSet<>();
    List<String> tags =
        Stream.of(text.split("[,;|]"))
            .map(String::strip)
            .filter(t -> !t.isEmpty() && seen.add(Words.fold(t)))
            .toList();
    return FieldValue.tags(tags);
  }

  private static FieldException wrong(Field field, String right, String given) {
    String shown = given.length() > 60 ? given.substring(0, 60) + "…" : given;
    return new FieldException(
        field.name(), field.label() + " takes " + right + ", not “" + shown + "”.");
  }
}
