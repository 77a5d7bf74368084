package app.jemble.picture;

import app.jemble.account.AccountService;
import app.jemble.core.message.InlinePicture;
import app.jemble.core.message.Pictures;
import app.jemble.picture.PictureMapper.FileRow;
import app.jemble.workspace.Problem;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.security.SecureRandom;
import java.time.Clock;
import java.util.Base64;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import net.coobird.thumbnailator.Thumbnails;
import org.springframework.stereotype.Service;

/**
 * Pictures: taken in, made small enough for mail, and freed of what a camera wrote into them
 * (place, owner). A picture never changes; its key is its name.
 */
@Service
public class PictureService implements Pictures {

  private static final int MOST_OCTETS = 15 * 1024 * 1024;
  private static final long MOST_POINTS = 40_000_000;
  private static final int MOST_KEPT = 64;

  /** Twice the width of a message's paper, for screens with fine points. */
  private static final int WIDEST = 1200;

  private static final int LONGEST = 2400;

  /** A picture as the writer has it. */
  public record Picture(String key, String name, String type, int width, int height) {}

  private record Measured(String format, int width, int height) {}

  private final PictureMapper mapper;
  private final AccountService accounts;
  private final Clock clock;
  private final SecureRandom random = new SecureRandom();

  private final Map<String, InlinePicture.Stored> kept =
      new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, InlinePicture.Stored> eldest) {
          return size() > MOST_KEPT;
        }
      };

  PictureService(PictureMapper mapper, AccountService accounts, Clock clock) {
    this.mapper = mapper;
    this.accounts = accounts;
    this.clock = clock;
  }

  /**
   * Takes a picture in.
   *
   * @param name the file's name, for people
   * @param file PNG, JPEG or GIF, at most 15 MB and 40 million points
   */
  public Picture add(String name, InputStream file) throws IOException {
    long by = accounts.currentWriter().id();
    byte[] octets = file.readNBytes(MOST_OCTETS + 1);
    if (octets.length > MOST_OCTETS) {
      throw Problem.wrong("file", "The picture is larger than 15 MB; make it smaller first.");
    }
    Measured measured = measure(octets);
    boolean moves = measured.format().equals("gif");
    boolean fits = measured.width() <= WIDEST && measured.height() <= LONGEST;
    if (moves && !fits) {
      throw Problem.wrong("file", "A GIF can be at most 1,200 points wide and 2,400 high.");
    }
    // What moves would stand still if it were written anew.
    byte[] sound = moves ? octets : smaller(octets, measured);
    Measured now = measure(sound);
    byte[] secret = new byte[18];
    random.nextBytes(secret);
    Picture picture =
        new Picture(
            Base64.getUrlEncoder().withoutPadding().encodeToString(secret),
            name.strip(),
            "image/" + now.format(),
            now.width(),
            now.height());
    mapper.add(picture, sound, clock.instant(), by);
    return picture;
  }

  @Override
  public Optional<InlinePicture.Stored> find(String key) {
    synchronized (kept) {
      InlinePicture.Stored known = kept.get(key);
      if (known != null) {
        return Optional.of(known);
      }
    }
    FileRow row = mapper.file(key);
    if (row == null) {
      return Optional.empty();
    }
    InlinePicture.Stored fresh = new InlinePicture.Stored(row.type(), row.octets());
    synchronized (kept) {
      kept.put(key, fresh);
    }
    return Optional.of(fresh);
  }

  /** Reads the head of a file alone: a small file may claim to be a huge picture. */
  private static Measured measure(byte[] octets) throws IOException {
    try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(octets))) {
      Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
      if (!readers.hasNext()) {
        throw notAPicture();
      }
      ImageReader reader = readers.next();
      try {
        reader.setInput(in);
        Measured measured =
            new Measured(
                reader.getFormatName().toLowerCase(Locale.ROOT),
                reader.getWidth(0),
                reader.getHeight(0));
        if (!measured.format().matches("png|jpeg|gif")) {
          throw notAPicture();
        }
        if ((long) measured.width() * measured.height() > MOST_POINTS) {
          throw Problem.wrong("file", "The picture has more than 40 million points.");
        }
        return measured;
      } finally {
        reader.dispose();
      }
    } catch (IOException | IndexOutOfBoundsException broken) {
      throw notAPicture();
    }
  }

  private static byte[] smaller(byte[] octets, Measured measured) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try {
      Thumbnails.of(new ByteArrayInputStream(octets))
          .size(Math.min(measured.width(), WIDEST), Math.min(measured.height(), LONGEST))
          .outputFormat(measured.format())
          .outputQuality(0.85)
          .toOutputStream(out);
    } catch (IOException | RuntimeException broken) {
      throw notAPicture();
    }
    return out.toByteArray();
  }

  private static Problem notAPicture() {
    return Problem.wrong(
        "file", "This is not a picture that mail readers show; use PNG, JPEG or GIF.");
  }
}
