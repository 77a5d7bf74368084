package app.jemble.print;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.jsoup.parser.ParseSettings;
import org.jsoup.parser.Parser;

/** What a reader that is not ours (Debian's poppler-utils) finds in a PDF. */
final class OtherReader {

  private static final double MILLIMETRES = 25.4 / 72;

  private OtherReader() {}

  /** A word and where it lies, in millimetres from the upper left corner of its page. */
  record Word(int page, String text, double left, double top, double right, double bottom) {}

  /** A page's size in millimetres. */
  record Page(double width, double height) {}

  static List<Word> words(Path pdf) {
    List<Word> words = new ArrayList<>();
    int page = 0;
    for (Element element : pages(pdf)) {
      for (Element word : element.select("word")) {
        words.add(
            new Word(
                page,
                word.text(),
                at(word, "xMin"),
                at(word, "yMin"),
                at(word, "xMax"),
                at(word, "yMax")));
      }
      page++;
    }
    return words;
  }

  static List<Page> sizes(Path pdf) {
    return pages(pdf).stream().map(p -> new Page(at(p, "width"), at(p, "height"))).toList();
  }

  private static List<Element> pages(Path pdf) {
    String xml = run("pdftotext", "-bbox", pdf.toString(), "-");
    return Jsoup.parse(xml, Parser.xmlParser().settings(ParseSettings.preserveCase)).select("page");
  }

  private static double at(Element element, String attribute) {
    return Double.parseDouble(element.attr(attribute)) * MILLIMETRES;
  }

  /** All its text as it is read. */
  static String text(Path pdf) {
    return run("pdftotext", pdf.toString(), "-");
  }

  static String run(String... command) {
    try {
      Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
      try (InputStream out = process.getInputStream()) {
        String said = new String(out.readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.waitFor()).as(Arrays.toString(command) + " said " + said).isZero();
        return said;
      }
    } catch (IOException e) {
      throw new IllegalStateException(command[0] + " is not there: ./jemble test installs it", e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }
}
