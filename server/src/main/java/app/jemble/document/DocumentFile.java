package app.jemble.document;

import app.jemble.core.document.DocumentRefused;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;

/** A document's file, packed, and its parts, unpacked within bounds (ISO/IEC 29500-2, Annex B). */
public final class DocumentFile {

  /** The media type of a document (ISO/IEC 29500-1, 11.3.10 and RFC 6838). */
  public static final String TYPE =
      "application/vnd.openxmlformats-officedocument.wordprocessingml.document";

  /** Octets of a file, and of all its parts unpacked. */
  static final int LARGEST = 10_000_000;

  static final int LARGEST_UNPACKED = 60_000_000;

  /** Octets of one part of markup; some thousand pages. */
  static final int LARGEST_MARKUP = 8_000_000;

  private static final int MOST_PARTS = 2_000;
  private static final byte[] ZIP = {'P', 'K', 3, 4};
  private static final byte[] OLDER = {(byte) 0xd0, (byte) 0xcf, 0x11, (byte) 0xe0};

  private DocumentFile() {}

  /** Each part by its name, in order. */
  public static Map<String, byte[]> unpack(byte[] file) {
    if (file.length > LARGEST) {
      throw new DocumentRefused("The file is larger than 10 MB. Make its pictures smaller.");
    }
    if (begins(file, OLDER)) {
      throw new DocumentRefused(
          "This is an older kind of document, or it is locked by a password."
              + " Save it as .docx without one.");
    }
    if (!begins(file, ZIP)) {
      throw new DocumentRefused(DocumentRefused.NO_DOCUMENT);
    }
    Map<String, byte[]> parts = new LinkedHashMap<>();
    try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(file))) {
      int left = LARGEST_UNPACKED;
      for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
        if (entry.isDirectory()) {
          continue;
        }
        byte[] content = read(in, entry.getName(), left);
        left -= content.length;
        if (parts.put(entry.getName(), content) != null || parts.size() > MOST_PARTS) {
          throw new DocumentRefused(DocumentRefused.NO_DOCUMENT);
        }
      }
    } catch (IOException | IllegalArgumentException broken) {
      throw new DocumentRefused(DocumentRefused.NO_DOCUMENT);
    }
    return parts;
  }

  private static boolean begins(byte[] file, byte[] with) {
    if (file.length < with.length) {
      return false;
    }
    for (int i = 0; i < with.length; i++) {
      if (file[i] != with[i]) {
        return false;
      }
    }
    return true;
  }

  /** Stops before a part that unpacks without an end is held. */
  private static byte[] read(ZipInputStream in, String name, int left) throws IOException {
    boolean markup = isMarkup(name);
    int most = Math.min(left, markup ? LARGEST_MARKUP : left);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    byte[] buffer = new byte[16_384];
    for (int n = in.read(buffer); n >= 0; n = in.read(buffer)) {
      if (out.size() + n > most) {
        throw new DocumentRefused(
            "Unpacked, the document is larger than a letter can be. Take out what it does not need.");
      }
      out.write(buffer, 0, n);
    }
    return out.toByteArray();
  }

  private static boolean isMarkup(String name) {
    String small = name.toLowerCase(Locale.ROOT);
    return small.endsWith(".xml") || small.endsWith(".rels");
  }

  /** A file of these parts. */
  public static byte[] pack(Map<String, byte[]> parts) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (PartsWriter writer = new PartsWriter(out)) {
      for (Map.Entry<String, byte[]> part : parts.entrySet()) {
        writer.write(part.getKey(), part.getValue());
      }
    } catch (IOException impossible) {
      throw new UncheckedIOException(impossible);
    }
    return out.toByteArray();
  }
}
