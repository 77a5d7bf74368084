package app.jemble.check;

import app.jemble.access.Needs;
import app.jemble.audience.AudienceService;
import app.jemble.audience.LeavingOut;
import app.jemble.cause.Cause;
import app.jemble.cause.OpenCauses;
import app.jemble.check.NameMends.Mended;
import app.jemble.check.NameMends.NameMend;
import app.jemble.check.NameMends.NewName;
import app.jemble.core.access.Right;
import app.jemble.core.check.Finding;
import app.jemble.core.record.PersonId;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What mends a finding for all of its people in one act. */
@RestController
@RequestMapping("/api/mailings/{id}")
class MendController {

  /** Whom a finding is about. */
  record AboutPeople(Finding.Code code, @Schema(nullable = true) String about) {}

  record LeftOut(List<PersonId> leftOut, int version) {}

  private final OpenCauses causes;
  private final AudienceService audience;
  private final LeavingOut leavingOut;
  private final CheckService checks;
  private final NameMends mends;

  MendController(
      OpenCauses causes,
      AudienceService audience,
      LeavingOut leavingOut,
      CheckService checks,
      NameMends mends) {
    this.causes = causes;
    this.audience = audience;
    this.leavingOut = leavingOut;
    this.checks = checks;
    this.mends = mends;
  }

  /** Leaves the people of a finding out of the mailing. */
  @Needs(Right.WRITE_TO_ONE)
  @PostMapping("/leave-out")
  LeftOut leaveOut(@PathVariable long id, @RequestBody AboutPeople which) {
    List<PersonId> people = checks.peopleOf(causes.find(id), which.code(), which.about());
    leavingOut.leaveOut(id, people);
    Cause now = causes.find(id);
    return new LeftOut(audience.leftOut(now), now.version());
  }

  /** The first names of a finding's people, each with what is proposed for it. */
  @Needs(Right.SEE)
  @GetMapping("/names")
  List<NameMend> names(@PathVariable long id, @RequestParam Finding.Code code) {
    List<PersonId> people = checks.peopleOf(causes.find(id), code, null);
    return mends.proposed(audience.records(people.stream().limit(NameMends.MOST_NAMES).toList()));
  }

  /** Gives people other first names, as one act that is taken back whole. */
  @Needs(Right.WRITE_TO_ONE)
  @PostMapping("/names")
  Mended rename(@PathVariable long id, @RequestBody List<NewName> names) {
    causes.find(id);
    return mends.rename(names);
  }
}
