package app.jemble.mark;

import app.jemble.outbox.JournalFolder;
import app.jemble.response.ResponseService.Fetched;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Fetches of open marks that came while the database was away, in a file on the machine's disk:
 * they are noted when it is back, by this process or by the next one. For one thread.
 */
@Component
class MarkJournal {

  private static final Logger LOG = LoggerFactory.getLogger(MarkJournal.class);
  private static final String NAME = "marks-";

  /** A day of a large mailing; more is answered with "try again". */
  private static final long MOST_OCTETS = 64L << 20;

  private final JournalFolder folder;
  private Path own;
  private boolean holds = true;

  MarkJournal(JournalFolder folder) {
    this.folder = folder;
  }

  /** Whether anything waits, as far as is known; at first that is not. */
  boolean holdsAny() {
    return holds;
  }

  /** Keeps fetches; false when that is not possible. */
  boolean write(List<Fetched> fetches) {
    Optional<Path> place = folder.folder();
    if (place.isEmpty()) {
      return false;
    }
    try {
      if (own == null) {
        own = place.get().resolve(NAME + UUID.randomUUID());
      }
      if (Files.exists(own) && Files.size(own) > MOST_OCTETS) {
        return false;
      }
      StringBuilder lines = new StringBuilder();
      fetches.forEach(f -> lines.append(line(f)).append('\n'));
      Files.writeString(own, lines, StandardOpenOption.CREATE, StandardOpenOption.APPEND);
      holds = true;
      return true;
    } catch (IOException full) {
      LOG.error("Opens cannot be journalled.", full);
      return false;
    }
  }

  /** Gives what was written to a taker, file by file; a file it has taken is gone. */
  void replay(java.util.function.Consumer<List<Fetched>> taker) {
    Optional<Path> place = folder.folder();
    holds = false;
    if (place.isEmpty()) {
      return;
    }
    try (var files = Files.list(place.get())) {
      for (Path file : files.filter(f -> f.getFileName().toString().startsWith(NAME)).toList()) {
        replay(file, taker);
      }
    } catch (IOException unreadable) {
      LOG.error("Opens that were journalled cannot be read.", unreadable);
    }
  }

  /** Renamed first: of two processes one has it, and what comes meanwhile begins another. */
  private void replay(Path file, java.util.function.Consumer<List<Fetched>> taker)
      throws IOException {
    Path taken = file.resolveSibling("taken-" + UUID.randomUUID());
    try {
      Files.move(file, taken);
    } catch (java.nio.file.NoSuchFileException another) {
      return;
    }
    try {
      List<Fetched> fetches = new ArrayList<>();
      for (String line : Files.readAllLines(taken, StandardCharsets.UTF_8)) {
        fetch(line).ifPresent(fetches::add);
      }
      for (int from = 0; from < fetches.size(); from += MarkIntake.MOST) {
        taker.accept(fetches.subList(from, Math.min(fetches.size(), from + MarkIntake.MOST)));
      }
      Files.delete(taken);
      LOG.info("{} opens were noted that came while the database was away.", fetches.size());
    } catch (RuntimeException away) {
      Files.move(taken, file.resolveSibling(NAME + UUID.randomUUID()));
      holds = true;
      throw away;
    }
  }

  private static String line(Fetched f) {
    return String.join(" ", f.at().toString(), f.token(), f.address(), coded(f.agent()));
  }

  private static String coded(String agent) {
    byte[] octets = (agent == null ? "" : agent).getBytes(StandardCharsets.UTF_8);
    return "." + Base64.getUrlEncoder().withoutPadding().encodeToString(octets);
  }

  /** The last line may have been cut. */
  private static Optional<Fetched> fetch(String line) {
    String[] parts = line.split(" ");
    try {
      String agent =
          new String(Base64.getUrlDecoder().decode(parts[3].substring(1)), StandardCharsets.UTF_8);
      return Optional.of(new Fetched(parts[1], agent, parts[2], Instant.parse(parts[0])));
    } catch (DateTimeParseException | IllegalArgumentException | IndexOutOfBoundsException cut) {
      return Optional.empty();
    }
  }
}
