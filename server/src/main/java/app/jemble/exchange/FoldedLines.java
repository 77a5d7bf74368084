package app.jemble.exchange;

import java.io.IOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;

/**
 * Folds lines so that none has more than 75 octets in UTF-8, never within a character (RFC 6350
 * section 3.2).
 */
final class FoldedLines extends Writer {

  private static final int MOST = 75;

  private final Writer out;
  private int octets;
  private char high;

  FoldedLines(Writer out) {
    this.out = out;
  }

  @Override
  public void write(char[] letters, int offset, int length) throws IOException {
    for (int i = offset; i < offset + length; i++) {
      write(letters[i]);
    }
  }

  private void write(char c) throws IOException {
    if (Character.isHighSurrogate(c)) {
      high = c;
      return;
    }
    String letter = high == 0 ? String.valueOf(c) : String.valueOf(new char[] {high, c});
    high = 0;
    if (c == '\r' || c == '\n') {
      octets = 0;
      out.write(c);
      return;
    }
    int more = letter.getBytes(StandardCharsets.UTF_8).length;
    if (octets + more > MOST) {
      out.write("\r\n ");
      octets = 1;
    }
    out.write(letter);
    octets += more;
  }

  @Override
  public void flush() throws IOException {
    out.flush();
  }

  @Override
  public void close() throws IOException {
    out.close();
  }
}
