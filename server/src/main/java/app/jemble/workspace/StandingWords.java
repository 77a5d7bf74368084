package app.jemble.workspace;

import app.jemble.core.house.StandingWord;
import app.jemble.core.house.StandingWord.About;
import app.jemble.core.record.Words;
import app.jemble.problem.Problem;
import app.jemble.storage.RenamedWord;
import app.jemble.workspace.StandingWordMapper.WordRow;
import java.time.Clock;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The house's own words for where members and leads stand, and for kinds of tasks. */
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
              .map(row -> new StandingWord(row.name(), row.isRetired(), row.counts()))
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

  public List<Holders> holders() {
    return mapper.holders().stream()
        .map(row -> new Holders(row.about(), row.name(), row.people()))
        .toList();
  }

  private List<StandingWord> locked(About about) {
    return byAbout(mapper.lock()).get(about);
  }

  @Transactional
  public void add(About about, String name) {
    mapper.add(about, sound(about, locked(about), name, null));
  }

  /** Whoever has it follows, and every filter that asks for it. */
  @Transactional
  public void rename(About about, String name, String to) {
    List<StandingWord> words = locked(about);
    String before = known(words, name);
    String after = sound(about, words, to, before);
    mapper.rename(about, before, after);
    followers.forEach(f -> f.follow(new RenamedWord(about.field(), before, after)));
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

  private static String known(List<StandingWord> words, String name) {
    return words.stream()
        .map(StandingWord::name)
        .filter(word -> word.equals(name))
        .findFirst()
        .orElseThrow(() -> Problem.notFound("There is no such word."));
  }

  private static String sound(About about, List<StandingWord> words, String name, String before) {
    String tidy = name == null ? "" : Words.tidy(name).strip();
    StandingWord.faultOfName(about, words, tidy, before)
        .ifPresent(
            fault -> {
              throw Problem.wrong("name", fault);
            });
    return tidy;
  }
}
