package app.jemble.device;

import app.jemble.access.Needs;
import app.jemble.account.AccountService;
import app.jemble.core.access.Right;
import app.jemble.core.notice.AppToken;
import app.jemble.core.record.PersonId;
import app.jemble.problem.Problem;
import app.jemble.workspace.AppLinks;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Where somebody has the app, as colleagues see it. */
@RestController
@RequestMapping("/api/people/{id}/app")
class DeviceController {

  /**
   * @param link with which the app of this person registers; theirs alone
   * @param devices those in use first
   */
  record AppOfPerson(String link, List<DeviceOfPerson> devices) {}

  /**
   * @param address where its push service takes notices for it
   * @param name what its person calls it; may be empty
   * @param goneAt null while it is in use
   * @param barred whether it is on the do-not-write list
   */
  record DeviceOfPerson(
      long id,
      String address,
      String name,
      Instant registeredAt,
      Instant heardAt,
      @Schema(nullable = true) Instant goneAt,
      String goneWhy,
      boolean barred) {}

  private final DeviceMapper mapper;
  private final Devices devices;
  private final AppLinks links;
  private final AccountService accounts;

  DeviceController(DeviceMapper mapper, Devices devices, AppLinks links, AccountService accounts) {
    this.mapper = mapper;
    this.devices = devices;
    this.links = links;
    this.accounts = accounts;
  }

  /** The link lets whoever has it register in the person's name: it is for those who may write. */
  @Needs(Right.CHANGE_PEOPLE)
  @GetMapping
  AppOfPerson find(@PathVariable PersonId id) {
    accounts.currentWriter();
    Integer number = mapper.linkNumber(id);
    if (number == null) {
      throw gone();
    }
    return new AppOfPerson(
        links.of(new AppToken.Holder(id, number)),
        mapper.all(id).stream().map(DeviceController::shown).toList());
  }

  /** Gives the person another link; the one before leads nowhere from now on. */
  @Needs(Right.CHANGE_PEOPLE)
  @PostMapping("/link")
  @Transactional
  public AppOfPerson renew(@PathVariable PersonId id) {
    accounts.currentWriter();
    if (mapper.renewLink(id) == 0) {
      throw gone();
    }
    return find(id);
  }

  /** Takes the app off a device: nothing goes there until it registers anew. */
  @Needs(Right.CHANGE_PEOPLE)
  @DeleteMapping("/{device}")
  void takeAway(@PathVariable PersonId id, @PathVariable long device) {
    String by = accounts.currentWriter().name();
    if (!devices.takeAway(id, device, by)) {
      throw Problem.notFound("This device is not there any more.");
    }
  }

  private static DeviceOfPerson shown(DeviceMapper.Shown d) {
    return new DeviceOfPerson(
        d.id(),
        d.address(),
        d.name(),
        d.registeredAt(),
        d.heardAt(),
        d.goneAt(),
        d.goneWhy(),
        d.barred());
  }

  private static Problem gone() {
    return Problem.notFound("There is no such person any more.");
  }
}
