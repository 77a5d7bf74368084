package app.jemble.core.series;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The steps of a series in their order, with those that were taken away: whoever had one of them is
 * past its place, and goes on from there.
 *
 * @param all by place, from 1 on
 */
public record Steps(List<Step> all) {

  /**
   * One of them.
   *
   * @param gone taken away: past for all
   * @param had how many people have had it or were passed over by it
   */
  public record Step(long id, int place, Wait waits, boolean gone, long had) {
    Step at(int other) {
      return new Step(id, other, waits, gone, had);
    }
  }

  public Steps {
    all = all.stream().sorted(Comparator.comparingInt(Step::place)).toList();
  }

  public List<Step> live() {
    return all.stream().filter(s -> !s.gone()).toList();
  }

  /**
   * The step that comes next for somebody.
   *
   * @param passed the last that they had or were passed over by; null for none
   * @return empty when they are past the last
   */
  public Optional<Step> after(Long passed) {
    int place = passed == null ? 0 : find(passed).place();
    return live().stream().filter(s -> s.place() > place).findFirst();
  }

  /** Of those steps that somebody may be past last, null for none, after which one comes next. */
  public List<Long> leadingTo(long id) {
    List<Long> leading = new ArrayList<>();
    Stream.concat(Stream.of((Long) null), all.stream().map(Step::id))
        .filter(passed -> after(passed).filter(next -> next.id() == id).isPresent())
        .forEach(leading::add);
    return leading;
  }

  private Step find(long id) {
    return all.stream()
        .filter(s -> s.id() == id)
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("The series never had a step " + id));
  }

  /**
   * Puts a step in before another, or at the end.
   *
   * @param before a step's id; null for the end
   */
  public Steps with(Step added, Long before) {
    List<Step> now = new ArrayList<>(all);
    int at = before == null ? now.size() : now.indexOf(find(before));
    now.add(at, added);
    return numbered(now);
  }

  /**
   * The live steps in another order. Those that were taken away stay behind the ones that they came
   * after.
   *
   * @param wanted ids of all live steps
   * @throws SeriesException when a step that somebody had would change its place, or one is missing
   */
  public Steps inOrder(List<Long> wanted) {
    List<Long> now = live().stream().map(Step::id).toList();
    if (!now.stream().sorted().toList().equals(wanted.stream().sorted().toList())) {
      throw new SeriesException("The order names each step once.");
    }
    for (int i = 0; i < now.size(); i++) {
      Step step = find(now.get(i));
      if (step.had() > 0 && !wanted.get(i).equals(step.id())) {
        throw new SeriesException(
            "Only steps that nobody has had change their order; step %d has been had."
                .replace("%d", Integer.toString(i + 1)));
      }
    }
    List<Step> ordered = new ArrayList<>();
    int next = 0;
    for (Step step : all) {
      ordered.add(step.gone() ? step : find(wanted.get(next++)));
    }
    return numbered(ordered);
  }

  private static Steps numbered(List<Step> steps) {
    List<Step> numbered = new ArrayList<>();
    for (Step step : steps) {
      numbered.add(step.at(numbered.size() + 1));
    }
    return new Steps(numbered);
  }
}
