package app.jemble.plan;

import app.jemble.core.pace.Clocks;
import app.jemble.core.reach.Channel;
import app.jemble.core.record.PersonId;
import app.jemble.people.PersonRecord;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** The zones of those who will be written to, in the order in which they are. */
public final class ReaderClocks {

  private final ZoneId house;
  private final Clocks clocks = new Clocks();
  private final Map<String, ZoneId> known = new HashMap<>();
  private final List<PersonId> without = new ArrayList<>();

  public ReaderClocks(ZoneId house) {
    this.house = house;
  }

  public void add(PersonRecord person, Channel way) {
    if (person.timeZone() == null) {
      without.add(person.id());
    }
    add(person.timeZone(), way);
  }

  /**
   * The next of them.
   *
   * @param zone by its IANA name; null: the workspace's
   */
  public void add(String zone, Channel way) {
    clocks.add(
        zone == null ? house : known.computeIfAbsent(zone, name -> Clocks.zone(name, house)), way);
  }

  public Clocks clocks() {
    return clocks;
  }

  /** Those whose zone is not on record. */
  public List<PersonId> without() {
    return without;
  }

  public ZoneId house() {
    return house;
  }
}
