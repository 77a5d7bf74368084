package app.jemble.backup;

import app.jemble.backup.BackupCommand.Refused;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.FileAttribute;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;

/**
 * A house in one file (ZIP): when it was made, the database as pg_dump writes it, and the key to
 * its secrets. Only its owner may read it; it is there whole or not at all.
 */
final class BackupFile {

  private static final String MADE = "made-at";
  private static final String DATABASE = "database.dump";
  private static final String KEY = "key";

  private static final FileAttribute<?> OWNERS_ALONE =
      PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------"));

  private BackupFile() {}

  static void write(Path file, KeptDatabase database, KeptKey key) throws IOException, Refused {
    if (Files.exists(file)) {
      throw new Refused("There is a file " + file + " already; a backup takes no other's place.");
    }
    Path folder = file.toAbsolutePath().getParent();
    Path dump = Files.createTempFile(folder, "house", ".dump", OWNERS_ALONE);
    Path draft = Files.createTempFile(folder, "house", ".new", OWNERS_ALONE);
    try {
      Instant made = database.now();
      database.dump(dump);
      try (ZipOutputStream zip =
          new ZipOutputStream(Files.newOutputStream(draft), StandardCharsets.UTF_8)) {
        zip.putNextEntry(new ZipEntry(MADE));
        zip.write(made.toString().getBytes(StandardCharsets.US_ASCII));
        zip.putNextEntry(new ZipEntry(KEY));
        zip.write(key.text().getBytes(StandardCharsets.US_ASCII));
        zip.putNextEntry(new ZipEntry(DATABASE));
        Files.copy(dump, zip);
      }
      Files.move(draft, file, StandardCopyOption.ATOMIC_MOVE);
    } finally {
      Files.deleteIfExists(dump);
      Files.deleteIfExists(draft);
    }
  }

  static void restore(Path file, KeptDatabase database, KeptKey key) throws IOException, Refused {
    if (!Files.exists(file)) {
      throw new Refused("There is no file " + file + ".");
    }
    Path dump = Files.createTempFile("house", ".dump", OWNERS_ALONE);
    try (ZipFile zip = new ZipFile(file.toFile())) {
      Instant made = Instant.parse(text(zip, MADE));
      String theirs = text(zip, KEY);
      key.mustTake(theirs);
      database.mustBeEmpty();
      try (InputStream in = zip.getInputStream(entry(zip, DATABASE))) {
        Files.copy(in, dump, StandardCopyOption.REPLACE_EXISTING);
      }
      database.load(dump);
      database.noteRestored(made);
      key.take(theirs);
    } catch (ZipException | DateTimeParseException another) {
      throw notOne(file);
    } finally {
      Files.deleteIfExists(dump);
    }
  }

  private static String text(ZipFile zip, String name) throws IOException, Refused {
    try (InputStream in = zip.getInputStream(entry(zip, name))) {
      return new String(in.readAllBytes(), StandardCharsets.US_ASCII);
    }
  }

  private static ZipEntry entry(ZipFile zip, String name) throws Refused {
    ZipEntry entry = zip.getEntry(name);
    if (entry == null) {
      throw notOne(Path.of(zip.getName()));
    }
    return entry;
  }

  private static Refused notOne(Path file) {
    return new Refused(file + " is no backup of a house.");
  }
}
