package app.jemble.exchange;

import app.jemble.core.exchange.Delimiter;
import app.jemble.core.exchange.HarmlessCell;
import app.jemble.core.exchange.TextEncoding;
import app.jemble.problem.Problem;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** A CSV file that is read whole, such as a list of addresses: its rows, heads and all. */
public final class SmallTable {

  private static final int BEGINNING = 1 << 15;

  private SmallTable() {}

  /** The cells of each row that is not empty; a problem when it is no table. */
  public static List<List<String>> rows(byte[] file) {
    TextEncoding encoding = new TextEncoding();
    encoding.feed(file, file.length);
    String text = new String(file, encoding.found());
    if (text.startsWith("\uFEFF")) {
      text = text.substring(1);
    }
    if (text.indexOf('\0') >= 0) {
      throw Problem.wrong("file", "This is no list of addresses: choose a text or CSV file.");
    }
    char delimiter = Delimiter.guess(text.substring(0, Math.min(text.length(), BEGINNING)));
    CSVFormat format =
        CSVFormat.RFC4180.builder().setDelimiter(delimiter).setIgnoreEmptyLines(true).get();
    List<List<String>> rows = new ArrayList<>();
    try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
      for (CSVRecord record : parser) {
        rows.add(record.toList().stream().map(HarmlessCell::read).toList());
      }
    } catch (UncheckedIOException | IOException broken) {
      throw Problem.wrong("file", "This file cannot be read as a table: " + broken.getMessage());
    }
    return rows;
  }
}
