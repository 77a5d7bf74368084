package app.jemble.print;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Writes the file of a run that is being printed: on disk, then in pieces into the database. What
 * is to be printed was noted before, so that whoever takes it up again prints the same.
 */
@Component
class RunPrinter {

  private static final Logger LOG = LoggerFactory.getLogger(RunPrinter.class);

  /** Whoever shows no sign of life for so long is taken to be dead. */
  static final Duration STANDS_STILL = Duration.ofSeconds(30);

  private final PrintMapper mapper;
  private final ItemMapper items;
  private final List<RunWriter> writers;
  private final PrintFiles files;
  private final Clock clock;

  RunPrinter(
      PrintMapper mapper,
      ItemMapper items,
      List<RunWriter> writers,
      PrintFiles files,
      Clock clock) {
    this.mapper = mapper;
    this.items = items;
    this.writers = writers;
    this.files = files;
    this.clock = clock;
  }

  /** Prints a run, unless somebody else is at it. */
  void print(long id) {
    if (items.take(id, clock.instant(), clock.instant().minus(STANDS_STILL)) == 0) {
      return;
    }
    try {
      write(mapper.find(id));
    } catch (IOException | RuntimeException e) {
      LOG.error("Print run {} could not be printed.", id, e);
      files.giveUp(id, "It could not be printed; nothing was lost. Print it again.");
    }
  }

  private void write(PrintRun run) throws IOException {
    Path file = Files.createTempFile("jemble-print", ".pdf");
    try {
      int pages =
          writers.stream()
              .filter(writer -> writer.writes(run))
              .findFirst()
              .orElseThrow()
              .write(run, file, done -> items.progress(run, done, clock.instant()) > 0);
      if (pages != RunWriter.STOPPED) {
        files.keep(run, file, pages);
      }
    } finally {
      Files.deleteIfExists(file);
    }
  }
}
