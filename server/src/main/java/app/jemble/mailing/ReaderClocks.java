package app.jemble.mailing;

import app.jemble.core.pace.Clocks;
import app.jemble.people.PersonRecord;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** The zones of those who will be written to, in the order in which they are. */
final class ReaderClocks {

  private final ZoneId house;
  private final Clocks clocks = new Clocks();
  private final Map<String, ZoneId> known = new HashMap<>();
  private final List<Long> without = new ArrayList<>();

  ReaderClocks(ZoneId house) {
    this.house = house;
  }

  void add(PersonRecord person) {
    if (person.timeZone() == null) {
      without.add(person.id());
    }
    add(person.timeZone());
  }

  /** A zone by its IANA name; where there is none, the workspace's. */
  void add(String zone) {
    clocks.add(
        zone == null ? house : known.computeIfAbsent(zone, name -> Clocks.zone(name, house)));
  }

  Clocks clocks() {
    return clocks;
  }

  /** Those whose zone is not on record. */
  List<Long> without() {
    return without;
  }

  ZoneId house() {
    return house;
  }
}
