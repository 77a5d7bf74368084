package app.jemble.inbound;

import app.jemble.account.Account;
import app.jemble.carrier.HandoverResult;
import app.jemble.carrier.mail.HouseMails;
import app.jemble.core.message.Mailbox;
import app.jemble.inbound.MailTrialMapper.TrialRow;
import app.jemble.problem.Problem;
import app.jemble.telling.ColleagueMails;
import app.jemble.workspace.Workspace;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import java.time.Instant;
import java.util.UUID;
import org.springframework.stereotype.Service;

/**
 * Mails that the house sends to itself: to where what cannot be delivered comes back, so that
 * leaving, the mail domain and the mailbox are tried in one. Another goes to whoever asks.
 */
@Service
class MailTrials {

  private static final String SUBJECT = "A trial of Jemble";

  private final MailTrialMapper mapper;
  private final HouseMails mails;
  private final ColleagueMails colleagues;
  private final WorkspaceService workspace;
  private final Clock clock;

  MailTrials(
      MailTrialMapper mapper,
      HouseMails mails,
      ColleagueMails colleagues,
      WorkspaceService workspace,
      Clock clock) {
    this.mapper = mapper;
    this.colleagues = colleagues;
    this.mails = mails;
    this.workspace = workspace;
    this.clock = clock;
  }

  /**
   * A trial.
   *
   * @param to where it went
   * @param refused what the mail server said against it; empty when it took it
   */
  record Trial(long id, String to, String refused) {}

  Trial begin(Account by) {
    if (!workspace.hasMailDomain()) {
      throw Problem.conflict(
          "The house has not said its mail domain yet: Settings, “Name, place and clock”.");
    }
    Workspace house = workspace.current();
    Mailbox me = new Mailbox(by.name(), by.email());
    String id = "trial " + UUID.randomUUID();
    String to = mails.returnAddress(id);
    long trial = mapper.begin(mails.identity(id), by.id(), clock.instant());
    HandoverResult back =
        mails.hand(id, me, new Mailbox(house.name(), to), SUBJECT, HouseMails.plain(backWords()));
    if (!(back instanceof HandoverResult.Accepted)) {
      return new Trial(trial, to, back.words());
    }
    HandoverResult mine = colleagues.hand("own " + id, by, "trial", house.name());
    return new Trial(
        trial, to, mine instanceof HandoverResult.Accepted ? "" : by.email() + ": " + mine.words());
  }

  private static String backWords() {
    return "This mail was sent to see whether it comes back into the mailbox of the house.";
  }

  TrialRow find(long id) {
    TrialRow trial = mapper.find(id);
    if (trial == null) {
      throw Problem.notFound("There is no such trial.");
    }
    return trial;
  }

  /** Whether a mail is such a trial; then it is noted that it came. */
  boolean came(String identity, Instant at) {
    return !identity.isBlank() && mapper.came(identity.strip(), at) > 0;
  }
}
