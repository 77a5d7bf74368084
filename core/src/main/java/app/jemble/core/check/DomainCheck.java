package app.jemble.core.check;

import app.jemble.core.record.PersonId;
import app.jemble.core.record.Words;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * Domains of addresses that are likely mistyped: had by one or two people, and one letter off a
 * domain that many in the same audience have. No list of mail providers: the audience is its own.
 */
final class DomainCheck {

  private static final int FEW = 2;
  private static final int MANY = 20;

  private final Map<String, Integer> counts = new HashMap<>();

  /** The people of rare domains; a domain that becomes common is forgotten again. */
  private final Map<String, List<PersonId>> rare = new HashMap<>();

  void add(PersonId personId, String address) {
    String domain = address.substring(address.lastIndexOf('@') + 1).toLowerCase(Locale.ROOT);
    int count = counts.merge(domain, 1, Integer::sum);
    if (count <= FEW) {
      rare.computeIfAbsent(domain, d -> new ArrayList<>()).add(personId);
    } else {
      rare.remove(domain);
    }
  }

  /** By likely meant domain, the people whose domain is one letter off. */
  Map<String, List<PersonId>> likelyMistyped() {
    List<String> common =
        counts.entrySet().stream()
            .filter(e -> e.getValue() >= MANY)
            .map(Map.Entry::getKey)
            .sorted()
            .toList();
    Map<String, List<PersonId>> mistyped = new LinkedHashMap<>();
    rare.forEach(
        (domain, people) ->
            common.stream()
                .filter(c -> isOneOff(domain, c))
                .findFirst()
                .ifPresent(
                    c -> mistyped.computeIfAbsent(c, x -> new ArrayList<>()).addAll(people)));
    return mistyped;
  }

  /** One letter more, less or other, or two neighbours swapped. */
  private static boolean isOneOff(String domain, String common) {
    int longer = domain.length() - common.length();
    if (longer < -1 || longer > 1) {
      return false;
    }
    int distance = Words.distance(domain, common);
    return distance == 1 || (distance == 2 && longer == 0 && isSwapped(domain, common));
  }

  private static boolean isSwapped(String a, String b) {
    int at = 0;
    while (a.charAt(at) == b.charAt(at)) {
      at++;
    }
    return at + 1 < a.length()
        && a.charAt(at) == b.charAt(at + 1)
        && a.charAt(at + 1) == b.charAt(at);
  }
}
