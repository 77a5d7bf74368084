package app.jemble.nod;

import app.jemble.access.AccessService;
import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.cause.Cause;
import app.jemble.cause.OpenCauses;
import app.jemble.check.CheckService;
import app.jemble.check.Checked;
import app.jemble.core.access.Access;
import app.jemble.core.access.Decision;
import app.jemble.core.access.Right;
import app.jemble.core.check.Finding;
import app.jemble.core.message.CauseState;
import app.jemble.problem.Problem;
import app.jemble.release.ReleaseRights;
import app.jemble.release.ReleaseService;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Asks for the nod of a second colleague; when it is given, the mailing is released. */
@Service
public class Nods {

  private static final int LONGEST_WORD = 500;

  private final NodMapper mapper;
  private final OpenCauses open;
  private final CheckService checks;
  private final ReleaseService releases;
  private final ReleaseRights rights;
  private final AccountService accounts;
  private final AccessService access;
  private final Clock clock;

  Nods(
      NodMapper mapper,
      OpenCauses open,
      CheckService checks,
      ReleaseService releases,
      ReleaseRights rights,
      AccountService accounts,
      AccessService access,
      Clock clock) {
    this.mapper = mapper;
    this.open = open;
    this.checks = checks;
    this.releases = releases;
    this.rights = rights;
    this.accounts = accounts;
    this.access = access;
    this.clock = clock;
  }

  /** Where a nod stands. */
  public enum Standing {
    /** nobody asked */
    NONE,
    /** asked for, not decided */
    ASKED,
    REFUSED,
    /** what it was asked for was changed since */
    LAPSED
  }

  /**
   * The nod of a mailing.
   *
   * @param askedBy the name
   * @param mine whether the colleague who looks asked for it
   * @param refusal why the colleague who looks may not decide it; null where they may
   * @param decidedBy who refused it
   */
  public record Nod(
      Standing standing,
      int people,
      String askedBy,
      Instant askedAt,
      boolean mine,
      String refusal,
      String decidedBy,
      String word) {

    static final Nod NONE = new Nod(Standing.NONE, 0, "", null, false, null, "", "");
  }

  /**
   * A nod that wants somebody.
   *
   * @param asked whether their nod is asked for; else theirs was refused
   * @param by who asks, or who refused
   */
  public record Wanting(
      boolean asked,
      long mailingId,
      String mailing,
      int people,
      String by,
      Instant at,
      String word) {}

  public Nod of(long mailingId) {
    Cause mailing = open.find(mailingId);
    NodMapper.NodRow row = mapper.find(mailingId);
    if (row == null || mailing.state() != CauseState.DRAFT) {
      return Nod.NONE;
    }
    Account me = accounts.current();
    Standing standing =
        row.version() != mailing.version()
            ? Standing.LAPSED
            : row.refusedAt() == null ? Standing.ASKED : Standing.REFUSED;
    Decision decision = Access.nod(me.asker(), row.askedBy(), row.people());
    return new Nod(
        standing,
        row.people(),
        accounts.find(row.askedBy()).name(),
        row.askedAt(),
        row.askedBy() == me.id(),
        access.refusal(decision).orElse(null),
        row.refusedBy() == null ? "" : accounts.find(row.refusedBy()).name(),
        row.word());
  }

  /** What wants the colleague who asks: nods they may give first. */
  public List<Wanting> wanting() {
    Account me = accounts.current();
    return Stream.concat(
            mapper.asked(me.id()).stream()
                .filter(n -> Access.nod(me.asker(), n.by(), n.people()).isYes())
                .map(n -> wanting(true, n)),
            mapper.refused(me.id()).stream().map(n -> wanting(false, n)))
        .toList();
  }

  private static Wanting wanting(boolean asked, NodMapper.NodAndName nod) {
    return new Wanting(
        asked, nod.causeId(), nod.mailing(), nod.people(), nod.byName(), nod.at(), nod.word());
  }

  /**
   * Asks for it, as the mailing is now.
   *
   * @param version the version the writer saw; a later one is refused
   */
  @Transactional
  public void ask(long mailingId, int version) {
    Account me = accounts.currentWith(Right.WRITE_TO_MANY);
    Cause mailing = draft(mailingId, version);
    if (mailing.isPrivate()) {
      throw Problem.conflict(
          "It is private, so nobody else can look at it. Let the others see it, then ask.");
    }
    Checked everyone = checks.check(mailing, CheckService.Progress.NONE);
    everyone.findings().stream()
        .filter(f -> f.severity() == Finding.Severity.BLOCKER)
        .findFirst()
        .ifPresent(
            f -> {
              throw Problem.conflict(f.sentence());
            });
    int people = everyone.ready().size();
    if (!rights.wantsNod(mailing, people)) {
      throw Problem.conflict("It needs no nod; release it.");
    }
    mapper.ask(
        new NodMapper.NodRow(mailingId, version, people, me.id(), clock.instant(), null, null, ""));
  }

  /** Asks for it no more. */
  @Transactional
  public void takeBack(long mailingId) {
    Account me = accounts.currentWith(Right.WRITE_TO_MANY);
    open.lock(mailingId);
    if (there(mailingId).askedBy() != me.id()) {
      throw Problem.forbidden("Only whoever asked for a nod can take that back.");
    }
    mapper.forget(mailingId);
  }

  /**
   * Gives it, which releases the mailing.
   *
   * @param version the version that was looked at
   */
  @Transactional
  public void give(long mailingId, int version) {
    NodMapper.NodRow nod = toDecide(mailingId, version);
    mapper.forget(mailingId);
    releases.releaseWithNod(mailingId, version, nod.askedBy());
  }

  /**
   * Refuses it.
   *
   * @param word why, for whoever asked
   */
  @Transactional
  public void refuse(long mailingId, int version, String word) {
    toDecide(mailingId, version);
    String why = word == null ? "" : word.strip();
    if (why.isEmpty() || why.length() > LONGEST_WORD) {
      throw Problem.wrong(
          "word",
          String.format(
              Locale.ROOT, "Say why, in a word or two, in up to %d characters.", LONGEST_WORD));
    }
    mapper.refuse(mailingId, accounts.current().id(), clock.instant(), why);
  }

  private NodMapper.NodRow toDecide(long mailingId, int version) {
    draft(mailingId, version);
    NodMapper.NodRow nod = there(mailingId);
    if (nod.version() != version) {
      throw Problem.conflict("It was changed since the nod was asked for. It is asked for anew.");
    }
    if (nod.refusedAt() != null) {
      throw Problem.conflict("The nod has been refused already.");
    }
    Decision decision = Access.nod(accounts.current().asker(), nod.askedBy(), nod.people());
    access
        .refusal(decision)
        .ifPresent(
            why -> {
              throw Problem.forbidden(why);
            });
    return nod;
  }

  private NodMapper.NodRow there(long mailingId) {
    NodMapper.NodRow nod = mapper.find(mailingId);
    if (nod == null) {
      throw Problem.conflict("No nod is asked for.");
    }
    return nod;
  }

  private Cause draft(long mailingId, int version) {
    Cause mailing = open.lock(mailingId);
    if (mailing.state() != CauseState.DRAFT) {
      throw Problem.conflict("It is no draft any more.");
    }
    if (mailing.version() != version) {
      throw Problem.conflict("This mailing was changed in the meantime. Look again.");
    }
    return mailing;
  }
}
