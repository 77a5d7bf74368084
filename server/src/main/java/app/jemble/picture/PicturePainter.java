package app.jemble.picture;

import app.jemble.problem.Problem;
import jakarta.annotation.PreDestroy;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.Duration;
import java.util.Iterator;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicReference;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import net.coobird.thumbnailator.Thumbnails;
import net.coobird.thumbnailator.util.exif.ExifFilterUtils;
import net.coobird.thumbnailator.util.exif.ExifUtils;
import net.coobird.thumbnailator.util.exif.Orientation;
import org.springframework.stereotype.Component;

/**
 * Decodes pictures and writes them anew, smaller. One at a time, of no more points than the result
 * needs twice over, and not for longer than a moment: what a picture asks for is bounded, whatever
 * stands in it.
 */
@Component
class PicturePainter {

  private static final Duration PATIENCE = Duration.ofSeconds(15);

  private final ExecutorService brush =
      Executors.newSingleThreadExecutor(
          task -> {
            Thread thread = new Thread(task, "pictures");
            thread.setDaemon(true);
            return thread;
          });

  /** The picture written anew, in the same format, no larger than this. */
  byte[] smaller(PictureOctets picture, int widest, int longest) {
    AtomicReference<ImageReader> atWork = new AtomicReference<>();
    Future<byte[]> painted = brush.submit(() -> paint(picture, widest, longest, atWork));
    try {
      return painted.get(PATIENCE.toMillis(), TimeUnit.MILLISECONDS);
    } catch (TimeoutException tooSlow) {
      painted.cancel(true);
      ImageReader reader = atWork.get();
      if (reader != null) {
        reader.abort();
      }
      throw Problem.wrong(
          "file", "The picture takes too long to read; save it anew and try again.");
    } catch (ExecutionException broken) {
      throw PictureService.notAPicture();
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
      throw PictureService.notAPicture();
    }
  }

  private static byte[] paint(
      PictureOctets picture, int widest, int longest, AtomicReference<ImageReader> atWork)
      throws IOException {
    try (ImageInputStream in =
        ImageIO.createImageInputStream(new ByteArrayInputStream(picture.octets()))) {
      Iterator<ImageReader> readers = ImageIO.getImageReadersByFormatName(picture.format());
      ImageReader reader = readers.next();
      try {
        atWork.set(reader);
        reader.setInput(in, true, true);
        ImageReadParam coarse = reader.getDefaultReadParam();
        int step =
            Math.max(1, Math.min(picture.width() / (2 * widest), picture.height() / (2 * longest)));
        coarse.setSourceSubsampling(step, step, 0, 0);
        BufferedImage read = upright(reader.read(0, coarse), picture);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        Thumbnails.of(read)
            .size(Math.min(read.getWidth(), widest), Math.min(read.getHeight(), longest))
            .outputFormat(picture.format())
            .outputQuality(0.85)
            .toOutputStream(out);
        return out.toByteArray();
      } finally {
        reader.dispose();
      }
    }
  }

  /** As the camera was held. */
  private static BufferedImage upright(BufferedImage read, PictureOctets picture)
      throws IOException {
    if (!picture.format().equals("jpeg")) {
      return read;
    }
    try (ImageInputStream in =
        ImageIO.createImageInputStream(new ByteArrayInputStream(picture.octets()))) {
      ImageReader reader = ImageIO.getImageReadersByFormatName("jpeg").next();
      try {
        reader.setInput(in);
        Orientation held = ExifUtils.getExifOrientation(reader, 0);
        return held == null || held == Orientation.TOP_LEFT
            ? read
            : ExifFilterUtils.getFilterForOrientation(held).apply(read);
      } finally {
        reader.dispose();
      }
    } catch (IOException | RuntimeException unreadable) {
      return read;
    }
  }

  @PreDestroy
  void stop() {
    brush.shutdownNow();
  }
}
