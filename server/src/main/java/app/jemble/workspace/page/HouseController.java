package app.jemble.workspace.page;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.core.house.HouseFacts;
import app.jemble.core.house.HouseRule;
import app.jemble.core.record.DayOrder;
import app.jemble.history.HouseHistory;
import app.jemble.history.Noted;
import app.jemble.problem.Problem;
import app.jemble.workspace.HouseSettings;
import app.jemble.workspace.WorkspaceService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.DayOfWeek;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What the house says of itself: everybody sees it, whoever has the right changes it. */
@RestController
@RequestMapping("/api/house")
class HouseController {

  /**
   * A fact that is set outside.
   *
   * @param by the variable that sets it
   */
  record SetOutside(String field, String by) {}

  /**
   * The house.
   *
   * @param currency where it is not that of its country
   * @param dayOrder where it is not that of its language
   * @param weekStart where it is not that of its country
   * @param setOutside what can be changed there alone
   */
  record House(
      String name,
      String address,
      String zone,
      String language,
      String mailDomain,
      @Schema(nullable = true) String email,
      int holdSeconds,
      @Schema(nullable = true) String currency,
      @Schema(nullable = true) DayOrder dayOrder,
      @Schema(nullable = true) DayOfWeek weekStart,
      List<SetOutside> setOutside) {}

  record HouseDraft(
      String name,
      String address,
      String zone,
      String language,
      String mailDomain,
      @Schema(nullable = true) String email,
      int holdSeconds,
      @Schema(nullable = true) String currency,
      @Schema(nullable = true) DayOrder dayOrder,
      @Schema(nullable = true) DayOfWeek weekStart) {}

  private final WorkspaceService workspace;
  private final HouseSettings settings;
  private final HouseHistory history;

  HouseController(WorkspaceService workspace, HouseSettings settings, HouseHistory history) {
    this.workspace = workspace;
    this.settings = settings;
    this.history = history;
  }

  @Needs(Right.SEE)
  @GetMapping
  House house() {
    HouseFacts facts = workspace.current().facts();
    return new House(
        facts.name(),
        facts.address(),
        facts.zone(),
        facts.language(),
        facts.mailDomain(),
        facts.email(),
        facts.holdSeconds(),
        facts.currency(),
        facts.dayOrder(),
        facts.weekStart(),
        settings.setOutside().entrySet().stream()
            .map(set -> new SetOutside(set.getKey(), set.getValue()))
            .toList());
  }

  @Needs(Right.SETTINGS)
  @Noted("Changed what the house says of itself")
  @PutMapping
  House change(@RequestBody HouseDraft draft) {
    HouseFacts before = workspace.current().facts();
    HouseFacts wanted = tidy(draft);
    HouseRule.faultOf(wanted)
        .ifPresent(
            fault -> {
              throw Problem.wrong(fault.field(), "This takes " + fault.right() + ".");
            });
    mustNotTouch(before, wanted);
    workspace.change(wanted);
    history.tellChange("", before, workspace.current().facts());
    return house();
  }

  private void mustNotTouch(HouseFacts before, HouseFacts wanted) {
    Map<String, Boolean> changed =
        Map.of(
            "name", !before.name().equals(wanted.name()),
            "address", !before.address().equals(wanted.address()),
            "zone", !before.zone().equals(wanted.zone()),
            "language", !before.language().equals(wanted.language()),
            "mailDomain", !before.mailDomain().equals(wanted.mailDomain()),
            "email", !Objects.equals(before.email(), wanted.email()),
            "holdSeconds", before.holdSeconds() != wanted.holdSeconds());
    settings
        .setOutside()
        .forEach(
            (field, by) -> {
              if (changed.get(field)) {
                throw Problem.wrong(field, "This is set outside, by " + by + "; change it there.");
              }
            });
  }

  private static HouseFacts tidy(HouseDraft draft) {
    String email = draft.email() == null || draft.email().isBlank() ? null : draft.email().strip();
    return new HouseFacts(
        strip(draft.name()),
        strip(draft.address()),
        strip(draft.zone()),
        strip(draft.language()),
        strip(draft.mailDomain()),
        email,
        draft.holdSeconds(),
        draft.currency() == null || draft.currency().isBlank() ? null : draft.currency().strip(),
        draft.dayOrder(),
        draft.weekStart());
  }

  private static String strip(String typed) {
    return typed == null ? "" : typed.strip();
  }
}
