package app.jemble.workspace;

import app.jemble.core.house.HouseFacts;
import java.time.Duration;
import java.time.ZoneId;
import java.util.Currency;
import java.util.Locale;

/**
 * The house that writes: its name, its clock, its mail domain.
 *
 * @param houseEmail the house's own address, where mailings may come from it; or null
 */
public record Workspace(
    String name,
    String postalAddress,
    String zone,
    String language,
    String returnDomain,
    int holdSeconds,
    byte[] secret,
    String houseEmail) {

  /** What it says of itself. */
  public HouseFacts facts() {
    return new HouseFacts(
        name, postalAddress, zone, language, returnDomain, houseEmail, holdSeconds);
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
    return Currency.getInstance(new Locale.Builder().setRegion(region()).build()).getCurrencyCode();
  }

  public Duration hold() {
    return Duration.ofSeconds(holdSeconds);
  }

  @Override
  public String toString() {
    return "workspace " + name;
  }
}
