package app.jemble.picture;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.Set;

/**
 * The octets of a picture without all that nobody sees: what is written beside the points (texts,
 * profiles, places, previews), what follows the picture, and what is more than a picture needs. It
 * is taken away before anything is decoded, in one pass over the octets.
 *
 * @param format png, jpeg or gif
 * @param width in points, 1 or more
 * @param height in points, 1 or more
 * @param octets the picture, whole
 */
record PictureOctets(String format, int width, int height, byte[] octets) {

  private static final byte[] PNG = {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1a, '\n'};

  /** What the points are made of (PNG, third edition, section 11.2; tRNS of 11.3). */
  private static final Set<String> PNG_CHUNKS = Set.of("IHDR", "PLTE", "tRNS", "IDAT", "IEND");

  /** More parts of a picture, scans or frames, than any program writes. */
  private static final int MOST_PARTS = 100_000;

  private static final int MOST_SCANS = 64;
  private static final int MOST_FRAMES = 500;

  /** The picture in a file; empty when there is none that is whole and sound. */
  static Optional<PictureOctets> of(byte[] file) {
    try {
      Reader in = new Reader(file);
      if (in.startsWith(PNG)) {
        return Optional.ofNullable(png(in));
      }
      if (file.length > 2 && in.at(0) == 0xff && in.at(1) == 0xd8) {
        return Optional.ofNullable(jpeg(in));
      }
      boolean gif =
          in.startsWith("GIF87a".getBytes(StandardCharsets.US_ASCII))
              || in.startsWith("GIF89a".getBytes(StandardCharsets.US_ASCII));
      return gif ? Optional.ofNullable(gif(in)) : Optional.empty();
    } catch (IndexOutOfBoundsException cutShort) {
      return Optional.empty();
    }
  }

  private static PictureOctets png(Reader in) {
    int width = 0;
    int height = 0;
    boolean points = false;
    in.copy(PNG.length);
    for (int i = 0; i < MOST_PARTS; i++) {
      long length = in.number(4);
      String type = in.word(in.position() + 4, 4);
      if (length > in.left() || (i == 0 && !(type.equals("IHDR") && length == 13))) {
        return null;
      }
      if (type.equals("IHDR")) {
        width = in.size(in.position() + 8);
        height = in.size(in.position() + 12);
      }
      points |= type.equals("IDAT");
      int whole = (int) length + 12;
      if (PNG_CHUNKS.contains(type)) {
        in.copy(whole);
      } else {
        in.skip(whole);
      }
      if (type.equals("IEND")) {
        return points ? picture("png", width, height, in) : null;
      }
    }
    return null;
  }

  /** ITU-T T.81 annex B: segments up to the scans, which run to the next marker. */
  private static PictureOctets jpeg(Reader in) {
    int width = 0;
    int height = 0;
    int scans = 0;
    boolean turned = false;
    in.copy(2);
    for (int i = 0; i < MOST_PARTS; i++) {
      if (in.at(in.position()) != 0xff) {
        return null;
      }
      int marker = in.at(in.position() + 1);
      if (marker == 0xff) {
        in.skip(1);
        continue;
      }
      if (marker == 0xd9) {
        in.copy(2);
        return scans > 0 ? picture("jpeg", width, height, in) : null;
      }
      int length = in.at(in.position() + 2) << 8 | in.at(in.position() + 3);
      boolean exif = marker == 0xe1 && length > 8 && in.word(in.position() + 4, 4).equals("Exif");
      if (isFrame(marker)) {
        height = in.at(in.position() + 5) << 8 | in.at(in.position() + 6);
        width = in.at(in.position() + 7) << 8 | in.at(in.position() + 8);
      }
      if (length < 2 || !isKept(marker, exif && !turned)) {
        if (length < 2) {
          return null;
        }
        in.skip(2 + length);
        continue;
      }
      // How the camera was held stands there; it is gone when the picture has been turned.
      turned |= exif;
      in.copy(2 + length);
      if (marker == 0xda) {
        if (++scans > MOST_SCANS) {
          return null;
        }
        in.copy(in.scanLength());
      }
    }
    return null;
  }

  private static boolean isFrame(int marker) {
    return marker >= 0xc0 && marker <= 0xcf && marker != 0xc4 && marker != 0xc8 && marker != 0xcc;
  }

