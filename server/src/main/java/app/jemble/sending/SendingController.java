package app.jemble.sending;

import app.jemble.access.Needs;
import app.jemble.account.AccountService;
import app.jemble.core.access.Right;
import app.jemble.core.reach.Channel;
import app.jemble.history.HouseHistory;
import app.jemble.history.Noted;
import app.jemble.problem.Problem;
import app.jemble.sending.SendingMapper.ColleagueCap;
import app.jemble.sending.SendingMapper.WayCap;
import io.swagger.v3.oas.annotations.media.Schema;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Hours, days off and caps of the workspace; all see them, administrators change them. */
@RestController
@RequestMapping("/api/sending")
class SendingController {

  private static final int MOST_OCTETS = 2_000_000;

  /**
   * What is set for all mailings.
   *
   * @param hours null for any time
   * @param dailyCap messages a day, all mailings together; null for no limit
   * @param ways what may leave by each way a day; a way that is not named has no limit
   * @param mostPerMailing to how many people one mailing may be released; null for no limit
   * @param spacingDays how many days people should be left alone between two mailings
   * @param colleagues what some may instead of what their role may
   */
  record Sending(
      @Schema(nullable = true) List<HoursSpan> hours,
      @Schema(nullable = true) Integer dailyCap,
      List<WayLimit> ways,
      @Schema(nullable = true) Integer mostPerMailing,
      int spacingDays,
      List<ColleagueLimit> colleagues) {}

  /** Messages a day by one way; null for no limit. */
  record WayLimit(Channel way, @Schema(nullable = true) Integer most) {}

  /**
   * Messages a day of one colleague; null for what the role may.
   *
   * @param ofRole what that is; null for no limit
   */
  record ColleagueLimit(
      long id,
      String name,
      @Schema(nullable = true) Integer ofRole,
      @Schema(nullable = true) Integer most) {}

  private final SendingService sending;
  private final AccountService accounts;
  private final HouseHistory history;

  SendingController(SendingService sending, AccountService accounts, HouseHistory history) {
    this.sending = sending;
    this.accounts = accounts;
    this.history = history;
  }

  @Needs(Right.SEE)
  @GetMapping
  Sending find() {
    SendingService.House house = sending.house();
    return new Sending(
        house.hours(),
        house.dailyCap(),
        house.wayCaps().stream().map(c -> new WayLimit(c.channel(), c.most())).toList(),
        house.mostPerMailing(),
        house.spacingDays(),
        sending.colleagueCaps().stream()
            .map(c -> new ColleagueLimit(c.id(), c.name(), c.ofRole(), c.most()))
            .toList());
  }

  @Needs(Right.SETTINGS)
  @Noted("Changed hours and caps")
  @PutMapping
  Sending change(@RequestBody Sending wanted) {
    administratorsOnly();
    Sending before = find();
    sending.change(
        new SendingService.House(
            wanted.hours(),
            wanted.dailyCap(),
            wanted.ways().stream()
                .filter(w -> w.most() != null)
                .map(w -> new WayCap(w.way(), w.most()))
                .toList(),
            wanted.mostPerMailing(),
            wanted.spacingDays()),
        wanted.colleagues().stream()
            .map(c -> new ColleagueCap(c.id(), null, null, c.most()))
            .toList());
    Sending after = find();
    history.tellChange("", before, after);
    return after;
  }

  @Needs(Right.SEE)
  @GetMapping("/days-off")
  List<DayOff> daysOff() {
    return sending.daysOffNamed();
  }

  @Needs(Right.SETTINGS)
  @Noted("Changed the days off")
  @PutMapping("/days-off")
  List<DayOff> setDaysOff(@RequestBody List<DayOff> days) {
    administratorsOnly();
    String before = sending.daysOffNamed().toString();
    List<DayOff> after = sending.setDaysOff(days);
    history.tell("", before, after.toString());
    return after;
  }

  /** Adds the whole days of a calendar file (iCalendar, RFC 5545); answers which those are. */
  @Needs(Right.SETTINGS)
  @Noted("Brought in days off")
  @PostMapping(path = "/days-off/import", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
  List<DayOff> importDaysOff(@RequestBody(required = false) byte[] given) {
    administratorsOnly();
    byte[] file = given == null ? new byte[0] : given;
    if (file.length > MOST_OCTETS) {
      throw Problem.wrong("file", "A calendar of days off has at most 2 MB.");
    }
    return sending.importDaysOff(new String(file, StandardCharsets.UTF_8));
  }

  private void administratorsOnly() {
    accounts.currentWith(Right.SETTINGS);
  }
}
