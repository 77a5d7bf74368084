package app.jemble.core.exchange;

import java.nio.ByteBuffer;
import java.nio.CharBuffer;
import java.nio.charset.Charset;
import java.nio.charset.CharsetDecoder;
import java.nio.charset.CoderResult;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;

/**
 * Which encoding a text file is in: fed with its octets piece by piece, so that the file need not
 * be in memory. A byte order mark decides (Unicode Standard 23.8); without one, zero octets at
 * every other place mean UTF-16, octets that are valid UTF-8 mean UTF-8 (RFC 3629), and what is
 * left is taken for Windows-1252, in which spreadsheets of Western offices save.
 */
public final class TextEncoding {

  private static final Charset WINDOWS = Charset.forName("windows-1252");

  private final CharsetDecoder utf8 =
      StandardCharsets.UTF_8
          .newDecoder()
          .onMalformedInput(CodingErrorAction.REPORT)
          .onUnmappableCharacter(CodingErrorAction.REPORT);
  private final CharBuffer read = CharBuffer.allocate(8192);
  private final byte[] first = new byte[3];
  private byte[] rest = new byte[0];
  private long seen;
  private long zerosAtEven;
  private long zerosAtOdd;
  private boolean validUtf8 = true;

  /** The next octets of the file. */
  public void feed(byte[] octets, int length) {
    for (int i = 0; i < length; i++) {
      if (seen < first.length) {
        first[(int) seen] = octets[i];
      }
      if (octets[i] == 0) {
        if (seen % 2 == 0) {
          zerosAtEven++;
        } else {
          zerosAtOdd++;
        }
      }
      seen++;
    }
    check(octets, length);
  }

  private void check(byte[] octets, int length) {
    if (!validUtf8) {
      return;
    }
    ByteBuffer in = ByteBuffer.allocate(rest.length + length).put(rest).put(octets, 0, length);
    in.flip();
    while (true) {
      read.clear();
      CoderResult result = utf8.decode(in, read, false);
      if (result.isError()) {
        validUtf8 = false;
        return;
      }
      if (result.isUnderflow()) {
        break;
      }
    }
    rest = new byte[in.remaining()];
    in.get(rest);
  }

  /** The encoding, when all octets have been fed. */
  public Charset found() {
    if (startsWith(0xFF, 0xFE)) {
      return StandardCharsets.UTF_16LE;
    }
    if (startsWith(0xFE, 0xFF)) {
      return StandardCharsets.UTF_16BE;
    }
    if (zerosAtOdd > seen / 4 && zerosAtEven < zerosAtOdd / 4) {
      return StandardCharsets.UTF_16LE;
    }
    if (zerosAtEven > seen / 4 && zerosAtOdd < zerosAtEven / 4) {
      return StandardCharsets.UTF_16BE;
    }
    return validUtf8 && rest.length == 0 ? StandardCharsets.UTF_8 : WINDOWS;
  }

  private boolean startsWith(int... mark) {
    for (int i = 0; i < mark.length; i++) {
      if (seen <= i || (first[i] & 0xFF) != mark[i]) {
        return false;
      }
    }
    return true;
  }
}
