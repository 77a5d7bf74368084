package app.jemble.workspace;

import app.jemble.core.house.HouseFacts;
import app.jemble.core.record.DayOrder;
import app.jemble.core.record.DayStyle;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.ZoneId;
import java.util.Currency;
import java.util.Locale;

/**
 * The house that writes: its name, its clock, its mail domain.
 *
 * @param houseEmail the house's own address, where mailings may come from it; or null
 * @param ownCurrency where it is not that of its country; or null
 * @param ownDayOrder where it is not that of its language; or null
 * @param ownWeekStart where it is not that of its country; or null
 */
public record Workspace(
    String name,
    String postalAddress,
    String zone,
    String language,
    String returnDomain,
    int holdSeconds,
    byte[] secret,
    String houseEmail,
    String ownCurrency,
    DayOrder ownDayOrder,
    DayOfWeek ownWeekStart) {

  /** What it says of itself. */
  public HouseFacts facts() {
    return new HouseFacts(
        name,
        postalAddress,
        zone,
        language,
        returnDomain,
        houseEmail,
        holdSeconds,
        ownCurrency,
        ownDayOrder,
        ownWeekStart);
  }

  public ZoneId zoneId() {
    return ZoneId.of(zone);
  }

  public Locale locale() {
    return Locale.forLanguageTag(language);
  }

  /** The country (ISO 3166-1 alpha-2) of phone numbers written without one. */
  public String region() {
    return locale().getCountry().isEmpty() ? "GB" : locale().getCountry();
  }

  /** The currency (ISO 4217) of amounts written without one. */
  public String currency() {
    return ownCurrency == null
        ? Currency.getInstance(new Locale.Builder().setRegion(region()).build()).getCurrencyCode()
        : ownCurrency;
  }

  /** The order in which days are written here. */
  public DayOrder dayOrder() {
    return ownDayOrder == null ? DayOrder.of(locale()) : ownDayOrder;
  }

  /** How days are written and weeks counted here. */
  public DayStyle dayStyle() {
    return new DayStyle(
        dayOrder(), ownWeekStart == null ? DayStyle.weekStartIn(region()) : ownWeekStart);
  }

  public Duration hold() {
    return Duration.ofSeconds(holdSeconds);
  }

  @Override
  public String toString() {
    return "workspace " + name;
  }
}
