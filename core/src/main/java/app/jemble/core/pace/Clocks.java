package app.jemble.core.pace;

import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** The zones of an audience in its order, four octets a person. */
public final class Clocks {

  private final List<ZoneId> zones = new ArrayList<>();
  private final Map<ZoneId, Integer> known = new HashMap<>();
  private int[] ofPerson = new int[64];
  private int size;

  /** The next person's zone; where it is not known, the workspace's. */
  public void add(ZoneId zone) {
    if (size == ofPerson.length) {
      ofPerson = Arrays.copyOf(ofPerson, size * 2);
    }
    Integer place = known.get(zone);
    if (place == null) {
      place = zones.size();
      known.put(zone, place);
      zones.add(zone);
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
    return zones.get(ofPerson[person]);
  }

  /** How many people each zone has, the one with most first. */
  public List<Share> shares() {
    List<Share> shares = new ArrayList<>();
    int[][] people = people();
    for (int z = 0; z < zones.size(); z++) {
      shares.add(new Share(zones.get(z), people[z].length));
    }
    shares.sort((a, b) -> Integer.compare(b.people(), a.people()));
    return shares;
  }

  /** How many people a zone has. */
  public record Share(ZoneId zone, int people) {}

  List<ZoneId> zones() {
    return zones;
  }

  /** By zone, its people in the order of the audience. */
  int[][] people() {
    int[] counts = new int[zones.size()];
    for (int i = 0; i < size; i++) {
      counts[ofPerson[i]]++;
    }
    int[][] people = new int[zones.size()][];
    for (int z = 0; z < counts.length; z++) {
      people[z] = new int[counts[z]];
    }
    int[] next = new int[zones.size()];
    for (int i = 0; i < size; i++) {
      people[ofPerson[i]][next[ofPerson[i]]++] = i;
    }
    return people;
  }
}
