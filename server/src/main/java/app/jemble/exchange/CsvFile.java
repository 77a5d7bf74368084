package app.jemble.exchange;

import app.jemble.core.exchange.Delimiter;
import app.jemble.core.exchange.HarmlessCell;
import app.jemble.core.exchange.TextEncoding;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.charset.Charset;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * A CSV file (RFC 4180, with any of the usual delimiters and encodings), read as a stream.
 *
 * @param delimiter what stands between cells
 * @param linesAbove lines above the headers that are no part of the table
 */
record CsvFile(Path path, Charset encoding, char delimiter, int linesAbove) {

  /** One more than a file may have, so that too many are noticed. */
  private static final int MOST_HEADERS = 201;

  private static final int PIECE = 1 << 16;
  private static final int BEGINNING = 1 << 15;

  /** Spreadsheets write it above the headers to say what stands between cells. */
  private static final Pattern SEP = Pattern.compile("\\A\"?sep=(.)\"?\\r?\\n");

  /**
   * Looks through a file for how it is written.
   *
   * @param said the encoding, where somebody chose it; else null
   */
  static CsvFile of(Path path, Charset said) throws IOException {
    TextEncoding encoding = new TextEncoding();
    byte[] piece = new byte[PIECE];
    try (InputStream in = Files.newInputStream(path)) {
      for (int n = in.read(piece); n > 0; n = in.read(piece)) {
        encoding.feed(piece, n);
      }
    }
    Charset found = said == null ? encoding.found() : said;
    try (Reader reader = open(path, found)) {
      char[] beginning = new char[BEGINNING];
      int read = 0;
      int n;
      while (read < BEGINNING && (n = reader.read(beginning, read, BEGINNING - read)) > 0) {
        read += n;
      }
      String text = new String(beginning, 0, read);
      Matcher sep = SEP.matcher(text);
      boolean says = sep.find();
      char delimiter = says ? sep.group(1).charAt(0) : Delimiter.guess(text);
      return new CsvFile(path, found, delimiter, says ? 1 : 0);
    }
  }

  private static Reader open(Path path, Charset encoding) throws IOException {
    BufferedReader reader =
        new BufferedReader(new InputStreamReader(Files.newInputStream(path), encoding));
    reader.mark(1);
    if (reader.read() != '\uFEFF') {
      reader.reset();
    }
    return reader;
  }

  /** The beginning of the file, to see what it is. */
  String beginning() throws IOException {
    try (Reader reader = open(path, encoding)) {
      char[] first = new char[64];
      int n = reader.read(first);
      return n <= 0 ? "" : new String(first, 0, n);
    }
  }

  /**
   * Reads all rows, each filled up to as many cells as the headers; a row's number is that of a
   * spreadsheet, which counts empty rows. Cells beyond the headers get a header of their own.
   *
   * @return the headers; empty when the file is
   */
  List<String> read(RowSink rows) throws Exception {
    CSVFormat format =
        CSVFormat.RFC4180.builder().setDelimiter(delimiter).setIgnoreEmptyLines(false).get();
    List<String> headers = new ArrayList<>();
    try (CSVParser parser = CSVParser.parse(open(path, encoding), format)) {
      for (CSVRecord record : parser) {
        List<String> cells = record.toList();
        int row = (int) record.getRecordNumber();
        boolean empty = cells.size() == 1 && cells.get(0).isEmpty();
        if (empty || row <= linesAbove) {
          continue;
        }
        if (headers.isEmpty()) {
          cells.forEach(cell -> headers.add(cell.strip()));
        } else {
          while (headers.size() < cells.size() && headers.size() < MOST_HEADERS) {
            headers.add("Column " + (headers.size() + 1));
          }
          rows.row(row, filled(cells, headers.size()));
        }
      }
    }
    return headers;
  }

  private static List<String> filled(List<String> cells, int columns) {
    List<String> all = new ArrayList<>(columns);
    for (String cell : cells) {
      all.add(HarmlessCell.read(cell));
    }
    if (all.size() < columns) {
      all.addAll(Collections.nCopies(columns - all.size(), ""));
    }
    return all;
  }
}
