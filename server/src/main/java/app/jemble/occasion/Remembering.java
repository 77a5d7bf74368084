package app.jemble.occasion;

import app.jemble.account.AccountService;
import app.jemble.core.occasion.TurnState;
import app.jemble.core.occasion.TurnState.Decision;
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

  /** What a colleague decides of these; answers of how many it could be decided. */
  @Transactional
  public int decide(Decision decision, List<Long> turns) {
    long me = accounts.currentWriter().id();
    return mapper.decide(
        turns.toArray(Long[]::new),
        decision.from().stream().map(TurnState::name).toArray(String[]::new),
        decision.to(),
        me,
        clock.instant());
  }

  /** Says now what was missed; answers how many left. */
  @Transactional
  public int sendLate(List<Long> turns) {
    accounts.currentWriter();
    List<TurnRow> missed =
        mapper.lockTurns(turns.toArray(Long[]::new)).stream()
            .filter(turn -> Decision.LATE.isOf(turn.state()))
            .toList();
    Map<Long, List<TurnRow>> byOccasion =
        missed.stream().collect(Collectors.groupingBy(TurnRow::occasionId));
    int left = 0;
    for (Map.Entry<Long, List<TurnRow>> entry : byOccasion.entrySet()) {
      StandingMailing of = mapper.held(entry.getKey());
      if (of.state() != StandingMailing.State.ACTIVE) {
        throw Problem.conflict("“" + of.name() + "” is paused; let it go on first.");
      }
      left += run.sayLate(of, entry.getValue().stream().map(TurnRow::id).toArray(Long[]::new));
    }
    return left;
  }
}
