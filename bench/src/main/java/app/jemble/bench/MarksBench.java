package app.jemble.bench;

import app.jemble.workspace.WorkspaceService;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.CompletableFuture;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Two hundred connections open messages for ten seconds, in turn with as many that fetch a static
 * file of the same server. The load is wrk's (Debian's package), whose own work is small. Every
 * open that was answered must have been kept; meanwhile somebody reads the desk.
 */
final class MarksBench {

  private static final int CONNECTIONS = 200;
  private static final int SECONDS = 10;
  private static final int RUNS = 3;

  /** Fresh in each run: some are opened for the first time, the rest once or twice again. */
  private static final int MESSAGES = 30_000;

  private static final String STATIC = "/jemble.svg";
  private static final Pattern RATE = Pattern.compile("Requests/sec:\\s+([0-9.]+)");
  private static final Pattern DONE = Pattern.compile("(\\d+) requests in");
  private static final Pattern FAILED = Pattern.compile("Non-2xx or 3xx responses: (\\d+)");

  /** What wrk says. */
  private record Load(double rate, long requests, long failed) {}

  private MarksBench() {}

  static void run() throws Exception {
    double[] opens = new double[RUNS];
    double[] files = new double[RUNS];
    double[] pages = new double[RUNS];
    double[] quietPages = new double[RUNS];
    long lost = 0;
    try (RunningApp app = new RunningApp(1500)) {
      Path script = Files.createTempFile("marks", ".lua");
      warmUp(app, script);
      for (int run = 0; run < RUNS; run++) {
        quietPages[run] = pageMillis(app, 20);
        files[run] = wrk(app, List.of(STATIC), script, SECONDS).rate();
        List<String> marks = marks(app);
        long before = responses(app);
        CompletableFuture<Double> page = CompletableFuture.supplyAsync(() -> pageMillis(app, 40));
        Load load = wrk(app, marks, script, SECONDS);
        pages[run] = page.get();
        opens[run] = load.rate();
        long kept = responses(app) - before;
        lost += load.failed() + Math.max(0, load.requests() - kept);
      }
      Files.delete(script);
    }
    Figures.print("marks: opens", "per s", opens);
    Figures.print("marks: static file", "per s", files);
    Figures.printRatio("marks: opens / static file", opens, files);
    Figures.print("marks: answered opens that were not kept", "of all", lost);
    Figures.print("marks: the desk meanwhile", "ms", pages);
    Figures.print("marks: the desk without them", "ms", quietPages);
  }

  private static void warmUp(RunningApp app, Path script) throws Exception {
    wrk(app, List.of(STATIC), script, SECONDS);
    wrk(app, marks(app), script, SECONDS);
  }

  /** The marks of a mailing that has just left, to people of the demo, each many times over. */
  private static List<String> marks(RunningApp app) {
    WorkspaceService workspace = app.bean(WorkspaceService.class);
    List<String> tokens = new ArrayList<>();
    for (int i = 0; i < MESSAGES; i++) {
      tokens.add(workspace.newToken());
    }
    long mailing =
        app.sql
            .sql(
                """
                with words as (
                  insert into wording (channel, subject, body)
                  values ('EMAIL', 'Opened', '<p>x</p>')
                  returning id
                ), opened as (
                  insert into cause (kind, name, topic_id, sender_id, wording_id, state, created_at,
                                     created_by, released_at, held_until, due_at)
                  select 'MAILING', 'Opened', t.id, a.id, words.id, 'released', now(), a.id, now(),
                         now(), now()
                  from words, (select min(id) as id from topic) t,
                       (select min(id) as id from account) a
                  returning id
                )
                insert into mailing_summary (mailing_id, summed_up_at)
                select id, now() from opened
                returning mailing_id
                """)
            .query(Long.class)
            .single();
    app.sql
        .sql(
            """
            insert into message (cause_id, person_id, address, recipient, token, state, frozen,
                                 due_at, first_try_at, sent_at, record_id)
            select ?, p.ids[1 + n.i % cardinality(p.ids)], 'x@bench.example', 'X', n.token, 'sent',
                   '{}', now(), now() - interval '1 hour', now() - interval '1 hour', n.i
            from unnest(?::text[]) with ordinality as n (token, i),
                 (select array_agg(id) as ids from person) p
            """)
        .param(mailing)
        .param(tokens.toArray(String[]::new))
        .update();
    app.sql.sql("analyze message").update();
    return tokens.stream().map(token -> "/o/" + token + ".gif").toList();
  }

  private static long responses(RunningApp app) {
    return app.sql.sql("select count(*) from response").query(Long.class).single();
  }

  private static double pageMillis(RunningApp app, int times) {
    double[] took = new double[times];
    for (int i = 0; i < times; i++) {
      long begun = System.nanoTime();
      if (app.api.get("/api/desk").status() != 200) {
        throw new IllegalStateException("the page was not answered");
      }
      took[i] = (System.nanoTime() - begun) / 1e6;
    }
    return Figures.median(java.util.Arrays.stream(took).sorted().toArray());
  }

  private static Load wrk(RunningApp app, List<String> paths, Path script, int seconds)
      throws IOException, InterruptedException {
    Path list = Files.write(Files.createTempFile("paths", ".txt"), paths);
    Files.writeString(
        script,
        String.format(
            Locale.ROOT,
            """
        local paths = {}
        local next = 0
        init = function(args)
          for line in io.lines("%s") do paths[#paths + 1] = wrk.format("GET", line) end
        end
        request = function()
          next = next %% #paths + 1
          return paths[next]
        end
        """,
            list));
    Process wrk =
        new ProcessBuilder(
                "wrk",
                "-t1",
                "-c" + CONNECTIONS,
                "-d" + seconds + "s",
                "-s" + script,
                "-HUser-Agent: Mozilla/5.0 (X11; Linux x86_64) Mail/128",
                app.base)
            .redirectErrorStream(true)
            .start();
    String said = new String(wrk.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    Files.delete(list);
    if (wrk.waitFor() != 0) {
      throw new IllegalStateException("wrk failed: " + said);
    }
    Load load = new Load(number(RATE, said), (long) number(DONE, said), failed(said));
    if (load.failed() > 0) {
      System.err.println(said);
    }
    return load;
  }

  private static long failed(String said) {
    Matcher failed = FAILED.matcher(said);
    return failed.find() ? Long.parseLong(failed.group(1)) : 0;
  }

  private static double number(Pattern pattern, String said) {
    Matcher found = pattern.matcher(said);
    if (!found.find()) {
      throw new IllegalStateException("wrk says nothing of it: " + said);
    }
    return Double.parseDouble(found.group(1));
  }
}
