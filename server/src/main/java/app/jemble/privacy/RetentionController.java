package app.jemble.privacy;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.history.HouseHistory;
import app.jemble.history.Noted;
import app.jemble.privacy.RetentionService.GoesNext;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** For how long what is held of people is kept, and what goes next. */
@RestController
class RetentionController {

  /**
   * Months; null for good.
   *
   * @param version as it was read
   */
  record KeptMonths(
      int version,
      @Schema(nullable = true) Integer copies,
      @Schema(nullable = true) Integer responses,
      @Schema(nullable = true) Integer mails,
      @Schema(nullable = true) Integer archived) {}

  /**
   * @param goesAt the night in which what is older goes next; null when all is kept
   */
  record RetentionStanding(
      KeptMonths months, @Schema(nullable = true) Instant goesAt, List<GoesNext> next) {}

  private final RetentionService retention;
  private final HouseHistory history;

  RetentionController(RetentionService retention, HouseHistory history) {
    this.retention = retention;
    this.history = history;
  }

  @Needs(Right.SETTINGS)
  @GetMapping("/api/retention")
  RetentionStanding standing() {
    RetentionMapper.Row row = retention.rules();
    return new RetentionStanding(months(row), row.goesAt(), retention.next());
  }

  private static KeptMonths months(RetentionMapper.Row row) {
    return new KeptMonths(
        row.version(), row.copies(), row.responses(), row.mails(), row.archived());
  }

  @Needs(Right.SETTINGS)
  @Noted("Changed for how long what is held of people is kept")
  @PutMapping("/api/retention")
  RetentionStanding keep(@RequestBody KeptMonths wanted) {
    history.tellChange("", months(retention.rules()), wanted);
    retention.keep(
        wanted.version(), wanted.copies(), wanted.responses(), wanted.mails(), wanted.archived());
    return standing();
  }
}
