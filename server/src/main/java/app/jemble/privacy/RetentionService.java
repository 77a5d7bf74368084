package app.jemble.privacy;

import app.jemble.account.AccountService;
import app.jemble.core.access.Right;
import app.jemble.core.house.Kept;
import app.jemble.core.house.Retention;
import app.jemble.core.record.PersonId;
import app.jemble.history.EventKind;
import app.jemble.history.HouseHistory;
import app.jemble.privacy.RetentionMapper.Row;
import app.jemble.problem.Problem;
import app.jemble.storage.GrowsOld;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import java.time.Instant;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Lets go of what was kept long enough, in a night that was said before. Each step is an act of its
 * own: a process that dies in between has lost nothing, and another goes on.
 */
@Service
class RetentionService {

  private static final Logger LOG = LoggerFactory.getLogger(RetentionService.class);
  private static final int AT_ONCE = 5_000;

  /** How much of something goes in that night; everything from before an instant. */
  record GoesNext(Kept kept, Instant before, long count) {}

  private final RetentionMapper mapper;
  private final List<GrowsOld> rooms;
  private final ErasureService erasures;
  private final HouseHistory history;
  private final AccountService accounts;
  private final WorkspaceService workspace;
  private final TransactionTemplate steps;
  private final Clock clock;

  RetentionService(
      RetentionMapper mapper,
      List<GrowsOld> rooms,
      ErasureService erasures,
      HouseHistory history,
      AccountService accounts,
      WorkspaceService workspace,
      PlatformTransactionManager transactions,
      Clock clock) {
    this.mapper = mapper;
    this.rooms = rooms;
    this.erasures = erasures;
    this.history = history;
    this.accounts = accounts;
    this.workspace = workspace;
    this.steps = new TransactionTemplate(transactions);
    this.clock = clock;
  }

  Row rules() {
    return mapper.find();
  }

  /** What goes in the night that is said, in the order in which it does. */
  List<GoesNext> next() {
    Row row = mapper.find();
    List<GoesNext> next = new ArrayList<>();
    if (row.goesAt() != null) {
      befores(row)
          .forEach((kept, before) -> next.add(new GoesNext(kept, before, count(kept, before))));
    }
    return next;
  }

  /**
   * Keeps things for so many months from now on; what goes is said anew.
   *
   * @param months null for good
   */
  @Transactional
  void keep(int version, Integer copies, Integer responses, Integer mails, Integer archived) {
    accounts.currentWith(Right.SETTINGS);
    Retention wanted;
    try {
      wanted = retention(new Row(version, copies, responses, mails, archived, null));
    } catch (IllegalArgumentException outside) {
      throw Problem.wrong(
          "months",
          "Say for how many months, from "
              + Retention.LEAST
              + " to "
              + Retention.MOST
              + ", or leave it empty.");
    }
    if (mapper.lock().version() != version) {
      throw Problem.conflict("Somebody changed this meanwhile; look at it again.");
    }
    mapper.write(
        new Row(
            version + 1,
            copies,
            responses,
            mails,
            archived,
            wanted.isForGood() ? null : Retention.nightAfter(now()).toInstant()));
  }

  /** Does what was said before, once its night has come, and says what is next. */
  void look() {
    Row row = mapper.find();
    if (row.goesAt() == null || row.goesAt().isAfter(clock.instant())) {
      return;
    }
    befores(row).forEach(this::letGo);
    steps.executeWithoutResult(
        done -> {
          Row now = mapper.lock();
          if (row.equals(now)) {
            mapper.write(
                new Row(
                    now.version(),
                    now.copies(),
                    now.responses(),
                    now.mails(),
                    now.archived(),
                    Retention.nightAfter(now()).toInstant()));
          }
        });
  }

  private void letGo(Kept kept, Instant before) {
    long gone = kept == Kept.ARCHIVED ? eraseArchived(before) : letGoOf(room(kept), before);
    if (gone > 0) {
      history.noteOfHouse(
          EventKind.PRIVACY, words(kept) + ", " + gone + ", from before " + day(before));
    }
  }

  private static String words(Kept kept) {
    return switch (kept) {
      case COPIES -> "Let go of copies of messages";
      case RESPONSES -> "Let go of notes of responses";
      case MAILS -> "Let go of mails and texts that came";
      case ARCHIVED -> "Erased archived people";
    };
  }

  private String day(Instant instant) {
    return instant.atZone(workspace.current().zoneId()).toLocalDate().toString();
  }

  private long letGoOf(GrowsOld room, Instant before) {
    long gone = 0;
    int step = AT_ONCE;
    while (step > 0) {
      Integer now = steps.execute(act -> mapper.run(room.letGo(before, AT_ONCE)));
      step = now == null ? 0 : now;
      gone += step;
    }
    if (gone > 0 && !room.tidy().isEmpty()) {
      steps.executeWithoutResult(act -> mapper.run(room.tidy()));
    }
    return gone;
  }

  /** One whose message is leaving stays for another night, and keeps nobody else. */
  private long eraseArchived(Instant before) {
    long gone = 0;
    for (PersonId person : mapper.archivedFirst(before, AT_ONCE)) {
      try {
        erasures.eraseArchived(person);
        gone++;
      } catch (Problem busy) {
        LOG.warn("Person {} is not erased tonight: {}", person, busy.getMessage());
      }
    }
    return gone;
  }

  private GrowsOld room(Kept kept) {
    return rooms.stream().filter(room -> room.kind() == kept).findFirst().orElseThrow();
  }

  private long count(Kept kept, Instant before) {
    return kept == Kept.ARCHIVED ? mapper.archived(before) : mapper.count(room(kept).older(before));
  }

  /** What goes, and from before when. */
  private Map<Kept, Instant> befores(Row row) {
    Retention rules = retention(row);
    ZonedDateTime night = row.goesAt().atZone(workspace.current().zoneId());
    Map<Kept, Instant> befores = new EnumMap<>(Kept.class);
    rules.months().keySet().forEach(kept -> befores.put(kept, rules.before(kept, night)));
    return befores;
  }

  private static Retention retention(Row row) {
    Map<Kept, Integer> months = new EnumMap<>(Kept.class);
    months.put(Kept.COPIES, row.copies());
    months.put(Kept.RESPONSES, row.responses());
    months.put(Kept.MAILS, row.mails());
    months.put(Kept.ARCHIVED, row.archived());
    months.values().removeIf(m -> m == null);
    return new Retention(months);
  }

  private ZonedDateTime now() {
    return clock.instant().atZone(workspace.current().zoneId());
  }
}
