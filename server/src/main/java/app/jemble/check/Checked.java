package app.jemble.check;

import app.jemble.audience.About;
import app.jemble.core.check.Finding;
import app.jemble.core.check.PaperCheck;
import app.jemble.core.check.TextCheck;
import app.jemble.core.pace.Clocks;
import app.jemble.core.pace.Collisions;
import app.jemble.core.reach.Reach;
import app.jemble.core.reach.Ways;
import app.jemble.core.record.PersonId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What a look at everyone found. Holds a name a person and no more, so that a hundred thousand are
 * kept with ease.
 *
 * @param version the mailing's, when it was looked at
 * @param entries those who want a look first, then those who are ready, then those who cannot be
 *     written to, each in order of name
 * @param lacks by merge field, how many of those who are ready have no value
 * @param clocks where those are who are ready, in the order in which they are written to
 * @param ready those who are ready, in that order
 * @param collisions what they have waiting in other mailings
 * @param texts what their text messages come to
 * @param paper what their letters come to on paper; null as long as they were not laid on it
 */
public record Checked(
    int version,
    List<Entry> entries,
    List<Finding> findings,
    Map<String, Long> lacks,
    Clocks clocks,
    List<Entry> ready,
    Collisions collisions,
    TextCheck.TextSum texts,
    PaperCheck.PaperSum paper) {

  /**
   * One person of the audience.
   *
   * @param about the record the message is about
   * @param odd whether a notice is about this person
   */
  public record Entry(
      PersonId personId, String name, About about, Ways.Found way, boolean ownWords, boolean odd) {
    public Reach reach() {
      return way.reach();
    }

    boolean isReady() {
      return way.isReady();
    }
  }

  /** What is known when all have been looked at. */
  record Outcome(Clocks clocks, Collisions collisions, TextCheck.TextSum texts) {}

  /** Puts those who want a look first. */
  static Checked of(
      int version,
      List<Entry> inOrderOfName,
      List<Finding> findings,
      Map<String, Long> lacks,
      Outcome outcome) {
    return of(version, inOrderOfName, findings, lacks, outcome, null);
  }

  private static Checked of(
      int version,
      List<Entry> inOrderOfName,
      List<Finding> findings,
      Map<String, Long> lacks,
      Outcome outcome,
      PaperCheck.PaperSum paper) {
    Set<PersonId> odd = new HashSet<>();
    findings.forEach(f -> odd.addAll(f.people()));
    List<Entry> sorted = new ArrayList<>(inOrderOfName.size());
    for (Entry e : inOrderOfName) {
      sorted.add(
          new Entry(
              e.personId(),
              e.name(),
              e.about(),
              e.way(),
              e.ownWords(),
              odd.contains(e.personId())));
    }
    sorted.sort(Comparator.comparing(e -> e.isReady() ? e.odd() ? 0 : 1 : 2));
    List<Entry> ready = inOrderOfName.stream().filter(Entry::isReady).toList();
    return new Checked(
        version,
        List.copyOf(sorted),
        findings,
        lacks,
        outcome.clocks(),
        ready,
        outcome.collisions(),
        outcome.texts(),
        paper);
  }

  /** The same with what the letters came to, when all were laid on their pages. */
  Checked withPaper(PaperCheck paper) {
    List<Finding> all = new ArrayList<>(findings);
    all.removeIf(PaperCheck::finds);
    all.addAll(paper.findings());
    // Each part of the list is in order of name; a few move to the front.
    List<Entry> inOrder = new ArrayList<>(ready);
    entries.stream().filter(e -> !e.isReady()).forEach(inOrder::add);
    return of(version, inOrder, all, lacks, new Outcome(clocks, collisions, texts), paper.sum());
  }

  /** What was found about each of these people. */
  Map<PersonId, List<Finding>> findingsOf(Set<PersonId> people) {
    Map<PersonId, List<Finding>> byPerson = new HashMap<>();
    for (Finding finding : findings) {
      for (PersonId person : finding.people()) {
        if (people.contains(person)) {
          byPerson.computeIfAbsent(person, p -> new ArrayList<>()).add(finding);
        }
      }
    }
    return byPerson;
  }
}
