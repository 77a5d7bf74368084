package app.jemble.check;

import app.jemble.audience.AudienceService;
import app.jemble.cause.Cause;
import app.jemble.core.check.Finding;
import app.jemble.core.check.ReleaseCheck;
import app.jemble.core.pace.Plan;
import app.jemble.core.pace.PlanAsk;
import app.jemble.core.reach.Channel;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.PersonId;
import app.jemble.mailing.MailingFiles;
import app.jemble.message.Letter;
import app.jemble.message.LetterService;
import app.jemble.message.RecipientNames;
import app.jemble.outbox.OutboxService;
import app.jemble.plan.PlanService;
import app.jemble.plan.ReaderClocks;
import app.jemble.plan.ReadyReaders;
import app.jemble.plan.ReadyReaders.Ready;
import app.jemble.plan.SendPlan;
import app.jemble.workspace.WorkspaceService;
import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.springframework.stereotype.Service;

/** Looks at the message of everyone a mailing is for: what is lacking, and all other findings. */
@Service
public class CheckService implements ReadyReaders, RecipientNames {

  private static final int MOST_KEPT = 20;

  /** Told how far a look has come. */
  @FunctionalInterface
  public interface Progress {
    Progress NONE = (checked, of) -> {};

    void checked(long checked, long of);
  }

  private final AudienceService audience;
  private final WorkspaceService workspace;
  private final SenderLooks senders;
  private final OutboxService outbox;
  private final LetterService letters;
  private final MailingFiles files;
  private final PlanService plans;
  private final WaysCheck ways;
  private final Clock clock;
  private final ExecutorService threads =
      Executors.newFixedThreadPool(
          Runtime.getRuntime().availableProcessors(), work -> new Thread(work, "look"));

  private LastLooks.Looked looked(long mailing) {
    return new LastLooks.Looked(mailing, audience.whomOneSees());
  }

  /** The last look at each of a few mailings, for the pages of its list. */
  private final LastLooks lastChecks = new LastLooks(MOST_KEPT);

  CheckService(
      AudienceService audience,
      WorkspaceService workspace,
      SenderLooks senders,
      OutboxService outbox,
      LetterService letters,
      MailingFiles files,
      PlanService plans,
      WaysCheck ways,
      Clock clock) {
    this.audience = audience;
    this.workspace = workspace;
    this.senders = senders;
    this.outbox = outbox;
    this.letters = letters;
    this.files = files;
    this.plans = plans;
    this.ways = ways;
    this.clock = clock;
  }

  /** Looks at everyone: reach first, then the whole message of each who is ready. */
  public Checked check(Cause mailing, Progress progress) {
    Letter letter = letters.of(mailing);
    FieldCatalogue fields = workspace.fields();
    Instant now = clock.instant();
    int spacingDays = plans.spacingDays();
    RunningCheck look =
        new RunningCheck(
            letter,
            checked(mailing, letter, spacingDays),
            ways.beginTexts(letter),
            ways.beginNotices(letter),
            RunningCheck.ofPeople(fields),
            new RunningCheck.Elsewhere(
                spacingDays == 0
                    ? Set.of()
                    : outbox.writtenSince(now.minus(Duration.ofDays(spacingDays))),
                outbox.dueElsewhere(mailing.id())),
            new ReaderClocks(workspace.current().zoneId()),
            now);
    long of = audience.size(mailing);
    try (InOrder<RunningCheck.Lot> lots =
        new InOrder<>(threads, lot -> progress.checked(look.take(lot), of))) {
      audience.each(mailing, letter::values, reader -> look.add(reader, lots));
      look.end(lots);
    }
    Plan plan = lookAtPlan(mailing, look, now);
    ways.lookAtCost(look, plan);
    Checked checked = look.looked(mailing.version());
    lastChecks.put(looked(mailing.id()), checked);
    return checked;
  }

  /** The last look at a mailing, when nothing was written since; else a new one. */
  public Checked lastCheck(Cause mailing) {
    Checked last = lastChecks.get(looked(mailing.id()));
    return last != null && last.version() == mailing.version()
        ? last
        : check(mailing, Progress.NONE);
  }

  /** Keeps what more was found, unless something was written since. */
  Checked keep(Cause mailing, Checked checked) {
    lastChecks.keep(looked(mailing.id()), checked);
    return checked;
  }

  @Override
  public Ready lately(Cause mailing) {
    Checked last = lastChecks.get(looked(mailing.id()));
    Checked checked = last != null ? last : check(mailing, Progress.NONE);
    return new Ready(checked.clocks(), checked.collisions());
  }

  @Override
  public List<PersonId> people(Cause mailing) {
    return lastCheck(mailing).ready().stream().map(Checked.Entry::personId).toList();
  }

  @Override
  public List<String> names(Cause mailing) {
    return names(lastCheck(mailing));
  }

  /** Of those who are ready, each once. */
  public static List<String> names(Checked checked) {
    return checked.ready().stream().map(Checked.Entry::name).distinct().toList();
  }

  /** The last look at a mailing, when there was one. */
  Optional<Checked> lastResult(long mailingId) {
    return Optional.ofNullable(lastChecks.get(looked(mailingId)));
  }

  /** The people of one finding in the last look. */
  List<PersonId> peopleOf(Cause mailing, Finding.Code code, String about) {
    return lastCheck(mailing).findings().stream()
        .filter(f -> f.code() == code && (about == null || f.about().equals(about)))
        .flatMap(f -> f.people().stream())
        .distinct()
        .toList();
  }

  private Plan lookAtPlan(Cause mailing, RunningCheck look, Instant now) {
    SendPlan plan = plans.of(mailing);
    PlanAsk ask = plans.ask(mailing, plan, plans.afterHold(now));
    Instant deadline = plan.doneBy() == null ? null : plans.deadline(plan.doneBy());
    ReaderClocks clocks = look.clocks();
    Plan planned = look.check().lookAtPlan(ask, clocks.clocks(), now, deadline, look.collisions());
    if (plan.startOwn() || plan.ownClock() || clocks.clocks().anyRings()) {
      look.check().lookAtClocks(clocks.without(), clocks.house());
    }
    return planned;
  }

  private ReleaseCheck checked(Cause mailing, Letter letter, int spacingDays) {
    ReleaseCheck check = new ReleaseCheck(spacingDays);
    check.allowAtMost(plans.mostPerMailing());
    if (letter.ways().has(Channel.EMAIL)) {
      check.lookAtTexts(
          letter.wording().subject(),
          letter.wording().body(),
          letter.subjectErrors(),
          letter.bodyErrors());
    }
    ways.look(check, letter);
    check.lookAtFiles(
        files.all(mailing.id()).stream().mapToLong(MailingFiles.MailingFile::size).sum(),
        MailingFiles.MOST_OCTETS);
    check.askOfSender(senders.look(mailing));
    return check;
  }

  @PreDestroy
  void stop() {
    threads.shutdownNow();
  }
}
