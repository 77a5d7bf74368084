package app.jemble.outbox;

import app.jemble.core.message.MessageId;
import app.jemble.core.message.MessageState;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URLDecoder;
import java.net.URLEncoder;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Which hand-overs of one worker have begun and how they ended, on this machine's disk. It outlives
 * the process that writes it, so that after a kill only the message that was on the wire is in
 * doubt. It does not outlive a power failure; each start of the machine has its own mark, and a
 * journal with another is not believed.
 *
 * <p>One line an event: {@code begun ID TRY}, {@code ended ID TRY TRIES STATE DUE SENT REFERENCES
 * REASON}, with instants in milliseconds of the epoch, references joined by commas and written as
 * in addresses, and "-" for none. A lock is held while the worker lives.
 */
final class HandoverJournal implements AutoCloseable {

  private static final String SUFFIX = ".handovers";
  private static final Path BOOT_MARK = Path.of("/proc/sys/kernel/random/boot_id");

  /** Held by this process: to look into one would let go of its lock. */
  private static final Set<Path> OWN = ConcurrentHashMap.newKeySet();

  private final Path file;
  private final FileChannel channel;
  private final long head;

  private HandoverJournal(Path file, FileChannel channel) throws IOException {
    this.file = file;
    this.channel = channel;
    channel.lock();
    append("machine " + machineMark());
    this.head = channel.position();
  }

  /** Begins the journal of a worker. */
  static HandoverJournal begin(Path folder, String worker) throws IOException {
    Path file = folder.resolve(worker + SUFFIX);
    OWN.add(file);
    FileChannel channel =
        FileChannel.open(file, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE);
    return new HandoverJournal(file, channel);
  }

  private static String machineMark() throws IOException {
    return Files.isReadable(BOOT_MARK) ? Files.readString(BOOT_MARK).strip() : "unknown";
  }

  void begun(MessageId id, int attempt) {
    append("begun " + id + " " + attempt);
  }

  void ended(int attempt, Ended ended) {
    append(
        "ended "
            + String.join(
                " ",
                ended.id().toString(),
                Integer.toString(attempt),
                Integer.toString(ended.tries()),
                ended.state().stored(),
                millis(ended.due()),
                millis(ended.sentAt()),
                references(ended.references()),
                ended.reason().replace('\n', ' ')));
  }

  /** All that it holds is noted in the database. */
  void forget() {
    try {
      channel.truncate(head);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private void append(String line) {
    try {
      ByteBuffer octets = ByteBuffer.wrap((line + "\n").getBytes(StandardCharsets.UTF_8));
      while (octets.hasRemaining()) {
        channel.write(octets);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static String references(List<String> references) {
    return references.isEmpty()
        ? "-"
        : references.stream()
            .map(reference -> URLEncoder.encode(reference, StandardCharsets.UTF_8))
            .collect(Collectors.joining(","));
  }

  private static String millis(Instant instant) {
    return instant == null ? "-" : Long.toString(instant.toEpochMilli());
  }

  /** Ends it and lets it lie to be read, for what could not be noted in the database. */
  void letGo() {
    try {
      channel.close();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } finally {
      OWN.remove(file);
    }
  }

  /** Ends it; nothing is in the worker's hands any more. */
  @Override
  public void close() {
    try {
      Files.deleteIfExists(file);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } finally {
      letGo();
    }
  }

  /** A journal whose worker is gone. */
  record Abandoned(Path file, String worker, List<String> lines) {

    /** What became of a message; empty when its hand-over had begun and its end is not told. */
    Optional<Ended> fate(MessageId id, int attempt) {
      boolean begun = false;
      for (String line : lines) {
        String[] words = line.split(" ", 9);
        boolean about =
            words.length > 2 && words[1].equals(id + "") && words[2].equals(attempt + "");
        if (about && words[0].equals("begun")) {
          begun = true;
        } else if (about && words.length == 9) {
          return Optional.of(
              new Ended(
                  id,
                  Integer.parseInt(words[3]),
                  MessageState.of(words[4]),
                  words[8],
                  instant(words[5]),
                  instant(words[6]),
                  references(words[7])));
        }
      }
      return begun ? Optional.empty() : Optional.of(Ended.notBegun(id, attempt - 1, "", null));
    }

    private static List<String> references(String joined) {
      return joined.equals("-")
          ? List.of()
          : Arrays.stream(joined.split(","))
              .map(reference -> URLDecoder.decode(reference, StandardCharsets.UTF_8))
              .toList();
    }

    private static Instant instant(String millis) {
      return millis.equals("-") ? null : Instant.ofEpochMilli(Long.parseLong(millis));
    }
  }

  /** The journals in a folder whose workers are gone, of this start of the machine alone. */
  static List<Abandoned> abandoned(Path folder) throws IOException {
    String mark = machineMark();
    List<Abandoned> all = new ArrayList<>();
    try (Stream<Path> files = Files.list(folder)) {
      for (Path file : files.filter(f -> f.toString().endsWith(SUFFIX)).toList()) {
        if (!OWN.contains(file)) {
          read(file).filter(j -> j.lines().get(0).equals("machine " + mark)).ifPresent(all::add);
        }
      }
    }
    return mark.equals("unknown") ? List.of() : all;
  }

  /** Empty while its worker lives. */
  private static Optional<Abandoned> read(Path file) throws IOException {
    try (FileChannel channel =
        FileChannel.open(file, StandardOpenOption.READ, StandardOpenOption.WRITE)) {
      FileLock lock = channel.tryLock();
      if (lock == null || channel.size() == 0) {
        return Optional.empty();
      }
      String name = file.getFileName().toString();
      // A kill may have cut the last line short: then what it would have told is not known.
      String text = Files.readString(file);
      List<String> lines = text.substring(0, text.lastIndexOf('\n') + 1).lines().toList();
      return lines.isEmpty()
          ? Optional.empty()
          : Optional.of(
              new Abandoned(file, name.substring(0, name.length() - SUFFIX.length()), lines));
    } catch (NoSuchFileException justEnded) {
      return Optional.empty();
    }
  }
}
