package app.jemble.core.pace;

import app.jemble.core.reach.Channel;
import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The zones of an audience in its order, and by which way each is reached; four octets a person.
 */
public final class Clocks {

  /** Where somebody is, and how they are reached there. */
  record Place(ZoneId zone, Channel way) {}

  private final List<Place> places = new ArrayList<>();
  private final Map<Place, Integer> known = new HashMap<>();
  private int[] ofPerson = new int[64];
  private int size;

  /** The next person's zone, where it is not known the workspace's; they are reached by e-mail. */
  public void add(ZoneId zone) {
    add(zone, Channel.EMAIL);
  }

  /** The next person's zone, where it is not known the workspace's, and their way. */
  public void add(ZoneId zone, Channel way) {
    if (size == ofPerson.length) {
      ofPerson = Arrays.copyOf(ofPerson, size * 2);
    }
    Place asked = new Place(zone, way);
    Integer place = known.get(asked);
    if (place == null) {
      place = places.size();
      known.put(asked, place);
      places.add(asked);
    }
    ofPerson[size++] = place;
  }

  /** A zone by its IANA name; where there is none, or none known here, the other one. */
  public static ZoneId zone(String name, ZoneId otherwise) {
    if (name == null) {
      return otherwise;
    }
    try {
      return ZoneId.of(name);
    } catch (DateTimeException unknownHere) {
      return otherwise;
    }
  }

  public static Clocks of(List<ZoneId> zones) {
    Clocks clocks = new Clocks();
    zones.forEach(clocks::add);
    return clocks;
  }

  public int size() {
    return size;
  }

  /** The zone of one person by their place. */
  public ZoneId zone(int person) {
    return places.get(ofPerson[person]).zone();
  }

  /** Whether a phone rings with anybody. */
  public boolean anyRings() {
    return places.stream().anyMatch(place -> place.way().rings());
  }

  /** How many people each zone has, the one with most first. */
  public List<Share> shares() {
    Map<ZoneId, Integer> counts = new LinkedHashMap<>();
    int[][] people = people();
    for (int p = 0; p < people.length; p++) {
      counts.merge(places.get(p).zone(), people[p].length, Integer::sum);
    }
    List<Share> shares = new ArrayList<>();
    counts.forEach((zone, count) -> shares.add(new Share(zone, count)));
    shares.sort((a, b) -> Integer.compare(b.people(), a.people()));
    return shares;
  }

  /** How many people a zone has. */
  public record Share(ZoneId zone, int people) {}

  List<Place> places() {
    return places;
  }

  /** By place, its people in the order of the audience. */
  int[][] people() {
    int[] counts = new int[places.size()];
    for (int i = 0; i < size; i++) {
      counts[ofPerson[i]]++;
    }
    int[][] people = new int[places.size()][];
    for (int p = 0; p < counts.length; p++) {
      people[p] = new int[counts[p]];
    }
    int[] next = new int[places.size()];
    for (int i = 0; i < size; i++) {
      people[ofPerson[i]][next[ofPerson[i]]++] = i;
    }
    return people;
  }
}
