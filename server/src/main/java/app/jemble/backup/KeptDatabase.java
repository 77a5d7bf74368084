package app.jemble.backup;

import app.jemble.backup.BackupCommand.Refused;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The database of the house, and the programs of PostgreSQL that keep it and make it again.
 *
 * @param url its JDBC address
 */
record KeptDatabase(String url, String user, String password) {

  private static final Pattern PARTS =
      Pattern.compile("jdbc:postgresql://([^:/?]+)(?::(\\d+))?/([^?]+)(?:\\?(.*))?");

  static KeptDatabase of(Map<String, String> settings) {
    return new KeptDatabase(
        settings.getOrDefault("JEMBLE_DB_URL", "jdbc:postgresql://127.0.0.1:5432/jemble"),
        settings.getOrDefault("JEMBLE_DB_USER", "jemble"),
        settings.getOrDefault("JEMBLE_DB_PASSWORD", ""));
  }

  private Connection connect() throws SQLException {
    return DriverManager.getConnection(url, user, password);
  }

  /** The database's own clock, and that it is there. */
  Instant now() throws SQLException {
    try (Connection connection = connect();
        Statement statement = connection.createStatement();
        ResultSet row = statement.executeQuery("select now()")) {
      row.next();
      return row.getTimestamp(1).toInstant();
    }
  }

  void mustBeEmpty() throws SQLException, Refused {
    try (Connection connection = connect();
        Statement statement = connection.createStatement();
        ResultSet row =
            statement.executeQuery(
                """
                select count(*)
                from pg_class c
                join pg_namespace n on n.oid = c.relnamespace
                where n.nspname not like 'pg\\_%' and n.nspname <> 'information_schema'
                """)) {
      row.next();
      if (row.getLong(1) > 0) {
        throw new Refused(
            "There is something in the database already. A house is restored into an empty one.");
      }
    }
  }

  /** Notes that the house was made of a backup. */
  void noteRestored(Instant madeAt) throws SQLException {
    try (Connection connection = connect();
        PreparedStatement statement =
            connection.prepareStatement(
                """
                insert into restored (id, made_at, restored_at)
                values (1, ?, now())
                on conflict (id) do update
                set made_at = excluded.made_at, restored_at = excluded.restored_at,
                    seen_at = null, lifted_at = null, lifted_by = null
                """)) {
      statement.setTimestamp(1, Timestamp.from(madeAt));
      statement.executeUpdate();
    }
  }

  /** All of it, as of one instant, in the custom format of pg_dump. */
  void dump(Path to) throws IOException, Refused {
    run("pg_dump", List.of("--format=custom", "--no-owner", "--file=" + to));
  }

  /** All of it, or nothing. */
  void load(Path from) throws IOException, Refused {
    run(
        "pg_restore",
        List.of("--no-owner", "--single-transaction", "--exit-on-error", from.toString()));
  }

  private void run(String program, List<String> arguments) throws IOException, Refused {
    Matcher parts = PARTS.matcher(url);
    if (!parts.matches()) {
      throw new Refused("This is no address of a PostgreSQL: " + url);
    }
    List<String> command = new ArrayList<>(List.of(program, "--no-password"));
    command.add("--dbname=" + parts.group(3));
    command.addAll(arguments);
    ProcessBuilder process = new ProcessBuilder(command).redirectErrorStream(true);
    process.environment().put("PGHOST", parts.group(1));
    process.environment().put("PGPORT", parts.group(2) == null ? "5432" : parts.group(2));
    process.environment().put("PGUSER", user);
    process.environment().put("PGPASSWORD", password);
    String said;
    int status;
    try {
      Process running = process.start();
      said = new String(running.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
      status = running.waitFor();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException("it was interrupted", e);
    } catch (IOException notThere) {
      throw new Refused(
          program + " of PostgreSQL's client programs is needed (Debian: postgresql-client).");
    }
    if (status != 0) {
      throw new Refused(program + " failed: " + said.strip());
    }
  }
}
