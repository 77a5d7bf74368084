package app.jemble.desk;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What wants a colleague today. */
@RestController
@RequestMapping("/api/desk")
class DeskController {

  private static final Duration LATELY = Duration.ofDays(1);

  /** The whole desk. */
  record Desk(
      Counts counts, List<Decision> decisions, List<UnderWay> underWay, List<DraftLine> drafts) {}

  /** Figures for the tabs and the heading. */
  record Counts(long drafts, long toLeave, long replies) {}

  /**
   * Something only a person can decide.
   *
   * @param kind in_doubt, refused or returned
   * @param about whom or how many
   */
  record Decision(
      String kind,
      long people,
      String about,
      long mailingId,
      String mailing,
      Instant at,
      String reason) {}

  /** A mailing that is leaving or has left of late. */
  record UnderWay(
      long id,
      String name,
      long messages,
      long sent,
      long toLeave,
      long replied,
      long read,
      long quiet,
      @Schema(nullable = true) Instant dueAt,
      @Schema(nullable = true) Instant lastSent) {}

  record DraftLine(long id, String name, String writer, Instant createdAt) {}

  private final DeskMapper mapper;
  private final Clock clock;

  DeskController(DeskMapper mapper, Clock clock) {
    this.mapper = mapper;
    this.clock = clock;
  }

  @GetMapping
  Desk desk() {
    Instant lately = clock.instant().minus(LATELY);
    return new Desk(
        mapper.counts(lately),
        mapper.decisions(lately.minus(Duration.ofDays(6))),
        mapper.underWay(),
        mapper.drafts());
  }

  @GetMapping("/counts")
  Counts counts() {
    return mapper.counts(clock.instant().minus(LATELY));
  }
}
