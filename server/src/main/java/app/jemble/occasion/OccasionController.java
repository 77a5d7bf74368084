package app.jemble.occasion;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.core.occasion.TurnState;
import app.jemble.core.occasion.TurnState.Decision;
import app.jemble.core.record.PersonId;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Days that come round, and the standing mailings that say something on them. */
@RestController
@RequestMapping("/api/occasions")
class OccasionController {

  /**
   * A standing mailing.
   *
   * @param turns how many turns stand in which state: AWAITS, NODDED, SENT, TASK, MISSED, LET_GO
   * @param blockers what keeps it from leaving, in sentences
   * @param wholeBody the letter with its card, as it leaves
   */
  record OccasionView(
      long id,
      long causeId,
      StandingMailing.State state,
      Map<TurnState, Long> turns,
      List<String> blockers,
      String wholeBody,
      OccasionBody occasion) {}

  /** A field that is a day. */
  record DayFieldName(String name, String label) {}

  /**
   * One time that a day comes round to somebody.
   *
   * @param state AWAITS a nod, NODDED, SENT, TASK, or MISSED with a reason
   * @param ownWords whether what it says was written for them alone
   */
  record OccasionTurn(
      long id,
      long causeId,
      String occasion,
      PersonId personId,
      @Schema(nullable = true) String name,
      LocalDate day,
      int years,
      LocalDate saidOn,
      OccasionBody.Leaves leaves,
      TurnState state,
      String reason,
      @Schema(nullable = true) Instant lastVisit,
      @Schema(nullable = true) Instant lastHeard,
      boolean ownWords) {}

  /** Today's and this week's. */
  record DaysToRemember(LocalDate today, List<OccasionTurn> turns) {}

  /** Turns by their ids. */
  record Turns(List<Long> ids) {}

  /** How many of them it changed. */
  record TurnsChanged(int turns) {}

  private final Occasions occasions;
  private final OccasionWords words;
  private final Remembering remembering;
  private final OccasionRun run;
  private final OccasionCheck check;
  private final OccasionMapper mapper;
  private final CardProofs proofs;

  OccasionController(
      Occasions occasions,
      OccasionWords words,
      Remembering remembering,
      OccasionRun run,
      OccasionCheck check,
      OccasionMapper mapper,
      CardProofs proofs) {
    this.occasions = occasions;
    this.words = words;
    this.remembering = remembering;
    this.run = run;
    this.check = check;
    this.mapper = mapper;
    this.proofs = proofs;
  }

  @Needs(Right.SEE)
  @GetMapping
  List<OccasionView> all() {
    List<OccasionMapper.Counted> counts = mapper.counts();
    return occasions.all().stream().map(of -> view(of, counts)).toList();
  }

  @Needs(Right.SEE)
  @GetMapping("/{id}")
  OccasionView find(@PathVariable long id) {
    return view(occasions.find(id));
  }

  private OccasionView view(StandingMailing of) {
    return view(of, mapper.counts());
  }

  private OccasionView view(StandingMailing of, List<OccasionMapper.Counted> counts) {
    Map<TurnState, Long> turns =
        counts.stream()
            .filter(c -> c.occasionId() == of.id())
            .collect(
                Collectors.toMap(OccasionMapper.Counted::state, OccasionMapper.Counted::turns));
    return new OccasionView(
        of.id(),
        of.causeId(),
        of.state(),
        turns,
        words.blockers(of),
        words.of(of).body(),
        occasions.body(of));
  }

  /** Fields whose days may come round. */
  @Needs(Right.SEE)
  @GetMapping("/day-fields")
  List<DayFieldName> dayFields() {
    return check.days().stream().map(f -> new DayFieldName(f.name(), f.label())).toList();
  }

  @Needs(Right.SERIES)
  @PostMapping
  OccasionView create(@RequestBody OccasionBody wanted) {
    return view(occasions.create(wanted));
  }

  @Needs(Right.SERIES)
  @PutMapping("/{id}")
  OccasionView save(@PathVariable long id, @RequestBody OccasionBody wanted) {
    return seenAhead(occasions.save(id, wanted));
  }

  /** Begins, or goes on. */
  @Needs(Right.SERIES)
  @PostMapping("/{id}/activate")
  OccasionView activate(@PathVariable long id) {
    return seenAhead(occasions.activate(id));
  }

  /** Nothing leaves until it goes on. */
  @Needs(Right.SERIES)
  @PostMapping("/{id}/pause")
  OccasionView pause(@PathVariable long id) {
    return view(occasions.pause(id));
  }

  /** Whom it touches in the next days is seen at once. */
  private OccasionView seenAhead(StandingMailing of) {
    run.lookAhead(of.id());
    return view(occasions.find(of.id()));
  }

  /** How a card looks to those with the longest and the shortest name, before it is saved. */
  @Needs(Right.SEE)
  @PostMapping("/card-proof")
  List<CardProofs.CardProof> cardProof(@RequestBody OccasionBody wanted) {
    return proofs.of(wanted);
  }

  /** Today's and this week's days, and what was missed. */
  @Needs(Right.SEE)
  @GetMapping("/turns")
  DaysToRemember turns() {
    return new DaysToRemember(
        remembering.today(), remembering.shown().stream().map(OccasionController::turn).toList());
  }

  private static OccasionTurn turn(OccasionMapper.Shown t) {
    return new OccasionTurn(
        t.id(),
        t.causeId(),
        t.occasion(),
        t.personId(),
        t.name(),
        t.day(),
        t.years(),
        t.saidOn(),
        t.leaves(),
        t.state(),
        t.reason(),
        t.lastVisit(),
        t.lastHeard(),
        t.ownWords());
  }

  /** Lets them leave when their hour has come. */
  @Needs(Right.SERIES)
  @PostMapping("/turns/nod")
  TurnsChanged nod(@RequestBody Turns turns) {
    return new TurnsChanged(remembering.decide(Decision.NOD, turns.ids()));
  }

  /** Takes a nod back. */
  @Needs(Right.SERIES)
  @PostMapping("/turns/not-yet")
  TurnsChanged notYet(@RequestBody Turns turns) {
    return new TurnsChanged(remembering.decide(Decision.NOT_YET, turns.ids()));
  }

  /** Says now what was missed. */
  @Needs(Right.SERIES)
  @PostMapping("/turns/late")
  TurnsChanged late(@RequestBody Turns turns) {
    return new TurnsChanged(remembering.sendLate(turns.ids()));
  }

  /** They are not said this time. */
  @Needs(Right.SERIES)
  @PostMapping("/turns/let-go")
  TurnsChanged letGo(@RequestBody Turns turns) {
    return new TurnsChanged(remembering.decide(Decision.LET_GO, turns.ids()));
  }
}