  /** Frames, tables and scans; of what programs add, JFIF, Adobe's colours and one Exif. */
  private static boolean isKept(int marker, boolean exif) {
    return marker >= 0xc0 && marker <= 0xdf || marker == 0xe0 || marker == 0xee || exif;
  }

  /** GIF89a, sections 18 to 27. */
  private static PictureOctets gif(Reader in) {
    int width = in.at(6) | in.at(7) << 8;
    int height = in.at(8) | in.at(9) << 8;
    in.copy(13 + colours(in.at(10)));
    int frames = 0;
    for (int i = 0; i < MOST_PARTS; i++) {
      int block = in.at(in.position());
      if (block == 0x3b) {
        in.copy(1);
        return frames > 0 ? picture("gif", width, height, in) : null;
      }
      if (block == 0x21) {
        int label = in.at(in.position() + 1);
        boolean repeats =
            label == 0xff
                && in.at(in.position() + 2) == 11
                && in.word(in.position() + 3, 11).equals("NETSCAPE2.0");
        in.take(2 + in.blocksLength(in.position() + 2), label == 0xf9 || repeats);
      } else if (block == 0x2c) {
        int at = in.position();
        boolean inside =
            (in.at(at + 1) | in.at(at + 2) << 8) + (in.at(at + 5) | in.at(at + 6) << 8) <= width
                && (in.at(at + 3) | in.at(at + 4) << 8) + (in.at(at + 7) | in.at(at + 8) << 8)
                    <= height;
        int bits = in.at(at + 10 + colours(in.at(at + 9)));
        if (!inside || bits < 2 || bits > 8 || ++frames > MOST_FRAMES) {
          return null;
        }
        int head = 11 + colours(in.at(at + 9));
        in.copy(head + in.blocksLength(at + head));
      } else {
        return null;
      }
    }
    return null;
  }

  /** How many octets a table of colours takes. */
  private static int colours(int flags) {
    return (flags & 0x80) == 0 ? 0 : 3 << ((flags & 7) + 1);
  }

  private static PictureOctets picture(String format, int width, int height, Reader in) {
    return width < 1 || height < 1
        ? null
        : new PictureOctets(format, width, height, in.kept.toByteArray());
  }

  /** Goes through the octets of a file once; reading past their end throws. */
  private static final class Reader {
    private final byte[] file;
    private final ByteArrayOutputStream kept;
    private int position;

    Reader(byte[] file) {
      this.file = file;
      this.kept = new ByteArrayOutputStream(file.length);
    }

    boolean startsWith(byte[] signature) {
      return file.length >= signature.length
          && java.util.Arrays.equals(file, 0, signature.length, signature, 0, signature.length);
    }

    int position() {
      return position;
    }

    int left() {
      return file.length - position;
    }

    int at(int place) {
      return file[place] & 0xff;
    }

    /** The number that the next octets are, the greatest first. */
    long number(int octets) {
      long number = 0;
      for (int i = 0; i < octets; i++) {
        number = number << 8 | at(position + i);
      }
      return number;
    }

    /** A size of four octets; 0 for one that no picture has. */
    int size(int place) {
      long size = (long) at(place) << 24 | at(place + 1) << 16 | at(place + 2) << 8 | at(place + 3);
      return size > Integer.MAX_VALUE ? 0 : (int) size;
    }

    String word(int place, int length) {
      if (place + length > file.length) {
        throw new IndexOutOfBoundsException();
      }
      return new String(file, place, length, StandardCharsets.ISO_8859_1);
    }

    void take(int length, boolean wanted) {
      if (wanted) {
        copy(length);
      } else {
        skip(length);
      }
    }

    void copy(int length) {
      if (length < 0 || length > left()) {
        throw new IndexOutOfBoundsException();
      }
      kept.write(file, position, length);
      position += length;
    }

    void skip(int length) {
      if (length < 0 || length > left()) {
        throw new IndexOutOfBoundsException();
      }
      position += length;
    }

    /**
     * How long the data of a scan are: up to a marker that is neither a stuffed octet nor a
     * restart.
     */
    int scanLength() {
      for (int at = position; ; at++) {
        if (at(at) == 0xff) {
          int next = at(at + 1);
          if (next != 0 && (next < 0xd0 || next > 0xd7)) {
            return at - position;
          }
        }
      }
    }

    /** How long a row of blocks is, the empty one at its end included. */
    int blocksLength(int from) {
      int at = from;
      while (at(at) != 0) {
        at += at(at) + 1;
      }
      return at + 1 - from;
    }
  }
}
