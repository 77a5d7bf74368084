package app.jemble.response;

import app.jemble.account.AccountService;
import app.jemble.core.access.Right;
import app.jemble.core.record.Words;
import app.jemble.core.response.AddressRange;
import app.jemble.core.response.FetchRules;
import app.jemble.problem.Problem;
import app.jemble.response.CountingMapper.CountingRules;
import app.jemble.workspace.WorkspaceService;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Service;

/** By what signs a fetch is taken for software's; administrators tune them. */
@Service
public class CountingService {

  private static final long KNOWN_FOR_NANOS = 1_000_000_000;
  private static final int LONGEST_WITHIN = 600;
  private static final int LONGEST_BURST = 60;
  private static final int MOST_WORDS = 200;
  private static final int LONGEST_WORD = 100;

  private final CountingMapper mapper;
  private final WorkspaceService workspace;
  private final AccountService accounts;

  /**
   * No lock: whoever holds one would wait for a connection, and others wait for it who have one.
   */
  private volatile Read last;

  private record Read(FetchRules rules, long at) {}

  CountingService(CountingMapper mapper, WorkspaceService workspace, AccountService accounts) {
    this.mapper = mapper;
    this.workspace = workspace;
    this.accounts = accounts;
  }

  /** As they are now; read anew after a second, since marks are fetched by the thousand. */
  FetchRules rules() {
    Read known = last;
    if (known == null || System.nanoTime() - known.at() > KNOWN_FOR_NANOS) {
      known = new Read(read(), System.nanoTime());
      last = known;
    }
    return known.rules();
  }

  private FetchRules read() {
    CountingRules counting = counting();
    return new FetchRules(
        Duration.ofSeconds(counting.withinSeconds()),
        Duration.ofSeconds(counting.burstSeconds()),
        counting.agents(),
        counting.ranges().stream().flatMap(r -> AddressRange.of(r).stream()).toList());
  }

  /** How long it takes until a click is known to be a person's, or software's after all. */
  public Duration settling() {
    return rules().burst();
  }

  CountingRules counting() {
    workspace.current();
    return mapper.find();
  }

  /** Holds for what is fetched from now on; what was counted stays as it was. */
  CountingRules change(CountingRules wanted) {
    accounts.currentWith(Right.SETTINGS);
    if (wanted.withinSeconds() < 0 || wanted.withinSeconds() > LONGEST_WITHIN) {
      throw Problem.wrong("withinSeconds", "Choose 0 to 600 seconds.");
    }
    if (wanted.burstSeconds() < 0 || wanted.burstSeconds() > LONGEST_BURST) {
      throw Problem.wrong("burstSeconds", "Choose 0 to 60 seconds.");
    }
    CountingRules clean =
        new CountingRules(
            wanted.withinSeconds(),
            wanted.burstSeconds(),
            words(wanted.agents()),
            words(wanted.ranges()));
    clean.ranges().stream()
        .filter(range -> AddressRange.of(range).isEmpty())
        .findFirst()
        .ifPresent(
            range -> {
              throw Problem.wrong(
                  "ranges",
                  String.format(
                      Locale.ROOT, "“%s” is no address or range, such as 192.0.2.0/24.", range));
            });
    mapper.change(
        clean.withinSeconds(),
        clean.burstSeconds(),
        clean.agents().toArray(String[]::new),
        clean.ranges().toArray(String[]::new));
    last = null;
    return mapper.find();
  }

  private static List<String> words(List<String> given) {
    List<String> words = Words.each(given);
    if (words.size() > MOST_WORDS || words.stream().anyMatch(w -> w.length() > LONGEST_WORD)) {
      throw Problem.wrong("agents", "At most 200 words or ranges, of at most 100 characters each.");
    }
    return words;
  }
}
