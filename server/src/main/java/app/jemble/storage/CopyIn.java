package app.jemble.storage;

import com.google.errorprone.annotations.CompileTimeConstant;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.HexFormat;
import java.util.List;
import java.util.stream.Collectors;
import org.postgresql.PGConnection;

/** Rows written into one table by COPY, in CSV (RFC 4180 quoting; an unquoted nothing is null). */
public final class CopyIn implements AutoCloseable {

  private static final int FLUSH_AT = 1 << 16;

  private final org.postgresql.copy.CopyIn copy;
  private final StringBuilder buffer = new StringBuilder(FLUSH_AT + 8192);

  /**
   * Begins to write.
   *
   * @param columns the table and its columns, such as {@code person (id, kind)}
   */
  public CopyIn(Connection connection, @CompileTimeConstant String columns) throws SQLException {
    this.copy =
        connection
            .unwrap(PGConnection.class)
            .getCopyAPI()
            .copyIn("copy " + columns + " from stdin csv");
  }

  /** One row; a null is null, a list becomes an array, octets become bytea. */
  public void row(Object... values) throws SQLException {
    for (int i = 0; i < values.length; i++) {
      if (i > 0) {
        buffer.append(',');
      }
      if (values[i] != null) {
        buffer.append('"').append(text(values[i]).replace("\"", "\"\"")).append('"');
      }
    }
    buffer.append('\n');
    if (buffer.length() > FLUSH_AT) {
      flush();
    }
  }

  private static String text(Object value) {
    if (value instanceof List<?> list) {
      return list.stream()
          .map(v -> '"' + v.toString().replace("\\", "\\\\").replace("\"", "\\\"") + '"')
          .collect(Collectors.joining(",", "{", "}"));
    }
    if (value instanceof byte[] octets) {
      return "\\x" + HexFormat.of().formatHex(octets);
    }
    return value.toString();
  }

  private void flush() throws SQLException {
    byte[] octets = buffer.toString().getBytes(StandardCharsets.UTF_8);
    copy.writeToCopy(octets, 0, octets.length);
    buffer.setLength(0);
  }

  @Override
  public void close() throws SQLException {
    try {
      flush();
      copy.endCopy();
    } finally {
      if (copy.isActive()) {
        copy.cancelCopy();
      }
    }
  }
}
