package app.jemble.exchange;

import app.jemble.account.AccountService;
import app.jemble.problem.Problem;
import app.jemble.storage.CopyIn;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.Charset;
import java.nio.charset.MalformedInputException;
import java.nio.charset.UnmappableCharacterException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import javax.sql.DataSource;
import org.apache.commons.csv.CSVException;
import org.springframework.stereotype.Service;

/** Takes in a file as it comes, finds out how it is written, and keeps its rows. */
@Service
class ImportReader {

  private static final long BIGGEST = 200L << 20;
  private static final int MOST_ROWS = 2_000_000;
  private static final int MOST_COLUMNS = 200;
  private static final Duration KEPT = Duration.ofDays(7);

  private final ImportMapper mapper;
  private final AccountService accounts;
  private final DataSource database;
  private final Clock clock;

  ImportReader(ImportMapper mapper, AccountService accounts, DataSource database, Clock clock) {
    this.mapper = mapper;
    this.accounts = accounts;
    this.database = database;
    this.clock = clock;
  }

  /**
   * Reads a file; answers the id of the import that it is.
   *
   * @param encoding where somebody chose it; else null
   */
  long read(String name, Charset encoding, InputStream in) throws IOException {
    long by = accounts.currentWriter().id();
    mapper.forgetRows(clock.instant().minus(KEPT));
    Path file = Files.createTempFile("jemble-import", ".tmp");
    try {
      if (save(in, file) == 0) {
        throw Problem.wrong("file", "The file is empty.");
      }
      CsvFile csv = CsvFile.of(file, encoding);
      boolean cards = csv.beginning().toUpperCase(Locale.ROOT).startsWith("BEGIN:VCARD");
      if (cards && encoding == null) {
        csv = new CsvFile(file, VcardFile.encoding(file), csv.delimiter(), 0);
      }
      long id =
          mapper.create(
              name,
              cards ? "vcard" : "csv",
              csv.encoding().name(),
              cards ? "" : String.valueOf(csv.delimiter()),
              clock.instant(),
              by);
      keepRows(id, csv, cards);
      return id;
    } finally {
      Files.deleteIfExists(file);
    }
  }

  /** PostgreSQL keeps no zero character. */
  private static String kept(String cell) {
    return cell.replace("\0", "␀");
  }

  private static long save(InputStream in, Path file) throws IOException {
    byte[] piece = new byte[1 << 16];
    long size = 0;
    try (var out = Files.newOutputStream(file)) {
      for (int n = in.read(piece); n >= 0; n = in.read(piece)) {
        size += n;
        if (size > BIGGEST) {
          throw Problem.wrong("file", "A file of more than 200 MB is too big; split it.");
        }
        out.write(piece, 0, n);
      }
    }
    return size;
  }

  private void keepRows(long id, CsvFile csv, boolean cards) throws IOException {
    int[] rows = {0};
    List<String> headers = VcardFile.FIELDS;
    try (Connection connection = database.getConnection();
        CopyIn copy = new CopyIn(connection, "public.import_row (run_id, row_no, cells)")) {
      RowSink sink =
          (number, cells) -> {
            if (++rows[0] > MOST_ROWS) {
              throw Problem.wrong("file", "A file has at most 2,000,000 rows; split it.");
            }
            copy.row(id, number, cells.stream().map(ImportReader::kept).toList());
          };
      if (cards) {
        VcardFile.read(csv.path(), csv.encoding(), sink);
      } else {
        headers = csv.read(sink);
      }
    } catch (Problem problem) {
      throw problem;
    } catch (MalformedInputException | UnmappableCharacterException letters) {
      throw Problem.wrong(
          "file", "The file is not in the encoding that was chosen; choose another.");
    } catch (CSVException | UncheckedIOException broken) {
      throw Problem.wrong(
          "file",
          "Row "
              + (rows[0] + 2)
              + " cannot be read: a quote is opened and not closed, or stands amid a cell.");
    } catch (IOException failed) {
      throw failed;
    } catch (Exception failed) {
      throw new IllegalStateException("the rows of a file could not be kept", failed);
    }
    if (headers.size() > MOST_COLUMNS) {
      throw Problem.wrong("file", "A file has at most " + MOST_COLUMNS + " columns.");
    }
    if (rows[0] == 0) {
      throw Problem.wrong("file", "The file has headers, if anything, and no people under them.");
    }
    mapper.hasRows(id, headers.stream().map(ImportReader::kept).toList(), rows[0]);
  }
}
