package app.jemble.workspace;

import app.jemble.core.record.Words;
import app.jemble.problem.Problem;
import app.jemble.storage.RenamedWord;
import java.time.Clock;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.function.Predicate;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The words that a house has of its own: topics of mailings and plans of members. */
@Service
public class HouseWords {

  private static final int LONGEST = 60;

  private final WorkspaceMapper mapper;
  private final ObjectProvider<RenamedWord.Follower> followers;
  private final Clock clock;

  HouseWords(WorkspaceMapper mapper, ObjectProvider<RenamedWord.Follower> followers, Clock clock) {
    this.mapper = mapper;
    this.followers = followers;
    this.clock = clock;
  }

  /** In the order in which they came. */
  public List<WorkspaceService.Topic> topics() {
    return mapper.topics().stream()
        .sorted(Comparator.comparingLong(WorkspaceMapper.TopicRow::id))
        .map(t -> new WorkspaceService.Topic(t.id(), t.name(), t.isRetired()))
        .toList();
  }

  /**
   * Gives a topic to nothing any more, or gives it again; what has it keeps it.
   *
   * @return what it is called
   */
  @Transactional
  public String retireTopic(long id, boolean retired) {
    mapper.lockTopics();
    List<WorkspaceService.Topic> topics = topics();
    String name =
        topics.stream()
            .filter(t -> t.id() == id)
            .findFirst()
            .orElseThrow(() -> Problem.notFound("There is no such topic."))
            .name();
    if (retired && topics.stream().allMatch(t -> t.retired() || t.id() == id)) {
      throw Problem.conflict("Whatever is written has a topic; add another first.");
    }
    mapper.retireTopic(id, retired ? clock.instant() : null);
    return name;
  }

  /** Gives a plan to nobody any more, or gives it again; whoever has it keeps it. */
  @Transactional
  public void retirePlan(String name, boolean retired) {
    if (mapper.retirePlan(name, retired ? clock.instant() : null) == 0) {
      throw noPlan();
    }
  }

  /** A plan, and how many people have it. */
  public record Plan(String name, long members, boolean retired) {}

  public List<Plan> plans() {
    return mapper.planRows().stream()
        .map(p -> new Plan(p.name(), p.members(), p.isRetired()))
        .toList();
  }

  @Transactional
  public void addTopic(String name) {
    mapper.addTopic(free(name, topic -> true));
  }

  /**
   * Every filter that asks for it follows.
   *
   * @return what it was called
   */
  @Transactional
  public String renameTopic(long id, String name) {
    String before =
        topics().stream()
            .filter(t -> t.id() == id)
            .findFirst()
            .orElseThrow(() -> Problem.notFound("There is no such topic."))
            .name();
    String after = free(name, other -> !other.equalsIgnoreCase(before));
    mapper.renameTopic(id, after);
    followers.forEach(f -> f.follow(RenamedWord.ofPeople("topic_left", before, after)));
    return before;
  }

  private String free(String name, Predicate<String> isAnother) {
    String tidy = tidy(name);
    if (topics().stream().map(t -> t.name()).filter(isAnother).anyMatch(tidy::equalsIgnoreCase)) {
      throw Problem.wrong("name", "There is a topic called “" + tidy + "” already.");
    }
    return tidy;
  }

  @Transactional
  public void addPlan(String name) {
    if (mapper.addPlan(freePlan(name, "")) == 0) {
      throw planTaken(name);
    }
  }

  /** Whoever has it follows, and every filter that asks for it. */
  @Transactional
  public void renamePlan(String name, String to) {
    String after = freePlan(to, name);
    if (mapper.renamePlan(name, after) == 0) {
      throw noPlan();
    }
    followers.forEach(f -> f.follow(RenamedWord.ofPeople("plan", name, after)));
  }

  private String freePlan(String name, String own) {
    String tidy = tidy(name);
    if (mapper.plans().stream()
        .anyMatch(p -> p.equalsIgnoreCase(tidy) && !p.equalsIgnoreCase(own))) {
      throw planTaken(tidy);
    }
    return tidy;
  }

  /**
   * Puts plans in another order.
   *
   * @param names all of them, each once
   */
  @Transactional
  public void orderPlans(List<String> names) {
    if (!new HashSet<>(names).equals(new HashSet<>(mapper.plans()))
        || names.size() != mapper.plans().size()) {
      throw Problem.conflict("The plans were changed in the meantime. Look again.");
    }
    mapper.orderPlans(names.toArray(String[]::new));
  }

  /** Does away with a plan that nobody has. */
  @Transactional
  public void removePlan(String name) {
    if (!mapper.plans().contains(name)) {
      throw noPlan();
    }
    if (mapper.removePlan(name) == 0) {
      throw Problem.conflict("Somebody has the plan “" + name + "”. Give them another first.");
    }
  }

  private static String tidy(String name) {
    String tidy = name == null ? "" : Words.tidy(name).strip();
    if (tidy.isEmpty() || tidy.length() > LONGEST || tidy.contains(",")) {
      throw Problem.wrong("name", "A name of up to 60 characters, without a comma.");
    }
    return tidy;
  }

  private static Problem planTaken(String name) {
    return Problem.wrong("name", "There is a plan called “" + name + "” already.");
  }

  private static Problem noPlan() {
    return Problem.notFound("There is no such plan.");
  }
}
