package app.jemble.setup;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.core.house.SetUpStep;
import app.jemble.history.HouseHistory;
import app.jemble.history.Noted;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What a new house still has before it. */
@RestController
@RequestMapping("/api/set-up")
class SetUpController {

  /**
   * A step.
   *
   * @param later whether it was left for later
   */
  record StepStanding(SetUpStep step, boolean done, boolean later) {}

  /**
   * How far it is.
   *
   * @param next the first step that is neither done nor left; null when there is none
   * @param madeUp how many made-up people there are to try things with
   */
  record SetUpStanding(
      List<StepStanding> steps, @Schema(nullable = true) SetUpStep next, int madeUp) {}

  record Later(boolean later) {}

  private final SetUp setUp;
  private final MadeUpPeople madeUp;
  private final HouseHistory history;

  SetUpController(SetUp setUp, MadeUpPeople madeUp, HouseHistory history) {
    this.setUp = setUp;
    this.madeUp = madeUp;
    this.history = history;
  }

  @Needs(Right.SETTINGS)
  @GetMapping
  SetUpStanding standing() {
    SetUpStep.Facts facts = setUp.facts();
    Set<SetUpStep> later = setUp.later();
    return new SetUpStanding(
        Arrays.stream(SetUpStep.values())
            .map(step -> new StepStanding(step, step.isDone(facts), later.contains(step)))
            .toList(),
        SetUpStep.next(facts, later).orElse(null),
        madeUp.there().size());
  }

  @Needs(Right.SETTINGS)
  @Noted("Left a step of the set-up for later, or took it up")
  @PutMapping("/{step}/later")
  SetUpStanding leave(@PathVariable("step") SetUpStep step, @RequestBody Later wanted) {
    setUp.leave(step, wanted.later());
    history.tell(
        step.name().charAt(0) + step.name().substring(1).toLowerCase(Locale.ROOT),
        "",
        wanted.later() ? "left for later" : "taken up");
    return standing();
  }

  @Needs(Right.SETTINGS)
  @Noted("Added made-up people to try things with")
  @PostMapping("/made-up-people")
  SetUpStanding addMadeUp() {
    madeUp.add();
    return standing();
  }

  @Needs(Right.SETTINGS)
  @Noted("Threw the made-up people away")
  @DeleteMapping("/made-up-people")
  SetUpStanding throwMadeUpAway() {
    madeUp.throwAway();
    return standing();
  }
}
