package app.jemble.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jemble.problem.Problem;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Optional;
import java.util.Random;
import java.util.zip.CRC32;
import java.util.zip.Deflater;
import javax.imageio.ImageIO;
import org.testng.annotations.AfterClass;
import org.testng.annotations.Test;

/** Pictures made to do harm: what is beside the points goes before anything is decoded. */
public class HostilePictureTest {

  private final PicturePainter painter = new PicturePainter();

  @AfterClass
  public void stop() {
    painter.stop();
  }

  private static byte[] picture(String format, int width, int height) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    BufferedImage points = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    for (int x = 0; x < width; x++) {
      points.setRGB(x, (x * 7) % height, 0x3366aa);
    }
    ImageIO.write(points, format, out);
    return out.toByteArray();
  }

  /** A chunk of PNG, after the first. */
  private static byte[] withChunk(byte[] png, String type, byte[] data, int times) {
    byte[] name = type.getBytes(StandardCharsets.US_ASCII);
    CRC32 sum = new CRC32();
    sum.update(name);
    sum.update(data);
    byte[] chunk =
        ByteBuffer.allocate(12 + data.length)
            .putInt(data.length)
            .put(name)
            .put(data)
            .putInt((int) sum.getValue())
            .array();
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.write(png, 0, 33);
    for (int i = 0; i < times; i++) {
      out.writeBytes(chunk);
    }
    out.write(png, 33, png.length - 33);
    return out.toByteArray();
  }

  private static byte[] zeros(int megabytes) {
    Deflater deflater = new Deflater(9);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    byte[] buffer = new byte[1 << 16];
    byte[] megabyte = new byte[1 << 20];
    for (int i = 0; i < megabytes; i++) {
      deflater.setInput(megabyte);
      while (!deflater.needsInput()) {
        out.write(buffer, 0, deflater.deflate(buffer));
      }
    }
    deflater.finish();
    while (!deflater.finished()) {
      out.write(buffer, 0, deflater.deflate(buffer));
    }
    deflater.end();
    return out.toByteArray();
  }

  private static byte[] joined(byte[]... parts) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    Arrays.stream(parts).forEach(out::writeBytes);
    return out.toByteArray();
  }

  @Test(timeOut = 60_000)
  public void aTextThatWouldFillTheMemoryIsNeverUnfolded() throws IOException {
    byte[] text = joined("Comment\0\0".getBytes(StandardCharsets.US_ASCII), zeros(600));
    for (String type : new String[] {"zTXt", "iTXt", "iCCP", "eXIf", "acTL", "fdAT"}) {
      byte[] bomb = withChunk(picture("png", 30, 20), type, text, 1);
      long begun = System.nanoTime();
      PictureOctets sound = PictureOctets.of(bomb).orElseThrow();
      byte[] small = painter.smaller(sound, 1200, 2400);
      assertThat((System.nanoTime() - begun) / 1_000_000).as(type).isLessThan(2_000);
      assertThat(sound.octets().length).isLessThan(5_000);
      assertThat(new String(small, StandardCharsets.ISO_8859_1)).doesNotContain(type);
    }
  }

  @Test(timeOut = 20_000)
  public void twoHundredThousandPartsAreTooMany() throws IOException {
    byte[] many = withChunk(picture("png", 30, 20), "tEXt", new byte[] {'a', 0, 'b'}, 200_000);
    assertThat(PictureOctets.of(many)).isEmpty();
    byte[] some = withChunk(picture("png", 30, 20), "tEXt", new byte[] {'a', 0, 'b'}, 50_000);
    assertThat(PictureOctets.of(some)).isPresent();
  }

  @Test
  public void nothingBehindOrBesideAPictureStays() throws IOException {
    byte[] script = "<script>x()</script>".getBytes(StandardCharsets.US_ASCII);
    for (String format : new String[] {"png", "jpeg", "gif"}) {
      byte[] plain = picture(format, 40, 30);
      PictureOctets sound = PictureOctets.of(joined(plain, script)).orElseThrow();
      assertThat(new String(sound.octets(), StandardCharsets.ISO_8859_1)).doesNotContain("script");
      assertThat(ImageIO.read(new ByteArrayInputStream(sound.octets())).getWidth()).isEqualTo(40);
      assertThat(sound.width()).isEqualTo(40);
      assertThat(sound.height()).isEqualTo(30);
    }
    byte[] jpeg = picture("jpeg", 40, 30);
    byte[] comment = joined(new byte[] {(byte) 0xff, (byte) 0xfe, 0, 22}, script);
    byte[] commented =
        joined(Arrays.copyOf(jpeg, 2), comment, Arrays.copyOfRange(jpeg, 2, jpeg.length));
    assertThat(PictureOctets.of(commented).orElseThrow().octets())
        .hasSizeLessThan(commented.length);
    byte[] gif = picture("gif", 40, 30);
    int table = (gif[10] & 0x80) == 0 ? 0 : 3 << ((gif[10] & 7) + 1);
    byte[] said = joined(new byte[] {0x21, (byte) 0xfe, 20}, script, new byte[] {0});
    byte[] gifSaid =
        joined(
            Arrays.copyOf(gif, 13 + table), said, Arrays.copyOfRange(gif, 13 + table, gif.length));
    assertThat(PictureOctets.of(gifSaid).orElseThrow().octets()).isEqualTo(gif);
  }

  @Test
  public void aPictureWithoutPointsIsNone() throws IOException {
    byte[] gif = picture("gif", 40, 30);
    gif[6] = 0;
    gif[7] = 0;
    assertThat(PictureOctets.of(gif)).isEmpty();
    byte[] png = picture("png", 40, 30);
    Arrays.fill(png, 16, 20, (byte) 0);
    assertThat(PictureOctets.of(png)).isEmpty();
    assertThat(PictureOctets.of(new byte[0])).isEmpty();
    assertThat(PictureOctets.of("GIF89a".getBytes(StandardCharsets.US_ASCII))).isEmpty();
  }

  /** Whatever stands in a file, it is a picture or it is refused, and soon. */
  @Test(timeOut = 120_000)
  public void randomFilesAreReadOrRefused() throws IOException {
    Random random = new Random(20261127);
    byte[][] seeds = {picture("png", 60, 40), picture("jpeg", 60, 40), picture("gif", 60, 40)};
    for (int i = 0; i < 3_000; i++) {
      byte[] file = seeds[random.nextInt(3)].clone();
      for (int j = random.nextInt(8); j >= 0; j--) {
        file[random.nextInt(file.length)] = (byte) random.nextInt(256);
      }
      if (random.nextInt(4) == 0) {
        file = Arrays.copyOf(file, random.nextInt(file.length) + 1);
      }
      Optional<PictureOctets> sound = PictureOctets.of(file);
      boolean small = sound.filter(p -> (long) p.width() * p.height() <= 40_000_000).isPresent();
      if (small && !sound.get().format().equals("gif")) {
        try {
          assertThat(painter.smaller(sound.get(), 1200, 2400)).isNotEmpty();
        } catch (Problem refused) {
          assertThat(refused.getMessage()).contains("picture");
        }
      }
    }
  }

  @Test
  public void aPictureThatClaimsMoreThanItHoldsIsRefused() throws IOException {
    byte[] png = picture("png", 40, 30);
    ByteBuffer.wrap(png).putInt(16, 5_000).putInt(20, 5_000);
    PictureOctets claims = PictureOctets.of(png).orElseThrow();
    assertThatThrownBy(() -> painter.smaller(claims, 1200, 2400)).isInstanceOf(Problem.class);
  }
}
