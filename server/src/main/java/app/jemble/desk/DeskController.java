package app.jemble.desk;

import app.jemble.access.Needs;
import app.jemble.account.AccountService;
import app.jemble.core.access.Right;
import app.jemble.core.record.PersonId;
import app.jemble.nod.Nods;
import app.jemble.workspace.WorkspaceService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
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
      Counts counts,
      List<Decision> decisions,
      List<UnderWay> underWay,
      List<DraftLine> drafts,
      List<DueTask> due) {}

  /**
   * Figures for the tabs and the heading.
   *
   * @param tasks of the colleague's own, due by today
   */
  record Counts(long drafts, long toDepart, long replies, long tasks) {}

  /** A task of the colleague's own that is due, or was. */
  record DueTask(
      long id,
      String kind,
      String title,
      LocalDate dueOn,
      @Schema(nullable = true) PersonId personId,
      @Schema(nullable = true) String person,
      @Schema(nullable = true) String phone,
      @Schema(nullable = true) Instant lastReply) {}

  /**
   * Something only a person can decide.
   *
   * @param kind nod, nod_refused, in_doubt, refused, held, returned, unplaced or signed_up
   * @param about whom or how many
   * @param mailingId the mailing; of signed_up the page
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
      long toDepart,
      long replied,
      long read,
      long quiet,
      @Schema(nullable = true) Instant dueAt,
      @Schema(nullable = true) Instant lastSent) {}

  record DraftLine(long id, String name, String writer, Instant createdAt) {}

  private final DeskMapper mapper;
  private final Nods nods;
  private final AccountService accounts;
  private final WorkspaceService workspace;
  private final Clock clock;

  DeskController(
      DeskMapper mapper,
      Nods nods,
      AccountService accounts,
      WorkspaceService workspace,
      Clock clock) {
    this.mapper = mapper;
    this.nods = nods;
    this.accounts = accounts;
    this.workspace = workspace;
    this.clock = clock;
  }

  @Needs(Right.SEE)
  @GetMapping
  Desk desk() {
    long me = accounts.current().id();
    Instant lately = clock.instant().minus(LATELY);
    return new Desk(
        counts(),
        Stream.concat(
                nods.wanting().stream().map(DeskController::decision),
                mapper.decisions(lately.minus(Duration.ofDays(6)), me).stream())
            .toList(),
        mapper.underWay(me),
        mapper.drafts(me),
        mapper.due(me, today()));
  }

  private static Decision decision(Nods.Wanting nod) {
    return new Decision(
        nod.asked() ? "nod" : "nod_refused",
        nod.people(),
        nod.by(),
        nod.mailingId(),
        nod.mailing(),
        nod.at(),
        nod.word());
  }

  @Needs(Right.SEE)
  @GetMapping("/counts")
  Counts counts() {
    return mapper.counts(clock.instant().minus(LATELY), accounts.current().id(), today());
  }

  private LocalDate today() {
    return LocalDate.ofInstant(clock.instant(), workspace.current().zoneId());
  }
}
