package app.jemble.picture;

import app.jemble.account.AccountService;
import app.jemble.core.message.InlinePicture;
import app.jemble.core.message.Pictures;
import app.jemble.core.message.PublicToken;
import app.jemble.picture.PictureMapper.FileRow;
import app.jemble.problem.Problem;
import app.jemble.workspace.WorkspaceService;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.io.IOException;
import java.io.InputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.time.Clock;
import java.util.Base64;
import java.util.HexFormat;
import java.util.Optional;
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

  private final PictureMapper mapper;
  private final AccountService accounts;
  private final PicturePainter painter;
  private final WorkspaceService workspace;
  private final Clock clock;
  private final SecureRandom random = new SecureRandom();

  private final Cache<String, InlinePicture.Stored> cache =
      Caffeine.newBuilder().maximumSize(MOST_KEPT).build();

  PictureService(
      PictureMapper mapper,
      AccountService accounts,
      PicturePainter painter,
      WorkspaceService workspace,
      Clock clock) {
    this.mapper = mapper;
    this.accounts = accounts;
    this.painter = painter;
    this.workspace = workspace;
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
    PictureOctets given = PictureOctets.of(octets).orElseThrow(PictureService::notAPicture);
    if ((long) given.width() * given.height() > MOST_POINTS) {
      throw Problem.wrong("file", "The picture has more than 40 million points.");
    }
    boolean moves = given.format().equals("gif");
    boolean fits = given.width() <= WIDEST && given.height() <= LONGEST;
    if (moves && !fits) {
      throw Problem.wrong("file", "A GIF can be at most 1,200 points wide and 2,400 high.");
    }
    // What moves would stand still if it were written anew.
    PictureOctets now =
        moves
            ? given
            : PictureOctets.of(painter.smaller(given, WIDEST, LONGEST))
                .orElseThrow(PictureService::notAPicture);
    byte[] secret = new byte[18];
    random.nextBytes(secret);
    Picture picture =
        new Picture(
            Base64.getUrlEncoder().withoutPadding().encodeToString(secret),
            name.strip(),
            "image/" + now.format(),
            now.width(),
            now.height());
    mapper.add(picture, now.octets(), clock.instant(), by);
    return picture;
  }

  /**
   * Keeps a picture that was drawn here; the same picture is kept once.
   *
   * @param jpeg as it is
   * @param by the colleague whose it is
   * @return its key, which nobody can guess
   */
  public String keep(String name, byte[] jpeg, int width, int height, long by) {
    String key = PublicToken.named("drawn " + fingerprint(jpeg), workspace.secret());
    mapper.keep(new Picture(key, name, "image/jpeg", width, height), jpeg, clock.instant(), by);
    return key;
  }

  @Override
  public Optional<InlinePicture.Stored> find(String key) {
    return Optional.ofNullable(cache.get(key, this::stored));
  }

  private InlinePicture.Stored stored(String key) {
    FileRow row = mapper.file(key);
    return row == null ? null : new InlinePicture.Stored(row.type(), row.octets());
  }

  private static String fingerprint(byte[] octets) {
    try {
      return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(octets));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("every JDK has SHA-256", e);
    }
  }

  static Problem notAPicture() {
    return Problem.wrong(
        "file", "This is not a picture that mail readers show; use PNG, JPEG or GIF.");
  }
}
