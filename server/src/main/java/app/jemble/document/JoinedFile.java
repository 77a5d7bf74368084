package app.jemble.document;

import app.jemble.core.document.DocumentTemplate;
import app.jemble.core.document.Filling;
import app.jemble.core.document.JoinedDocuments;
import java.io.BufferedOutputStream;
import java.io.Closeable;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;

/**
 * A file of several people's letters as it is written: the text is gathered on disk, so that no
 * process holds all of it.
 */
public final class JoinedFile implements Closeable {

  private final JoinedDocuments joined;
  private final PartsWriter parts;
  private final Path scratch;
  private final OutputStream text;
  private Filling held;

  /**
   * @param out stays open for its owner
   * @param sheets whether each begins on a sheet of its own when both sides are printed
   */
  public JoinedFile(DocumentTemplate template, OutputStream out, boolean sheets)
      throws IOException {
    this.joined = new JoinedDocuments(template, sheets);
    this.parts = new PartsWriter(out);
    this.scratch = Files.createTempFile("jemble-letters", ".xml");
    this.text = new BufferedOutputStream(Files.newOutputStream(scratch));
    write(joined.begin());
  }

  private void write(String xml) throws IOException {
    text.write(xml.getBytes(StandardCharsets.UTF_8));
  }

  /** The next letter; it is written once it is known whether another follows. */
  public void add(Filling filling) throws IOException {
    writeHeld(true);
    held = filling;
  }

  private void writeHeld(boolean isFollowed) throws IOException {
    if (held == null) {
      return;
    }
    JoinedDocuments.Letter letter = joined.letter(held, isFollowed);
    write(letter.text());
    for (Map.Entry<String, byte[]> part : letter.parts().entrySet()) {
      parts.write(part.getKey(), part.getValue());
    }
  }

  /** Ends the file. */
  public void end() throws IOException {
    writeHeld(false);
    write(joined.end());
    text.close();
    for (Map.Entry<String, byte[]> part : joined.shared().entrySet()) {
      parts.write(part.getKey(), part.getValue());
    }
    parts.write(joined.mainName(), scratch);
    parts.close();
  }

  /** Lets go of what was gathered. */
  @Override
  public void close() throws IOException {
    text.close();
    Files.deleteIfExists(scratch);
  }
}
