package app.jemble.role.page;

import app.jemble.access.Needs;
import app.jemble.core.access.Access;
import app.jemble.core.access.Asker;
import app.jemble.core.access.Decision;
import app.jemble.core.access.Right;
import app.jemble.core.access.Role;
import app.jemble.history.EventKind;
import app.jemble.history.HouseHistory;
import app.jemble.history.Noted;
import app.jemble.problem.Problem;
import app.jemble.role.Roles;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Which roles there are and what each may: everybody sees it, administrators change it. */
@RestController
@RequestMapping("/api/roles")
class RoleController {

  /**
   * The table of roles.
   *
   * @param rights its rows
   */
  record RoleTable(List<GivenRight> rights, List<HouseRole> roles) {}

  /**
   * A right that roles differ in.
   *
   * @param restsOn the right without which it is of no use
   * @param who the names of those who can sign in and have it
   */
  record GivenRight(
      Right right, String words, @Schema(nullable = true) Right restsOn, List<String> who) {}

  /**
   * A role.
   *
   * @param colleagues how many have it
   */
  record HouseRole(long id, String name, List<Right> rights, RoleLimits limits, long colleagues) {}

  /**
   * How far a role goes; null in each for no limit.
   *
   * @param ownPeople whether it sees only the people whom its colleague owns
   */
  record RoleLimits(
      @Schema(nullable = true) Integer mostAtOnce,
      @Schema(nullable = true) Integer nodAbove,
      @Schema(nullable = true) Integer mostADay,
      @Schema(nullable = true) Integer mostMailsADay,
      @Schema(nullable = true) Integer mostTextsADay,
      @Schema(nullable = true) Integer mostNoticesADay,
      @Schema(nullable = true) Integer mostRows,
      boolean ownPeople) {}

  record RoleDraft(String name, List<Right> rights, RoleLimits limits) {}

  /**
   * What a role gets for one right.
   *
   * @param refused what stands instead, and whom to ask; null where it may
   */
  record RoleAct(Right right, String words, @Schema(nullable = true) String refused) {}

  private final Roles roles;
  private final HouseHistory history;

  RoleController(Roles roles, HouseHistory history) {
    this.roles = roles;
    this.history = history;
  }

  @Needs(Right.SEE)
  @GetMapping
  RoleTable all() {
    Map<Long, Long> holders = roles.holders();
    Map<String, List<String>> who = roles.who();
    return new RoleTable(
        given()
            .map(
                r ->
                    new GivenRight(
                        r, r.words(), r.restsOn(), who.getOrDefault(r.name(), List.of())))
            .toList(),
        roles.all().stream().map(r -> told(r, holders.getOrDefault(r.id(), 0L))).toList());
  }

  /** What whoever has it may do, and what they are told where they may not. */
  @Needs(Right.SEE)
  @GetMapping("/{id}/acts")
  List<RoleAct> acts(@PathVariable long id) {
    Asker one = new Asker(0, find(id));
    List<String> whom = roles.who(Right.COLLEAGUES);
    return given()
        .map(
            right ->
                new RoleAct(
                    right,
                    right.words(),
                    Access.decide(one, right) instanceof Decision.No no ? no.sentence(whom) : null))
        .toList();
  }

  @Needs(Right.COLLEAGUES)
  @Noted(value = "Added a role", kind = EventKind.COLLEAGUES)
  @PostMapping
  HouseRole add(@RequestBody RoleDraft draft) {
    Role added = roles.add(wanted(0, draft));
    history.tellChange(added.name(), RoleTold.NOTHING, RoleTold.of(added));
    return told(added, 0);
  }

  @Needs(Right.COLLEAGUES)
  @Noted(value = "Changed a role", kind = EventKind.COLLEAGUES)
  @PutMapping("/{id}")
  HouseRole change(@PathVariable long id, @RequestBody RoleDraft draft) {
    Map<Long, Long> holders = roles.holders();
    Role before = find(id);
    Role after = roles.change(wanted(id, draft));
    history.tellChange(before.name(), RoleTold.of(before), RoleTold.of(after));
    return told(after, holders.getOrDefault(id, 0L));
  }

  @Needs(Right.COLLEAGUES)
  @Noted(value = "Removed a role", kind = EventKind.COLLEAGUES)
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable long id) {
    history.tell(find(id).name(), "", "");
    roles.remove(id);
  }

  private Role find(long id) {
    return roles.find(id).orElseThrow(() -> Problem.notFound("There is no such role."));
  }

  private static Stream<Right> given() {
    return Arrays.stream(Right.values()).filter(Right::isGiven);
  }

  private static Role wanted(long id, RoleDraft draft) {
    Set<Right> rights = EnumSet.noneOf(Right.class);
    rights.addAll(draft.rights());
    RoleLimits limits = draft.limits();
    return new Role(
        id,
        draft.name(),
        rights,
        new Role.Limits(
            limits.mostAtOnce(),
            limits.nodAbove(),
            limits.mostADay(),
            limits.mostMailsADay(),
            limits.mostTextsADay(),
            limits.mostNoticesADay(),
            limits.mostRows(),
            limits.ownPeople()));
  }

  private static HouseRole told(Role role, long colleagues) {
    Role.Limits limits = role.limits();
    return new HouseRole(
        role.id(),
        role.name(),
        given().filter(role::has).toList(),
        new RoleLimits(
            limits.mostAtOnce(),
            limits.nodAbove(),
            limits.mostADay(),
            limits.mostMailsADay(),
            limits.mostTextsADay(),
            limits.mostNoticesADay(),
            limits.mostRows(),
            limits.ownPeople()),
        colleagues);
  }
}
