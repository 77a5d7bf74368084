package app.jemble.outbox;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import org.testng.annotations.Test;

/** Journals are one user's and one installation's. */
public class JournalFolderTest {

  private static JournalFolder folder(Path wanted, String secret) {
    return new JournalFolder(wanted, () -> secret.getBytes(StandardCharsets.UTF_8));
  }

  private static Path inTheirFolder(String name) throws IOException {
    return Files.createTempDirectory("jemble-journals").resolve(name);
  }

  @Test
  public void twoInstallationsHaveAFolderEach() throws IOException {
    Path wanted = inTheirFolder("journals");
    Path first = folder(wanted, "one").folder().orElseThrow();
    assertThat(folder(wanted, "one").folder()).as("another process").contains(first);
    Path second = folder(wanted, "another").folder().orElseThrow();
    assertThat(second).isNotEqualTo(first).hasParent(first.getParent());
    assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(second)))
        .isEqualTo("rwx------");
  }

  @Test
  public void aFolderOthersCanWriteInIsNotUsed() throws IOException {
    Path wanted = inTheirFolder("open");
    Files.createDirectory(wanted);
    Files.setPosixFilePermissions(wanted, PosixFilePermissions.fromString("rwxrwxrwx"));
    assertThat(folder(wanted, "one").folder()).isEmpty();
  }
}
