package app.jemble.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.ServerTest;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.testng.ITestResult;
import org.testng.annotations.AfterClass;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeClass;

/** The running application in Debian's Chromium. */
abstract class BrowserTest extends ServerTest {

  private static final Logger LOG = LoggerFactory.getLogger(BrowserTest.class);

  private static final List<String> FLAGS =
      List.of(
          "--no-sandbox",
          "--disable-gpu",
          "--disable-quic",
          "--no-first-run",
          "--disable-background-networking",
          "--disable-component-update",
          "--disable-sync");

  /** A busy machine may be slow; a screen that is right shows it much sooner. */
  private static final double PATIENCE_MILLIS = 15_000;

  protected Page page;
  protected String home;
  private final int wantedPort = freePort();
  private final List<String> complaints = new ArrayList<>();
  private Playwright playwright;

  @Override
  protected int wantedPort() {
    return wantedPort;
  }

  @Override
  protected String publicUrl() {
    return "http://127.0.0.1:" + wantedPort;
  }

  /** The rows of the table that are drawn: those in sight and some around. */
  protected Locator rows() {
    return page.locator("tbody tr:not([aria-hidden])");
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void openBrowser() {
    home = publicUrl();
    PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE_MILLIS);
    playwright =
        Playwright.create(
            new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
    Browser browser =
        playwright
            .chromium()
            .launch(
                new BrowserType.LaunchOptions()
                    .setExecutablePath(Path.of("/usr/bin/chromium"))
                    // People see bars to scroll with, and so do these tests.
                    .setIgnoreDefaultArgs(List.of("--hide-scrollbars"))
                    .setArgs(FLAGS));
    page =
        browser
            .newContext(
                new Browser.NewContextOptions().setViewportSize(1280, 800).setLocale("en-GB"))
            .newPage();
    page.onPageError(trouble -> complaints.add("at " + page.url() + ": " + trouble));
    page.onConsoleMessage(
        message -> {
          if (message.type().equals("error") && !message.text().contains("status of 4")) {
            complaints.add(message.text());
          }
        });
  }

  /** What was on the screen when a test failed, in target, and what had not left by then. */
  @AfterMethod(alwaysRun = true)
  public void keepPicture(ITestResult result) {
    if (!result.isSuccess() && page != null) {
      String name = getClass().getSimpleName() + "-" + result.getMethod().getMethodName();
      page.screenshot(
          new Page.ScreenshotOptions().setPath(Path.of("target", "failed-" + name + ".png")));
      List<Map<String, Object>> waiting =
          sql.sql(
                  """
                  select id, cause_id, state, tries, due_at, reason
                  from message where state <> 'sent' order by id desc limit 5
                  """)
              .query()
              .listOfRows();
      LOG.error("When {} failed at {}: {}", name, clock.instant(), waiting);
    }
  }

  @AfterClass(alwaysRun = true)
  public void closeBrowser() {
    if (playwright != null) {
      playwright.close();
    }
  }

  private static int freePort() {
    try (ServerSocket socket = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
      return socket.getLocalPort();
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  /** Signs in by keyboard alone. */
  protected void signIn(String login) {
    signIn(page, login);
  }

  /** Signs in by keyboard alone, in another window. */
  protected void signIn(Page window, String login) {
    window.navigate(home + "/");
    window.waitForURL("**/sign-in**");
    window.getByLabel("Login").focus();
    window.keyboard().type(login);
    window.keyboard().press("Tab");
    window.keyboard().type("lowen-quay");
    window.keyboard().press("Enter");
    window.waitForURL(home + "/desk");
  }

  protected void press(String... keys) {
    for (String key : keys) {
      page.keyboard().press(key);
    }
  }

  /** Types what is sought into a list of people, and goes on to the list. */
  protected void seek(String words) {
    Locator box = page.getByRole(AriaRole.SEARCHBOX, named("Type which people you seek"));
    PlaywrightAssertions.assertThat(box).isVisible();
    press("f");
    PlaywrightAssertions.assertThat(box).isFocused();
    page.keyboard().type(words);
    press("Enter");
    Locator list = page.getByRole(AriaRole.REGION, named("People"));
    PlaywrightAssertions.assertThat(list).isFocused();
    // Until what was asked for has come, keys touch no row of the list before.
    PlaywrightAssertions.assertThat(list).hasAttribute("aria-busy", "false");
  }

  /** Where a session is over: signs in on the spot, and goes on. */
  protected void signInOnTheSpot() {
    PlaywrightAssertions.assertThat(signInDialog()).isVisible();
    PlaywrightAssertions.assertThat(signInDialog().getByLabel("Password")).isFocused();
    page.keyboard().type("lowen-quay");
    press("Enter");
    PlaywrightAssertions.assertThat(signInDialog()).isHidden();
  }

  protected Locator signInDialog() {
    return page.getByRole(AriaRole.DIALOG, named("Sign in and go on"));
  }

  protected Locator button(String name) {
    return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
  }

  protected static Page.GetByRoleOptions named(String name) {
    return new Page.GetByRoleOptions().setName(name).setExact(true);
  }

  protected static Page.GetByRoleOptions named(Pattern name) {
    return new Page.GetByRoleOptions().setName(name);
  }

  /** In the dialog that asks, Enter releases. */
  protected void releaseByEnter() {
    PlaywrightAssertions.assertThat(
            page.getByRole(AriaRole.DIALOG)
                .getByRole(AriaRole.BUTTON, inDialog(Pattern.compile("^Release \\d"))))
        .isFocused();
    press("Enter");
  }

  private static Locator.GetByRoleOptions inDialog(Pattern name) {
    return new Locator.GetByRoleOptions().setName(name);
  }

  /** What was written on the mailing's screen is at the server. */
  protected void assertSaved() {
    PlaywrightAssertions.assertThat(page.locator("[data-saved]")).hasText("saved");
  }

  /** What scripts complained of since the last call. */
  protected void assertNoComplaints() {
    assertThat(complaints).isEmpty();
  }

  /** WCAG 2.2 A and AA and best practice, as axe-core sees them: nothing at all on the screen. */
  protected void assertAccessible(String screen) {
    assertNothingFound(
        screen,
        axe()
            .withTags(
                List.of(
                    "wcag2a",
                    "wcag2aa",
                    "wcag21a",
                    "wcag21aa",
                    "wcag22a",
                    "wcag22aa",
                    "best-practice")));
  }

  /** Colours alone: the rest is the same in every look. */
  protected void assertReadable(String screen) {
    assertNothingFound(screen, axe().withRules(List.of("color-contrast")));
  }

  /**
   * The frame of a proof holds a mail, which is the writer's own. Without frames nothing needs to
   * be put together on a page of its own, which takes as long again.
   */
  private AxeBuilder axe() {
    return new AxeBuilder(page).exclude("iframe").setLegacyMode(true);
  }

  private static void assertNothingFound(String screen, AxeBuilder axe) {
    List<String> found = axe.analyze().getViolations().stream().map(BrowserTest::told).toList();
    assertThat(found).as("axe-core on " + screen).isEmpty();
  }

  private static String told(Rule rule) {
    return rule.getId() + ": " + rule.getNodes().stream().limit(3).map(n -> n.getHtml()).toList();
  }
}
