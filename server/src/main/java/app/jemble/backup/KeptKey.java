package app.jemble.backup;

import app.jemble.backup.BackupCommand.Refused;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Map;

/**
 * The key to the house's secrets, where it is kept.
 *
 * @param given by a variable; empty where it stands in the file
 */
record KeptKey(String given, Path file) {

  static KeptKey of(Map<String, String> settings) {
    String home = System.getProperty("user.home");
    return new KeptKey(
        settings.getOrDefault("JEMBLE_KEY", "").strip(),
        Path.of(settings.getOrDefault("JEMBLE_KEY_FILE", home + "/.jemble/key")));
  }

  /** In base64; empty where there is none yet. */
  String text() throws IOException {
    if (!given.isEmpty()) {
      return given;
    }
    return Files.exists(file) ? Files.readString(file, StandardCharsets.US_ASCII).strip() : "";
  }

  /** A house has one key: what the other sealed would never open. */
  void mustTake(String key) throws IOException, Refused {
    String now = text();
    if (!now.isEmpty() && !key.isEmpty() && !now.equals(key)) {
      String where = given.isEmpty() ? file.toString() : "JEMBLE_KEY";
      throw new Refused(
          "The key in " + where + " is another than that of the backup. Put it aside first.");
    }
  }

  void take(String key) throws IOException {
    if (text().isEmpty() && !key.isEmpty()) {
      Path folder = file.toAbsolutePath().getParent();
      Files.createDirectories(folder);
      Files.createFile(
          file, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
      Files.writeString(file, key, StandardCharsets.US_ASCII);
    }
  }
}
