package app.jemble.secret;

import app.jemble.core.access.SealedSecret;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.Channels;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.FileAttribute;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.Set;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * The key to the house's secrets, from the environment, else from a file that only its user reads.
 * The file is made when the first secret is sealed. All processes on one database need the same.
 */
@Component
class HouseKey {

  private static final Logger LOG = LoggerFactory.getLogger(HouseKey.class);
  private static final FileAttribute<?> OWNERS_ALONE =
      PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------"));

  private final String given;
  private final Path file;
  private byte[] key;

  HouseKey(@Value("${jemble.key}") String given, @Value("${jemble.key-file}") Path file) {
    this.given = given.strip();
    this.file = file;
  }

  /** {@link SealedSecret#KEY} octets. */
  synchronized byte[] octets() {
    if (key == null) {
      key = given.isEmpty() ? ofFile() : read(given, "JEMBLE_KEY");
    }
    return key.clone();
  }

  private byte[] ofFile() {
    try {
      if (!Files.exists(file)) {
        make();
      }
      if (Files.getPosixFilePermissions(file).size()
          > PosixFilePermissions.fromString("rw-------").size()) {
        LOG.warn("Others than its owner may use the key in {}; take that right from them.", file);
      }
      return read(Files.readString(file, StandardCharsets.US_ASCII).strip(), file.toString());
    } catch (IOException e) {
      throw new UncheckedIOException(
          "The key to the house's secrets cannot be kept in " + file + "; name it in JEMBLE_KEY.",
          e);
    }
  }

  /** Two processes that make it at once end with the same: it appears whole, or not at all. */
  private void make() throws IOException {
    byte[] made = new byte[SealedSecret.KEY];
    new SecureRandom().nextBytes(made);
    Path folder = file.toAbsolutePath().getParent();
    Files.createDirectories(folder);
    Path draft = Files.createTempFile(folder, "key", ".new", OWNERS_ALONE);
    try {
      try (var channel = Files.newByteChannel(draft, Set.of(StandardOpenOption.WRITE));
          var out = Channels.newOutputStream(channel)) {
        out.write(Base64.getEncoder().encode(made));
      }
      Files.createLink(file, draft);
      LOG.info("A key to the house's secrets was made in {}; keep a copy of it.", file);
    } catch (FileAlreadyExistsException another) {
      LOG.debug("Another process made the key.", another);
    } finally {
      Files.delete(draft);
    }
  }

  private static byte[] read(String text, String where) {
    byte[] octets;
    try {
      octets = Base64.getDecoder().decode(text);
    } catch (IllegalArgumentException e) {
      octets = new byte[0];
    }
    if (octets.length != SealedSecret.KEY) {
      throw new IllegalStateException(
          "What stands in " + where + " is no key: that is 32 octets in base64.");
    }
    return octets;
  }
}
