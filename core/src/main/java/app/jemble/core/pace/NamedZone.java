package app.jemble.core.pace;

import app.jemble.core.record.Words;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** Zones by the city that people say: "Lisbon" is Europe/Lisbon (IANA time zone database). */
public final class NamedZone {

  private static final Map<String, ZoneId> CITIES =
      ZoneId.getAvailableZoneIds().stream()
          .filter(id -> id.contains("/") && !id.startsWith("Etc/") && !id.startsWith("SystemV/"))
          .sorted(Comparator.comparing(String::length).thenComparing(id -> id))
          .map(ZoneId::of)
          .collect(Collectors.toMap(z -> Words.fold(PlanSentence.city(z)), z -> z, (a, b) -> a));

  private NamedZone() {}

  /** By a city or an IANA name, in any case and without accents. */
  public static Optional<ZoneId> of(String name) {
    String wanted = Words.fold(name.strip().replace('_', ' '));
    ZoneId city = CITIES.get(wanted.substring(wanted.lastIndexOf('/') + 1));
    boolean whole = wanted.contains("/");
    return Optional.ofNullable(city)
        .filter(z -> !whole || Words.fold(z.getId().replace('_', ' ')).equals(wanted));
  }
}
