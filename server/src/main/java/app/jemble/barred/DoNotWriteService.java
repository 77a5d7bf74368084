package app.jemble.barred;

import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.barred.DoNotWriteMapper.Listed;
import app.jemble.core.access.Right;
import app.jemble.core.record.EmailAddress;
import app.jemble.core.record.PhoneNumber;
import app.jemble.exchange.SmallTable;
import app.jemble.problem.Problem;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The do-not-write list: seen, added to, brought in, given out, and in few cases lifted. */
@Service
class DoNotWriteService {

  /** Only what software or a colleague put there can be lifted: never what a reader said. */
  private static final Set<String> LIFTABLE = Set.of("soft returns", "by hand");

  private static final Set<String> REASONS =
      Set.of("hard return", "soft returns", "complaint", "asked", "by hand");

  private static final int LONGEST_NOTE = 500;

  /** What became of a file: how many lines it had, how many were added, which are no addresses. */
  record BroughtIn(int lines, int added, List<String> wrong) {}

  private final DoNotWriteMapper mapper;
  private final AccountService accounts;
  private final WorkspaceService workspace;
  private final Clock clock;

  DoNotWriteService(
      DoNotWriteMapper mapper, AccountService accounts, WorkspaceService workspace, Clock clock) {
    this.mapper = mapper;
    this.accounts = accounts;
    this.workspace = workspace;
    this.clock = clock;
  }

  static boolean isLiftable(String reason) {
    return LIFTABLE.contains(reason);
  }

  /** Puts an address on the list by hand. */
  @Transactional
  void add(String address, String reason, String note) {
    Account who = accounts.currentWriter();
    String key =
        key(address)
            .orElseThrow(
                () ->
                    Problem.wrong(
                        "address", "“" + address + "” is no e-mail address and no phone number."));
    String why = reason == null ? "by hand" : reason;
    if (!why.equals("by hand") && !why.equals("asked")) {
      throw Problem.wrong(
          "reason", "By hand an address is put there since somebody asked, or not.");
    }
    int added =
        mapper.add(List.of(key), List.of(why), List.of(note(note)), clock.instant(), who.id());
    if (added == 0) {
      throw Problem.conflict("This address is on the list already.");
    }
  }

  /**
   * By what an address is known: an e-mail address and a device's in small letters, a number as it
   * is dialled.
   */
  private Optional<String> key(String address) {
    if (address == null) {
      return Optional.empty();
    }
    if (address.strip().matches("https?://\\S+")) {
      return Optional.of(EmailAddress.key(address));
    }
    return EmailAddress.isValid(address.strip())
        ? Optional.of(EmailAddress.key(address))
        : PhoneNumber.international(address, workspace.current().region())
            .map(PhoneNumber::dialled);
  }

  private static String note(String note) {
    String sound = note == null ? "" : note.strip();
    if (sound.length() > LONGEST_NOTE) {
      throw Problem.wrong("note", "A note has at most 500 letters.");
    }
    return sound;
  }

  /** Addresses out of a file: the first column, with reason and note in two more if it has them. */
  @Transactional
  BroughtIn bringIn(byte[] file) {
    Account who = accounts.currentWriter();
    List<String> keys = new ArrayList<>();
    List<String> reasons = new ArrayList<>();
    List<String> notes = new ArrayList<>();
    List<String> wrong = new ArrayList<>();
    int lines = 0;
    for (List<String> row : SmallTable.rows(file)) {
      String address = row.isEmpty() ? "" : row.get(0).strip();
      Optional<String> key = key(address);
      boolean head = lines == 0 && key.isEmpty() && !address.contains("@");
      if (address.isEmpty() || head) {
        continue;
      }
      lines++;
      if (key.isEmpty()) {
        wrong.add(address);
        continue;
      }
      String reason = row.size() > 1 ? row.get(1).strip().toLowerCase(Locale.ROOT) : "";
      keys.add(key.get());
      reasons.add(REASONS.contains(reason) ? reason : "by hand");
      String note = row.size() > 2 ? row.get(2).strip() : "";
      notes.add(note.substring(0, Math.min(note.length(), LONGEST_NOTE)));
    }
    int added = mapper.add(keys, reasons, notes, clock.instant(), who.id());
    return new BroughtIn(lines, added, wrong.subList(0, Math.min(wrong.size(), 20)));
  }

  /** Takes an address off the list, for a reason that is kept. */
  @Transactional
  void lift(String address, String note) {
    Account who = accounts.currentWith(Right.SETTINGS);
    String key = key(address).orElseGet(() -> EmailAddress.key(address));
    String reason = mapper.lockedReason(key);
    if (reason == null) {
      throw Problem.notFound("This address is not on the list any more.");
    }
    if (!isLiftable(reason)) {
      throw Problem.conflict(
          "Whoever asked not to be written to, complained, or cannot be reached for good stays on the list;"
              + " a reader comes back by the link in any mail of ours.");
    }
    if (note == null || note.isBlank()) {
      throw Problem.wrong("note", "Say why it may be written to again.");
    }
    mapper.noteLifted(key, note(note), clock.instant(), who.id());
    mapper.lift(key);
  }

  /** Gives the whole list to a taker, one after another. */
  @Transactional(readOnly = true)
  public void each(Consumer<Listed> taker) {
    mapper.all(context -> taker.accept(context.getResultObject()));
  }
}
