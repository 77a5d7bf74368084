package app.jemble.backup;

import app.jemble.backup.BackupCommand.Refused;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
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

  /** The database's own clock, and that it is there. */
  Instant now() throws IOException, Refused {
    return Instant.parse(
        asked("select to_char(now() at time zone 'UTC', 'YYYY-MM-DD\"T\"HH24:MI:SS.US\"Z\"')"));
  }

  void mustBeEmpty() throws IOException, Refused {
    String things =
        asked(
            """
            select count(*)
            from pg_class c
            join pg_namespace n on n.oid = c.relnamespace
            where n.nspname not like 'pg\\_%' and n.nspname <> 'information_schema'
            """);
    if (!things.equals("0")) {
      throw new Refused(
          "There is something in the database already. A house is restored into an empty one.");
    }
  }

  /** Notes that the house was made of a backup. */
  void noteRestored(Instant madeAt) throws IOException, Refused {
    run(
        "psql",
        List.of("--quiet", "--set=ON_ERROR_STOP=1", "--set=made_at=" + madeAt),
        """
        insert into restored (id, made_at, restored_at)
        values (1, :'made_at', now())
        on conflict (id) do update
        set made_at = excluded.made_at, restored_at = excluded.restored_at,
            seen_at = null, lifted_at = null, lifted_by = null
        """);
  }

  private String asked(String question) throws IOException, Refused {
    return run("psql", List.of("--tuples-only", "--no-align", "--set=ON_ERROR_STOP=1"), question);
  }

  /** All of it, as of one instant, in the custom format of pg_dump. */
  void dump(Path to) throws IOException, Refused {
    run("pg_dump", List.of("--format=custom", "--no-owner", "--file=" + to), "");
  }

  /** All of it, or nothing. */
  void load(Path from) throws IOException, Refused {
    run(
        "pg_restore",
        List.of("--no-owner", "--single-transaction", "--exit-on-error", from.toString()),
        "");
  }

  /**
   * Runs one of PostgreSQL's programs on the database.
   *
   * @param input what it reads
   * @return what it said
   */
  private String run(String program, List<String> arguments, String input)
      throws IOException, Refused {
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
    Process running;
    try {
      running = process.start();
    } catch (IOException notThere) {
      throw new Refused(
          program + " of PostgreSQL's client programs is needed (Debian: postgresql-client).");
    }
    return said(program, running, input);
  }

  private static String said(String program, Process running, String input)
      throws IOException, Refused {
    try {
      try (OutputStream in = running.getOutputStream()) {
        in.write(input.getBytes(StandardCharsets.UTF_8));
      }
      String said = new String(running.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
      if (running.waitFor() != 0) {
        throw new Refused(program + " failed: " + said.strip());
      }
      return said.strip();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException("it was interrupted", e);
    }
  }
}
