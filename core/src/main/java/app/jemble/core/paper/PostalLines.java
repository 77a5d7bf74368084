package app.jemble.core.paper;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Stream;

/**
 * The lines of a postal address, in the order of its country (UPU S42 and its country sheets, from
 * memory). What is not there takes no line.
 */
public final class PostalLines {

  /** The place, then the postcode on a line of its own. */
  private static final Set<String> POSTCODE_BELOW = Set.of("GB", "IE", "GI", "MT");

  /** The place and the postcode on one line. */
  private static final Set<String> PLACE_FIRST = Set.of("US", "CA", "AU", "NZ", "IN", "SG", "ZA");

  /** The place stands above the street, the postcode below it. */
  private static final Set<String> PLACE_ABOVE = Set.of("HU");

  /** Places are written in capitals. */
  private static final Set<String> CAPITALS = Set.of("GB", "IE", "US", "CA", "AU", "FR", "PL");

  /**
   * An address on record.
   *
   * @param street with the number; lines are parted by a line feed
   * @param country as it was written; empty: that of the house
   */
  public record Postal(String street, String postcode, String place, String country) {

    /** Whether a letter could arrive: there is a place, and something in it. */
    public boolean isWhole() {
      return !place.isBlank() && (!street.isBlank() || !postcode.isBlank());
    }

    /** Its parts, a line each, the street last: as it is stored. */
    public String stored() {
      return String.join("\n", oneLine(postcode), oneLine(place), oneLine(country), street);
    }

    /** Reads what {@link #stored} wrote. */
    public static Postal read(String stored) {
      String[] parts = stored.split("\n", PARTS);
      return new Postal(parts[PARTS - 1], parts[0], parts[1], parts[2]);
    }

    private static String oneLine(String part) {
      return part.replaceAll("\\s+", " ");
    }
  }

  private static final int PARTS = 4;

  private PostalLines() {}

  /**
   * The lines below the name.
   *
   * @param house where letters are posted; its own addresses have no line for the country
   * @param language of the line for the country
   */
  public static List<String> of(Postal address, Country house, Locale language) {
    boolean unknown = !address.country().isBlank() && Country.of(address.country()).isEmpty();
    Country country = Country.of(address.country()).orElse(house);
    String code = unknown ? "" : country.code();
    Locale root = Locale.ROOT;
    String place =
        CAPITALS.contains(code) ? address.place().strip().toUpperCase(root) : address.place();
    String postcode = address.postcode();
    List<String> lines = new ArrayList<>();
    if (PLACE_ABOVE.contains(code)) {
      lines.add(place);
    }
    address.street().lines().forEach(lines::add);
    if (PLACE_ABOVE.contains(code)) {
      lines.add(postcode);
    } else if (POSTCODE_BELOW.contains(code)) {
      lines.add(place);
      lines.add(postcode.toUpperCase(root));
    } else if (PLACE_FIRST.contains(code)) {
      lines.add(place.strip() + (code.equals("CA") ? "  " : " ") + postcode.strip());
    } else {
      lines.add(postcode.strip() + " " + place.strip());
    }
    if (unknown) {
      lines.add(address.country().strip().toUpperCase(language));
    } else if (!country.equals(house)) {
      lines.add(country.line(language));
    }
    return withoutEmpty(lines.stream());
  }

  /** Lines with something in them, blanks around each cut. */
  public static List<String> withoutEmpty(Stream<String> lines) {
    return lines.map(String::strip).filter(line -> !line.isEmpty()).toList();
  }
}
