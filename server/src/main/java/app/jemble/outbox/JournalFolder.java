package app.jemble.outbox;

import app.jemble.workspace.JembleSettings;
import jakarta.annotation.PostConstruct;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Where this machine's processes keep the journals of their hand-overs. It must be theirs alone:
 * what stands in it is believed.
 */
@Component
class JournalFolder {

  private static final Logger LOG = LoggerFactory.getLogger(JournalFolder.class);
  private static final String OURS_ALONE = "rwx------";

  private final Path wanted;
  private Path folder;

  JournalFolder(JembleSettings settings) {
    this.wanted = Path.of(settings.outbox().journal());
  }

  @PostConstruct
  void open() {
    try {
      Files.createDirectories(wanted.toAbsolutePath().getParent());
      if (!Files.isDirectory(wanted)) {
        Files.createDirectory(
            wanted,
            PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString(OURS_ALONE)));
      }
      boolean ours =
          PosixFilePermissions.toString(Files.getPosixFilePermissions(wanted)).equals(OURS_ALONE)
              && Files.getOwner(wanted).getName().equals(System.getProperty("user.name"));
      if (ours) {
        folder = wanted;
      } else {
        LOG.warn("{} is not this user's alone; hand-overs are not journalled.", wanted);
      }
    } catch (IOException | UnsupportedOperationException e) {
      LOG.warn("No journal of hand-overs can be kept in {}: {}", wanted, e.toString());
    }
  }

  /** Empty when none can be kept; then after a kill more messages are in doubt. */
  Optional<Path> folder() {
    return Optional.ofNullable(folder);
  }
}
