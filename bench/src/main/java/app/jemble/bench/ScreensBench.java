package app.jemble.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * How soon each main view is of use in Chromium, with nothing kept of it (cold) and with what the
 * browser keeps (warm), how much script it takes, and how long single calls take.
 */
final class ScreensBench {

  private static final int PEOPLE = 1500;
  private static final int RUNS = 5;
  private static final int CALLS = 9;

  private static final String SCRIPT_OCTETS =
      """
      () => performance.getEntriesByType('resource')
        .filter((e) => new URL(e.name).pathname.endsWith('.js'))
        .reduce((sum, e) => sum + e.encodedBodySize, 0)
      """;

  /** Since the navigation began, when what is waited for is there. */
  private static final String SEEN =
      "(selector) => document.querySelector(selector) ? performance.now() : false";

  private ScreensBench() {}

  static void run() {
    try (RunningApp app = new RunningApp(PEOPLE);
        Playwright playwright =
            Playwright.create(
                new Playwright.CreateOptions()
                    .setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")))) {
      Browser browser =
          playwright
              .chromium()
              .launch(
                  new BrowserType.LaunchOptions()
                      .setExecutablePath(Path.of("/usr/bin/chromium"))
                      .setArgs(List.of("--no-sandbox", "--disable-gpu", "--disable-quic")));
      String signedIn = signIn(browser, app);
      for (Map.Entry<String, String> view : views(app).entrySet()) {
        measure(browser, app, signedIn, view.getKey(), view.getValue());
      }
      calls(app);
    }
  }

  /** Each main view, and what of it must be there for it to be of use. */
  private static Map<String, String> views(RunningApp app) {
    String draft = id(app, "select min(id) from cause where kind = 'MAILING' and state = 'draft'");
    String sent = id(app, "select min(cause_id) from message where state = 'sent'");
    Map<String, String> views = new LinkedHashMap<>();
    views.put("/desk", "main section li");
    views.put("/people", "tbody tr");
    views.put("/people/1", "main h1");
    views.put("/templates", "main a.panel");
    views.put("/mailings", "main li a");
    views.put("/mailings/" + draft, "[data-proof-subject]");
    views.put("/outbox", "tbody tr");
    views.put("/responses", "tbody tr");
    views.put("/responses/" + sent, "tbody tr");
    views.put("/tasks", "tbody tr");
    return views;
  }

  private static String id(RunningApp app, String query) {
    return app.sql.sql(query).query(String.class).single();
  }

  private static String signIn(Browser browser, RunningApp app) {
    try (BrowserContext context = browser.newContext()) {
      Page page = context.newPage();
      page.navigate(app.base + "/sign-in");
      page.getByLabel("Login").fill("orla");
      page.getByLabel("Password").fill("lowen-quay");
      page.keyboard().press("Enter");
      page.waitForURL("**/desk");
      return context.storageState();
    }
  }

  private static void measure(
      Browser browser, RunningApp app, String signedIn, String path, String useful) {
    double[] cold = new double[RUNS];
    double[] warm = new double[RUNS];
    double[] script = new double[RUNS];
    for (int run = 0; run < RUNS; run++) {
      try (BrowserContext context =
          browser.newContext(
              new Browser.NewContextOptions()
                  .setStorageState(signedIn)
                  .setViewportSize(1280, 800))) {
        Page page = context.newPage();
        cold[run] = open(page, app.base + path, useful);
        script[run] = ((Number) page.evaluate(SCRIPT_OCTETS)).doubleValue() / 1024;
        warm[run] = open(page, app.base + path, useful);
      }
    }
    String name = "screens" + path.replaceAll("/(\\d+)$", "/n").replace('/', '.');
    Figures.print(name + ".cold", "ms", cold);
    Figures.print(name + ".warm", "ms", warm);
    Figures.print(name + ".script", "KB", script);
  }

  private static double open(Page page, String address, String useful) {
    page.navigate("about:blank");
    page.navigate(address);
    return ((Number) page.waitForFunction(SEEN, useful).jsonValue()).doubleValue();
  }

  private static void calls(RunningApp app) {
    String draft = id(app, "select min(id) from cause where kind = 'MAILING' and state = 'draft'");
    for (String path :
        List.of(
            "/api/session",
            "/api/fields",
            "/api/desk",
            "/api/desk/counts",
            "/api/people/1",
            "/api/mailings",
            "/api/mailings/" + draft,
            "/api/mailings/" + draft + "/check",
            "/api/mailings/" + draft + "/reading-time",
            "/api/mailings/" + draft + "/rules",
            "/api/filters/typed?subject=people&text=members+last+visit+before+may",
            "/api/outbox",
            "/api/responses")) {
      double[] took = new double[CALLS];
      for (int i = 0; i < CALLS; i++) {
        long begun = System.nanoTime();
        app.api.get(path);
        took[i] = (System.nanoTime() - begun) / 1e6;
      }
      Figures.print("screens.call " + path.replaceAll("/\\d+", "/n"), "ms", took);
    }
  }
}
