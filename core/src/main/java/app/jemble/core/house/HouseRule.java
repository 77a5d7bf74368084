package app.jemble.core.house;

import app.jemble.core.record.EmailAddress;
import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Currency;
import java.util.EnumSet;
import java.util.IllformedLocaleException;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/** What is right for each of the {@link HouseFacts}. */
public final class HouseRule {

  private static final int LONGEST = 200;
  private static final int LONGEST_HOLD = 3600;

  private HouseRule() {}

  /**
   * What is wrong.
   *
   * @param field of the facts, by its name
   * @param right what would be right, to follow on "takes"
   */
  public record Fault(String field, String right) {}

  /** Of all countries (Unicode CLDR), but for the Maldives, where it is Friday. */
  private static final Set<DayOfWeek> WEEK_STARTS =
      EnumSet.of(DayOfWeek.MONDAY, DayOfWeek.SATURDAY, DayOfWeek.SUNDAY);

  public static Optional<Fault> faultOf(HouseFacts facts) {
    return faultsOf(facts).stream().findFirst();
  }

  /** All that is wrong, in the order of the facts. */
  public static List<Fault> faultsOf(HouseFacts facts) {
    String line = "one line of up to 200 characters";
    List<Fault> faults = new ArrayList<>();
    check(faults, "name", isLine(facts.name()) && !facts.name().isBlank(), line);
    check(faults, "address", isLine(facts.address()), line);
    check(faults, "zone", isZone(facts.zone()), "a zone such as Europe/London");
    check(faults, "language", isLanguage(facts.language()), "a language such as en-GB");
    check(
        faults,
        "mailDomain",
        DomainName.isOne(facts.mailDomain()),
        "a domain such as quay.example");
    boolean isEmail = facts.email() == null || EmailAddress.isValid(facts.email());
    check(faults, "email", isEmail, "an e-mail address");
    boolean isHold = facts.holdSeconds() >= 0 && facts.holdSeconds() <= LONGEST_HOLD;
    check(faults, "holdSeconds", isHold, "a number of seconds up to 3600");
    check(faults, "currency", isCurrency(facts.currency()), "a currency such as EUR");
    boolean isStart = facts.weekStart() == null || WEEK_STARTS.contains(facts.weekStart());
    check(faults, "weekStart", isStart, "Monday, Saturday or Sunday");
    return faults;
  }

  private static void check(List<Fault> faults, String field, boolean isRight, String right) {
    if (!isRight) {
      faults.add(new Fault(field, right));
    }
  }

  static boolean isLine(String said) {
    return said != null
        && said.length() <= LONGEST
        && said.chars().noneMatch(Character::isISOControl);
  }

  private static boolean isZone(String zone) {
    try {
      return zone != null && ZoneId.getAvailableZoneIds().contains(ZoneId.of(zone).getId());
    } catch (DateTimeException unknown) {
      return false;
    }
  }

  private static boolean isCurrency(String code) {
    return code == null
        || Currency.getAvailableCurrencies().stream()
            .anyMatch(currency -> currency.getCurrencyCode().equals(code));
  }

  private static boolean isLanguage(String language) {
    try {
      return language != null
          && !new Locale.Builder().setLanguageTag(language).build().getLanguage().isEmpty();
    } catch (IllformedLocaleException none) {
      return false;
    }
  }
}
