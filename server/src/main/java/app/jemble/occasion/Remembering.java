package app.jemble.occasion;

import app.jemble.account.AccountService;
import app.jemble.occasion.OccasionMapper.Shown;
import app.jemble.occasion.OccasionMapper.TurnRow;
import app.jemble.problem.Problem;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What colleagues do with days that come round: nod, send late, let go. */
@Service
public class Remembering {

  private static final int MOST = 500;
  private static final int MISSED_FOR = 60;

  private final OccasionMapper mapper;
  private final OccasionRun run;
  private final OccasionHouse house;
  private final AccountService accounts;
  private final Clock clock;

  Remembering(
      OccasionMapper mapper,
      OccasionRun run,
      OccasionHouse house,
      AccountService accounts,
      Clock clock) {
    this.mapper = mapper;
    this.run = run;
    this.house = house;
    this.accounts = accounts;
    this.clock = clock;
  }

  /** Today's and the next week's, and what was missed in sixty days; 500 at most. */
  public List<Shown> shown() {
    LocalDate today = house.today();
    return mapper.shown(
        today, today.plusDays(OccasionRun.DAYS_AHEAD), today.minusDays(MISSED_FOR), MOST);
  }

  public LocalDate today() {
    return house.today();
  }

  /** Lets these leave when their hour has come; answers how many were waiting for it. */
  @Transactional
  public int nod(List<Long> turns) {
    return decide(turns, "AWAITS", "NODDED");
  }

  /** Takes the nod back for as long as nothing has left. */
  @Transactional
  public int notYet(List<Long> turns) {
    return decide(turns, "NODDED", "AWAITS");
  }

  /** These are not said this time. */
  @Transactional
  public int letGo(List<Long> turns) {
    long me = accounts.currentWriter().id();
    return mapper.decide(
        turns.toArray(Long[]::new),
        new String[] {"AWAITS", "NODDED", "MISSED"},
        "LET_GO",
        me,
        clock.instant());
  }

  private int decide(List<Long> turns, String from, String to) {
    long me = accounts.currentWriter().id();
    return mapper.decide(turns.toArray(Long[]::new), new String[] {from}, to, me, clock.instant());
  }

  /** Says now what was missed; answers how many left. */
  @Transactional
  public int sendLate(List<Long> turns) {
    accounts.currentWriter();
    List<TurnRow> missed =
        mapper.lockTurns(turns.toArray(Long[]::new)).stream()
            .filter(turn -> turn.state().equals("MISSED"))
            .toList();
    Map<Long, List<TurnRow>> byOccasion =
        missed.stream().collect(Collectors.groupingBy(TurnRow::occasionId));
    int left = 0;
    for (Map.Entry<Long, List<TurnRow>> entry : byOccasion.entrySet()) {
      StandingMailing of = mapper.held(entry.getKey());
      if (of.state() != StandingMailing.State.ACTIVE) {
        throw Problem.conflict("“" + of.name() + "” is paused; let it go on first.");
      }
      left += run.sendLate(of, entry.getValue());
    }
    return left;
  }
}
