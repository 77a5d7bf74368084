package app.jemble.colleague;

import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.account.Belongings;
import app.jemble.cause.CauseChanges;
import app.jemble.colleague.LeavingMapper.WaitingMailing;
import app.jemble.core.access.Right;
import app.jemble.problem.Problem;
import app.jemble.release.ReleaseUndoing;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * A colleague leaves: they sign in no more, and what is theirs is handed over in the same act. What
 * is private to them stays theirs and is told to nobody; yet where waiting messages are withdrawn,
 * theirs are too, since nobody else could ever stop those.
 */
@Service
class Leaving {

  /** How many of one kind somebody has, and how it is called. */
  record Owned(String one, String many, long count) {}

  /**
   * What somebody would leave behind.
   *
   * @param owned all kinds of which they have something
   * @param waiting what they have let go and is not at its end
   */
  record Estate(List<Owned> owned, List<WaitingMailing> waiting) {}

  /** What becomes of mailings that wait. */
  enum Fate {
    /** They leave as they were released; their rules stand still. */
    STAY,
    /** They leave in the name of who takes over, and so do their rules' messages. */
    HAND_OVER,
    WITHDRAW
  }

  /**
   * What becomes of what is theirs.
   *
   * @param to the id of who takes over; null lets all stay theirs
   * @param waiting null for STAY
   */
  record Wish(@Schema(nullable = true) Long to, @Schema(nullable = true) Fate waiting) {}

  private final AccountService accounts;
  private final PasswordLinks links;
  private final List<Belongings> belongings;
  private final LeavingMapper mapper;
  private final CauseChanges causes;
  private final ReleaseUndoing releases;

  Leaving(
      AccountService accounts,
      PasswordLinks links,
      List<Belongings> belongings,
      LeavingMapper mapper,
      CauseChanges causes,
      ReleaseUndoing releases) {
    this.accounts = accounts;
    this.links = links;
    this.belongings = belongings;
    this.mapper = mapper;
    this.causes = causes;
    this.releases = releases;
  }

  Estate of(long id) {
    long owner = accounts.colleague(id).id();
    return new Estate(
        belongings.stream()
            .map(kind -> new Owned(kind.one(), kind.many(), kind.count().applyAsLong(owner)))
            .filter(owned -> owned.count() > 0)
            .toList(),
        mapper.waiting(owner));
  }

  @Transactional
  void switchOff(long id, Wish wish) {
    Account from = accounts.colleague(id);
    Account to = heir(from, wish);
    links.switchOff(id);
    Fate fate = wish.waiting() == null ? Fate.STAY : wish.waiting();
    List<WaitingMailing> waiting = mapper.waiting(id);
    if (to != null) {
      belongings.forEach(kind -> kind.handOver().give(from, to));
    }
    switch (fate) {
      case STAY -> {}
      case HAND_OVER ->
          causes.handOver(waiting.stream().map(WaitingMailing::id).toList(), id, to.id());
      case WITHDRAW -> {
        waiting.stream()
            .filter(mailing -> mailing.toLeave() > 0)
            .forEach(mailing -> releases.withdraw(mailing.id()));
        mapper.privatelyWaiting(id).forEach(releases::withdrawAnybodys);
      }
    }
  }

  /** What becomes of waiting mailings, in words. */
  static String said(Fate waiting) {
    return switch (waiting == null ? Fate.STAY : waiting) {
      case STAY -> "what waits leaves";
      case HAND_OVER -> "what waits is taken over";
      case WITHDRAW -> "what waits is withdrawn";
    };
  }

  private Account heir(Account from, Wish wish) {
    if (wish.to() == null) {
      if (wish.waiting() == Fate.HAND_OVER) {
        throw Problem.wrong("to", "Choose who takes over the mailings that wait.");
      }
      return null;
    }
    Account to = accounts.find(wish.to());
    if (to == null || to.off() || to.id() == from.id()) {
      throw Problem.wrong("to", "Choose a colleague who is there.");
    }
    if (!to.may(Right.WORK)) {
      throw Problem.wrong(
          "to", to.name() + " only reads, and could do nothing with it. Choose somebody else.");
    }
    return to;
  }
}
