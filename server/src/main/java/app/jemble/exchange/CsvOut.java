package app.jemble.exchange;

import app.jemble.core.exchange.HarmlessCell;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/**
 * Writes CSV (RFC 4180) in UTF-8 with a mark that spreadsheets know it by; no cell is a formula.
 */
public final class CsvOut implements AutoCloseable {

  private final CSVPrinter printer;

  public CsvOut(OutputStream out) throws IOException {
    BufferedWriter writer = new BufferedWriter(new OutputStreamWriter(out, StandardCharsets.UTF_8));
    writer.write('\uFEFF');
    printer = new CSVPrinter(writer, CSVFormat.RFC4180);
  }

  public void row(List<String> cells) throws IOException {
    printer.printRecord(cells.stream().map(HarmlessCell::write).toList());
  }

  @Override
  public void close() throws IOException {
    printer.close(true);
  }
}
