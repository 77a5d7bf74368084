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
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * A CSV file (RFC 4180, with any of the usual delimiters and encodings), read as a stream.
 *
 * @param delimiter what stands between cells
 */
record CsvFile(Path path, Charset encoding, char delimiter) {

  private static final int PIECE = 1 << 16;
  private static final int BEGINNING = 1 << 15;

  /** Looks through a file for how it is written. */
  static CsvFile of(Path path) throws IOException {
    TextEncoding encoding = new TextEncoding();
    byte[] piece = new byte[PIECE];
    try (InputStream in = Files.newInputStream(path)) {
      for (int n = in.read(piece); n > 0; n = in.read(piece)) {
        encoding.feed(piece, n);
      }
    }
    Charset found = encoding.found();
    try (Reader reader = open(path, found)) {
      char[] beginning = new char[BEGINNING];
      int read = 0;
      int n;
      while (read < BEGINNING && (n = reader.read(beginning, read, BEGINNING - read)) > 0) {
        read += n;
      }
      return new CsvFile(path, found, Delimiter.guess(new String(beginning, 0, read)));
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
   * Reads all rows, each filled up to as many cells as the headers.
   *
   * @return the headers; empty when the file is
   */
  List<String> read(RowSink rows) throws Exception {
    CSVFormat format =
        CSVFormat.RFC4180.builder().setDelimiter(delimiter).setIgnoreEmptyLines(true).get();
    List<String> headers = List.of();
    try (CSVParser parser = CSVParser.parse(open(path, encoding), format)) {
      for (CSVRecord record : parser) {
        List<String> cells = record.toList();
        if (record.getRecordNumber() == 1) {
          headers = cells.stream().map(String::strip).toList();
        } else {
          rows.row((int) record.getRecordNumber(), filled(cells, headers.size()));
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
