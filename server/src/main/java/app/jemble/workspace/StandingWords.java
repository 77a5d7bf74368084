package app.jemble.workspace;

import app.jemble.core.house.StandingWord;
import app.jemble.core.house.StandingWord.About;
import app.jemble.core.record.Words;
import app.jemble.problem.Problem;
import app.jemble.storage.RenamedWord;
import app.jemble.workspace.StandingWordMapper.WordRow;
import java.time.Clock;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The house's own words for where members and leads stand, kinds of tasks, and offices. */
@Service
public class StandingWords {

  private final StandingWordMapper mapper;
  private final ObjectProvider<RenamedWord.Follower> followers;
  private final Clock clock;

  StandingWords(
      StandingWordMapper mapper, ObjectProvider<RenamedWord.Follower> followers, Clock clock) {
    this.mapper = mapper;
    this.followers = followers;
    this.clock = clock;
  }

  /** All, in their order. */
  public Map<About, List<StandingWord>> all() {
    return byAbout(mapper.all());
  }

  private static Map<About, List<StandingWord>> byAbout(List<WordRow> rows) {
    Map<About, List<StandingWord>> words = new EnumMap<>(About.class);
    for (About about : About.values()) {
      words.put(
          about,
          rows.stream()
              .filter(row -> row.about() == about)
              .map(row -> new StandingWord(row.name(), row.isRetired(), row.counts(), row.group()))
              .toList());
    }
    return words;
  }

  /** What somebody has who becomes a member, and says nothing else. */
  public String ofNewMembers() {
    return StandingWord.usual(all().get(About.STATUS));
  }

  /** How many people have a word, or tasks that are to be done. */
  public record Holders(About about, String name, long people) {}

  /** How many there are of each word; of offices, those who hold one on this day. */
  public List<Holders> holders(LocalDate today) {
    return mapper.holders(today);
  }

  /** A group of offices, and how many people hold one of them. */
  public record OfficeGroup(String name, long people) {}

  /** The groups in their order, with those who hold one of their offices on this day. */
  public List<OfficeGroup> groups(LocalDate today) {
    return mapper.groups(today);
  }

  private List<StandingWord> locked(About about) {
    return byAbout(mapper.lock()).get(about);
  }

  @Transactional
  public void add(About about, String name) {
    mapper.add(about, sound(locked(about), name, null));
  }

  /** Whoever has it follows, and every filter that asks for it. */
  @Transactional
  public void rename(About about, String name, String to) {
    List<StandingWord> words = locked(about);
    String before = known(words, name);
    String after = sound(words, to, before);
    mapper.rename(about, before, after);
    followers.forEach(f -> f.follow(RenamedWord.of(about, before, after)));
  }

  /**
   * Puts them in another order.
   *
   * @param names all of them, each once
   */
  @Transactional
  public void order(About about, List<String> names) {
    if (!StandingWord.isOrder(locked(about), names)) {
      throw Problem.conflict("They were changed in the meantime. Look again.");
    }
    mapper.order(about, names.toArray(String[]::new));
  }

  /** Gives it to nobody any more, or gives it again; whoever has it keeps it. */
  @Transactional
  public void retire(About about, String name, boolean isRetired) {
    List<StandingWord> words = locked(about);
    known(words, name);
    if (isRetired) {
      StandingWord.faultOfRetiring(about, words, name)
          .ifPresent(
              fault -> {
                throw Problem.conflict(fault);
              });
    }
    mapper.retire(about, name, isRetired ? clock.instant() : null);
  }

  /** Whether whoever has a status is a current member. */
  @Transactional
  public void count(String status, boolean counts) {
    known(locked(About.STATUS), status);
    mapper.count(About.STATUS, status, counts);
  }

  /**
   * Puts an office into a group.
   *
   * @param group one that is there, another, or empty for none
   * @return the group that it is in now
   */
  @Transactional
  public String group(String office, String group) {
    List<StandingWord> offices = locked(About.OFFICE);
    known(offices, office);
    StandingWord.faultOfGroup(tidy(group)).ifPresent(StandingWords::refuse);
    String kept = StandingWord.groupOf(offices, tidy(group));
    mapper.group(office, kept);
    return kept;
  }

  /** Every office of the group follows, and every filter that asks for it. */
  @Transactional
  public void renameGroup(String group, String to) {
    List<StandingWord> offices = locked(About.OFFICE);
    if (!StandingWord.groups(offices).contains(group)) {
      throw Problem.notFound("There is no such group.");
    }
    String after = tidy(to);
    StandingWord.faultOfRenamedGroup(offices, group, after).ifPresent(StandingWords::refuse);
    mapper.renameGroup(group, after);
    RenamedWord word =
        new RenamedWord(About.OFFICE.around(), StandingWord.GROUP_FIELD, group, after);
    followers.forEach(f -> f.follow(word));
  }

  private static void refuse(String fault) {
    throw Problem.wrong("name", fault);
  }

  private static String tidy(String name) {
    return name == null ? "" : Words.tidy(name).strip();
  }

  private static String known(List<StandingWord> words, String name) {
    return words.stream()
        .map(StandingWord::name)
        .filter(word -> word.equals(name))
        .findFirst()
        .orElseThrow(() -> Problem.notFound("There is no such word."));
  }

  private static String sound(List<StandingWord> words, String name, String before) {
    String tidy = tidy(name);
    StandingWord.faultOfName(words, tidy, before).ifPresent(StandingWords::refuse);
    return tidy;
  }
}
