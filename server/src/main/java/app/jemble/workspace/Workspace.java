package app.jemble.workspace;

import java.time.Duration;
import java.time.ZoneId;
import java.util.Locale;

/** The house that writes: its name, its clock, its mail domain. */
public record Workspace(
    String name,
    String postalAddress,
    String zone,
    String language,
    String returnDomain,
    int holdSeconds,
    byte[] secret) {

  public ZoneId zoneId() {
    return ZoneId.of(zone);
  }

  public Locale locale() {
    return Locale.forLanguageTag(language);
  }

  public Duration hold() {
    return Duration.ofSeconds(holdSeconds);
  }

  @Override
  public String toString() {
    return "workspace " + name;
  }
}
