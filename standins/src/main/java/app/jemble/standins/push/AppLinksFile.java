package app.jemble.standins.push;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.Set;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** People who open the links they were given, as soon as these lie in a file: one a line. */
public final class AppLinksFile implements AutoCloseable {

  private static final Logger LOG = LoggerFactory.getLogger(AppLinksFile.class);
  private static final int SECONDS_BETWEEN_LOOKS = 2;

  private final Path file;
  private final PretendApps apps;
  private final Set<String> opened = new HashSet<>();
  private final ScheduledExecutorService looks = Executors.newSingleThreadScheduledExecutor();

  public AppLinksFile(Path file, PretendApps apps) {
    this.file = file;
    this.apps = apps;
  }

  /** From now on. */
  public void watch() {
    looks.scheduleWithFixedDelay(
        this::look, SECONDS_BETWEEN_LOOKS, SECONDS_BETWEEN_LOOKS, TimeUnit.SECONDS);
  }

  private void look() {
    try {
      if (Files.exists(file)) {
        for (String link : Files.readAllLines(file)) {
          if (!opened.contains(link)) {
            install(link);
            opened.add(link);
          }
        }
      }
    } catch (IOException | RuntimeException notYet) {
      LOG.debug("The house is not there yet: {}", notYet.toString());
    }
  }

  /** Some have a tablet too. */
  private void install(String link) throws IOException {
    apps.install(link, "Phone");
    if (Math.floorMod(link.hashCode(), 7) == 0) {
      apps.install(link, "Tablet");
    }
  }

  @Override
  public void close() {
    looks.shutdownNow();
  }
}
