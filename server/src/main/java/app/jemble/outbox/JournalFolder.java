package app.jemble.outbox;

import app.jemble.settings.JembleSettings;
import app.jemble.workspace.WorkspaceService;
import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;

/**
 * Where this machine's processes keep the journals of their hand-overs. It must be theirs alone:
 * what stands in it is believed.
 */
@Component
public class JournalFolder {

  private static final Logger LOG = LoggerFactory.getLogger(JournalFolder.class);
  private static final String OURS_ALONE = "rwx------";

  private final Path wanted;
  private final Supplier<byte[]> secret;
  private Optional<Path> folder;

  @Autowired
  JournalFolder(JembleSettings settings, WorkspaceService workspace) {
    this(Path.of(settings.outbox().journal()), workspace::secret);
  }

  /**
   * @param secret of the installation; no other has the same
   */
  JournalFolder(Path wanted, Supplier<byte[]> secret) {
    this.wanted = wanted;
    this.secret = secret;
  }

  /** Empty when none can be kept; then after a kill more messages are in doubt. */
  public synchronized Optional<Path> folder() {
    if (folder == null) {
      folder = opened();
    }
    return folder;
  }

  private Optional<Path> opened() {
    try {
      Files.createDirectories(wanted.toAbsolutePath().getParent());
      Path house = wanted.resolve(mark());
      if (isOurs(wanted) && isOurs(house)) {
        return Optional.of(house);
      }
      LOG.warn("{} is not this user's alone; hand-overs are not journalled.", wanted);
    } catch (IOException | UnsupportedOperationException e) {
      LOG.warn("No journal of hand-overs can be kept in {}: {}", wanted, e.toString());
    }
    return Optional.empty();
  }

  /** Two installations of one user do not read each other's, nor clear them away. */
  private String mark() {
    return UUID.nameUUIDFromBytes(secret.get()).toString();
  }

  private static boolean isOurs(Path folder) throws IOException {
    if (!Files.isDirectory(folder)) {
      try {
        Files.createDirectory(
            folder,
            PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString(OURS_ALONE)));
      } catch (FileAlreadyExistsException another) {
        LOG.debug("Another process began {}.", folder);
      }
    }
    return PosixFilePermissions.toString(Files.getPosixFilePermissions(folder)).equals(OURS_ALONE)
        && Files.getOwner(folder).getName().equals(System.getProperty("user.name"));
  }
}
