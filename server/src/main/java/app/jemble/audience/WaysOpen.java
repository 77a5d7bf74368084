package app.jemble.audience;

import app.jemble.consent.Consents;
import app.jemble.core.reach.Channel;
import app.jemble.core.reach.Reach;
import app.jemble.core.reach.Ways;
import app.jemble.core.record.EmailAddress;
import app.jemble.core.record.PersonId;
import app.jemble.people.PeopleService;
import app.jemble.people.PersonRecord;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;

/** How each of an audience is reached, as far as it is known when it is looked at. */
final class WaysOpen {

  private final Ways ways;
  private final Map<Channel, Set<PersonId>> notOnWay = new EnumMap<>(Channel.class);
  private final Map<Channel, Set<String>> taken = new EnumMap<>(Channel.class);
  private final Set<PersonId> leftOut;
  private final Set<String> numbersNotToWrite;
  private final Set<PersonId> appsNotToWrite;
  private final Map<PersonId, Set<String>> lettersCameBack;

  /**
   * @param leftOut who is left out by hand
   */
  WaysOpen(
      PeopleService people, Consents consents, Ways ways, long topicId, Set<PersonId> leftOut) {
    this.ways = ways;
    this.leftOut = leftOut;
    for (Channel way : ways.inOrder()) {
      notOnWay.put(way, consents.notOnWay(topicId, way));
      taken.put(way, new HashSet<>());
    }
    this.numbersNotToWrite = ways.has(Channel.TEXT) ? people.numbersNotToWrite() : Set.of();
    this.lettersCameBack = ways.has(Channel.POST) ? people.lettersCameBack() : Map.of();
    this.appsNotToWrite = ways.has(Channel.APP) ? people.appsNotToWrite() : Set.of();
  }

  /** How somebody is reached, when it is asked of each by itself. */
  Ways.Found to(PersonRecord person) {
    return ways.first(way -> reach(person, way, false));
  }

  /** How somebody is reached when a way has closed: by one that comes after it. */
  Ways.Found after(Ways.Shut shut, PersonRecord person) {
    return ways.after(shut, way -> reach(person, way, false));
  }

  /** The same as {@link #to}; whoever comes later with the same address is not written to there. */
  Ways.Found toNext(PersonRecord person) {
    Map<Channel, String> keys = new HashMap<>();
    Ways.Found found =
        ways.first(
            way -> {
              String address = person.address(way);
              String key = address == null ? null : EmailAddress.key(address);
              keys.put(way, key);
              return reach(
                  person, way, key != null && isOneBox(way) && taken.get(way).contains(key));
            });
    if (found.isReady()) {
      taken.get(found.channel()).add(keys.get(found.channel()));
    }
    return found;
  }

  /** Many live at one postal address; each has a letter. */
  private static boolean isOneBox(Channel way) {
    return !way.isByHand();
  }

  private Reach reach(PersonRecord person, Channel way, boolean sameAddress) {
    return Reach.by(
        way,
        new Reach.Facts(
            person.address(way),
            person.askedNot(),
            notOnWay.get(way).contains(person.id()),
            isNotWrittenTo(person, way),
            sameAddress,
            leftOut.contains(person.id())),
        way == Channel.POST && cameBack(person));
  }

  private boolean cameBack(PersonRecord person) {
    String address = person.address(Channel.POST);
    return address != null && lettersCameBack.getOrDefault(person.id(), Set.of()).contains(address);
  }

  private boolean isNotWrittenTo(PersonRecord person, Channel way) {
    String address = person.address(way);
    return switch (way) {
      case EMAIL -> person.doNotWrite();
      case TEXT -> address != null && numbersNotToWrite.contains(address);
      case APP -> appsNotToWrite.contains(person.id());
      case POST -> false;
    };
  }
}
