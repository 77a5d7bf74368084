package app.jemble.document;

import java.io.Closeable;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.Locale;
import java.util.Set;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;

/** Writes the parts of a document's file. The same parts make the same octets at any time. */
public final class PartsWriter implements Closeable {

  private static final LocalDateTime ALWAYS = LocalDateTime.of(1980, 1, 1, 0, 0);

  /** What is packed already. */
  private static final Set<String> PACKED = Set.of("png", "jpg", "jpeg", "gif");

  private final ZipOutputStream zip;

  public PartsWriter(OutputStream out) {
    this.zip = new ZipOutputStream(out, StandardCharsets.UTF_8);
  }

  public void write(String name, byte[] content) throws IOException {
    ZipEntry entry = new ZipEntry(name);
    entry.setTimeLocal(ALWAYS);
    String ending = name.substring(name.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT);
    if (PACKED.contains(ending)) {
      CRC32 sum = new CRC32();
      sum.update(content);
      entry.setMethod(ZipEntry.STORED);
      entry.setSize(content.length);
      entry.setCrc(sum.getValue());
    }
    zip.putNextEntry(entry);
    zip.write(content);
    zip.closeEntry();
  }

  /** A part that lies in a file. */
  public void write(String name, Path content) throws IOException {
    ZipEntry entry = new ZipEntry(name);
    entry.setTimeLocal(ALWAYS);
    zip.putNextEntry(entry);
    Files.copy(content, zip);
    zip.closeEntry();
  }

  /** Ends the file; what it was written to stays open for its owner. */
  @Override
  public void close() throws IOException {
    zip.finish();
    zip.flush();
  }
}
