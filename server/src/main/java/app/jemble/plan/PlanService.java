package app.jemble.plan;

import app.jemble.account.AccountService;
import app.jemble.cause.Cause;
import app.jemble.core.pace.Clocks;
import app.jemble.core.pace.Collisions;
import app.jemble.core.pace.DailyCap;
import app.jemble.core.pace.Deadline;
import app.jemble.core.pace.OwnClocks;
import app.jemble.core.pace.Pace;
import app.jemble.core.pace.Plan;
import app.jemble.core.pace.PlanAsk;
import app.jemble.core.pace.PlanWish;
import app.jemble.core.pace.Planner;
import app.jemble.core.pace.Start;
import app.jemble.core.pace.WallClock;
import app.jemble.core.pace.WeeklyHours;
import app.jemble.outbox.OutboxService;
import app.jemble.problem.Problem;
import app.jemble.sending.HoursSpan;
import app.jemble.sending.PhoneRuleService;
import app.jemble.sending.SendingService;
import app.jemble.workspace.WorkspaceService;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.springframework.stereotype.Service;
import tools.jackson.databind.ObjectMapper;

/** Plans when the messages of a mailing leave, and what it takes to be done by a day. */
@Service
public class PlanService {

  /** A plan over more days is shown by day, not by hour. */
  private static final int MOST_DAYS_OF_HOURS = 14;

  private final SendPlanMapper mapper;
  private final SendingService sending;
  private final AccountService accounts;
  private final OutboxService outbox;
  private final WorkspaceService workspace;
  private final PlanSentences sentences;
  private final PhoneRuleService phones;
  private final ObjectMapper json;

  PlanService(
      SendPlanMapper mapper,
      SendingService sending,
      AccountService accounts,
      OutboxService outbox,
      WorkspaceService workspace,
      PlanSentences sentences,
      PhoneRuleService phones,
      ObjectMapper json) {
    this.mapper = mapper;
    this.sending = sending;
    this.accounts = accounts;
    this.outbox = outbox;
    this.workspace = workspace;
    this.sentences = sentences;
    this.phones = phones;
    this.json = json;
  }

  /** The plan as it is stored with a mailing. */
  public SendPlan of(Cause mailing) {
    String stored = mapper.find(mailing.id());
    return stored == null ? SendPlan.AT_ONCE : json.readValue(stored, SendPlan.class);
  }

  /** Writes the plan of a cause; a problem when it cannot be kept to. */
  public void write(long causeId, SendPlan plan) {
    sound(plan);
    mapper.write(causeId, json.writeValueAsString(plan));
  }

  private static void sound(SendPlan plan) {
    if (plan.wavePeople() != null && plan.wavePeople() < 1) {
      throw Problem.wrong("plan.wavePeople", "A wave is of at least one person.");
    }
    if (plan.waveGapSeconds() < 0 || plan.waveGapSeconds() > PlanWish.LONGEST_GAP) {
      throw Problem.wrong("plan.waveGapSeconds", "Waves are at most 31 days apart.");
    }
    if (plan.startZone() != null && !ZoneId.getAvailableZoneIds().contains(plan.startZone())) {
      throw Problem.wrong("plan.startZone", "Name a zone such as Europe/Lisbon.");
    }
    if (plan.hours() != null) {
      HoursSpan.hours(plan.hours());
      if (plan.hours().isEmpty()) {
        throw Problem.wrong("plan.hours", "Leave at least one hour of the week open.");
      }
    }
  }

  /**
   * What core plans from.
   *
   * @param notBefore nothing leaves before it
   */
  public PlanAsk ask(Cause mailing, SendPlan plan, Instant notBefore) {
    WeeklyHours hours = plan.hours() == null ? sending.hours() : HoursSpan.hours(plan.hours());
    ZoneId house = workspace.current().zoneId();
    SendingService.Taken taken = outbox.taken(mailing.id(), mailing.senderId(), house);
    return ask(
        plan,
        notBefore,
        hours,
        sending.daysOff(),
        sending.caps(mailing.senderId(), accounts.find(mailing.senderId()).name(), taken));
  }

  /**
   * What core plans from when people come in somewhere: nothing leaves by it, so that caps do not
   * bind, nor hours but those it names.
   */
  public PlanAsk askOfComingIn(SendPlan plan, Instant notBefore) {
    return plan.hours() == null
        ? ask(plan, notBefore, WeeklyHours.ANY, Set.of(), List.of())
        : ask(plan, notBefore, HoursSpan.hours(plan.hours()), sending.daysOff(), List.of());
  }

  private PlanAsk ask(
      SendPlan plan,
      Instant notBefore,
      WeeklyHours hours,
      Set<LocalDate> daysOff,
      List<DailyCap> caps) {
    sound(plan);
    ZoneId house = workspace.current().zoneId();
    Start start =
        plan.startWall() == null
            ? new Start.At(notBefore)
            : plan.startOwn()
                ? new Start.OwnTime(plan.startWall())
                : new Start.At(WallClock.at(plan.startWall(), plan.startClock(house)));
    Pace pace =
        plan.wavePeople() == null
            ? Pace.ALL_AT_ONCE
            : new Pace(plan.wavePeople(), plan.waveGapSeconds());
    return new PlanAsk(
        start,
        notBefore,
        pace,
        hours,
        daysOff,
        plan.ownClock(),
        phones.current().quiet(),
        house,
        caps);
  }

