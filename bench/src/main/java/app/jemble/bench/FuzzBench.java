package app.jemble.bench;

import app.jemble.Api;
import app.jemble.api.ApiFuzz;
import app.jemble.inbound.MailFuzz;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * What nobody would send: a hundred thousand calls of every operation, and as many random mails.
 * Prints what went wrong, and how many.
 */
final class FuzzBench {

  private static final int CALLS = Integer.getInteger("jemble.fuzz.calls", 100_000);
  private static final int MAILS = Integer.getInteger("jemble.fuzz.mails", 100_000);
  private static final long SEED = Long.getLong("jemble.fuzz.seed", 14L);

  private FuzzBench() {}

  static void run() {
    try (RunningApp app = new RunningApp(60)) {
      mails(app);
      calls(app);
    }
  }

  private static void mails(RunningApp app) {
    MailFuzz fuzz = new MailFuzz(app.context(), SEED);
    List<Double> millis = new ArrayList<>();
    for (int i = 0; i < MAILS; i++) {
      millis.add(fuzz.next());
    }
    millis.sort(Comparator.naturalOrder());
    Figures.print("fuzz.mails.taken_in", "mails", MAILS);
    Figures.print("fuzz.mails.stopped", "times", fuzz.isReadToTheEnd() ? 0 : 1);
    Figures.print("fuzz.mails.slowest.ms", "ms", millis.get(MAILS - 1));
    Figures.print("fuzz.mails.over_1_s", "mails", millis.stream().filter(ms -> ms > 1_000).count());
    Figures.print("fuzz.mails.unread", "mails", unread(app));
  }

  private static double unread(RunningApp app) {
    return app.sql
        .sql("select count(*) from inbound_mail where sorted_as = 'NotRead'")
        .query(Long.class)
        .single();
  }

  private static void calls(RunningApp app) {
    List<Api> colleagues = new ArrayList<>();
    for (String login : List.of("orla", "orla", "tomas", "wilma", "wilma", "reed")) {
      Api colleague = new Api(app.base);
      colleague.signIn(login, "lowen-quay");
      colleagues.add(colleague);
    }
    colleagues.add(new Api(app.base));
    ApiFuzz fuzz = new ApiFuzz(SEED);
    String before = ApiFuzz.untouchable(app.sql);
    int wrong = 0;
    for (int i = 0; i < CALLS; i++) {
      int status = fuzz.next(colleagues);
      if (status >= 500) {
        wrong++;
        System.err.println(status + " " + fuzz.asked());
      }
    }
    Figures.print("fuzz.calls", "calls", CALLS);
    Figures.print("fuzz.calls.500", "calls", wrong);
    Figures.print(
        "fuzz.calls.changed_what_none_may",
        "times",
        ApiFuzz.untouchable(app.sql).equals(before) ? 0 : 1);
  }
}