  /** A plan as a sentence. */
  public String words(SendPlan plan) {
    return sentences.of(plan);
  }

  /** The earliest instant at which a draft's messages may leave, were it released then. */
  public Instant afterHold(Instant now) {
    return now.plus(workspace.current().hold());
  }

  /** How many days people should be left alone between two mailings. */
  public int spacingDays() {
    return sending.spacingDays();
  }

  /** To how many people one mailing may be released; null for any number. */
  public Integer mostPerMailing() {
    return sending.mostPerMailing();
  }

  /** The instant at which the day ends by whose end all should have left. */
  public Instant deadline(LocalDate doneBy) {
    ZoneId house = workspace.current().zoneId();
    return doneBy.plusDays(1).atStartOfDay(house).toInstant().minusSeconds(1);
  }

  /** What a draft's plan comes to. */
  PlanView view(Cause mailing, SendPlan plan, ReadyReaders.Ready ready, Instant notBefore) {
    return view(mailing, plan, ready.clocks(), notBefore, ready.collisions());
  }

  /** What a plan for the rest of a released mailing comes to. */
  PlanView view(Cause mailing, SendPlan plan, Clocks clocks, Instant notBefore) {
    return view(mailing, plan, clocks, notBefore, Collisions.NONE);
  }

  private PlanView view(
      Cause mailing, SendPlan plan, Clocks clocks, Instant notBefore, Collisions collisions) {
    PlanAsk ask = ask(mailing, plan, notBefore);
    Plan planned = Planner.plan(ask, clocks);
    ZoneId house = ask.house();
    int spacingDays = spacingDays();
    Instant deadline = plan.doneBy() == null ? null : deadline(plan.doneBy());
    return new PlanView(
        sentences.of(plan),
        clocks.size(),
        planned.waves(),
        planned.unplanned(),
        planned.first().orElse(null),
        planned.last().orElse(null),
        days(planned.hours(house), planned.bound()),
        clocks.shares().stream()
            .map(s -> new PlanView.ZoneShare(s.zone().getId(), s.people()))
            .toList(),
        collisions.within(spacingDays, planned).size(),
        spacingDays,
        OwnClocks.better(ask, clocks, planned, deadline).flatMap(Plan::last).orElse(null),
        plan.doneBy() == null ? null : doneBy(plan, ask, clocks, planned));
  }

  /** Also days on which nothing leaves because something held it back. */
  private static List<PlanView.Day> days(List<Plan.Hour> hours, Map<LocalDate, Set<String>> bound) {
    Map<LocalDate, List<PlanView.Hour>> byDay = new TreeMap<>();
    bound.keySet().forEach(day -> byDay.put(day, new ArrayList<>()));
    for (Plan.Hour hour : hours) {
      byDay
          .computeIfAbsent(hour.hour().toLocalDate(), d -> new ArrayList<>())
          .add(new PlanView.Hour(hour.hour().getHour(), hour.messages()));
    }
    boolean inHours = byDay.size() <= MOST_DAYS_OF_HOURS;
    List<PlanView.Day> days = new ArrayList<>();
    byDay.forEach(
        (day, ofDay) ->
            days.add(
                new PlanView.Day(
                    day,
                    ofDay.stream().mapToLong(PlanView.Hour::messages).sum(),
                    inHours ? ofDay : List.of(),
                    List.copyOf(bound.getOrDefault(day, Set.of())))));
    return days;
  }

  private PlanView.DoneBy doneBy(SendPlan plan, PlanAsk ask, Clocks clocks, Plan planned) {
    Instant deadline = deadline(plan.doneBy());
    Deadline sought = new Deadline(ask, clocks, deadline);
    boolean met = planned.isDoneBy(deadline);
    Long slack =
        planned.unplanned() > 0
            ? null
            : planned.last().map(l -> Duration.between(l, deadline).toSeconds()).orElse(0L);
    Optional<Deadline.Miss> miss = met ? Optional.empty() : sought.miss();
    boolean inWaves = plan.wavePeople() != null;
    return new PlanView.DoneBy(
        deadline,
        met,
        slack,
        inWaves ? sought.smallestWave().map(Pace::people).orElse(null) : null,
        inWaves ? sought.largestGap().map(Pace::gapSeconds).orElse(null) : null,
        sought.latestStart().map(start -> wall(start, plan.startClock(ask.house()))).orElse(null),
        miss.flatMap(Deadline.Miss::by).map(Duration::toSeconds).orElse(null),
        miss.map(Deadline.Miss::limits).orElse(List.of()));
  }

  private static LocalDateTime wall(Start start, ZoneId clock) {
    return start instanceof Start.OwnTime own
        ? own.wall()
        : LocalDateTime.ofInstant(((Start.At) start).instant(), clock)
            .truncatedTo(ChronoUnit.MINUTES);
  }
}
