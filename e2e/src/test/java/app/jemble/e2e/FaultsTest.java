package app.jemble.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Eventually;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import java.util.regex.Pattern;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * Whatever goes wrong on the way to the server and back, nothing that was typed is lost: each fault
 * at each place where people type, and what stands in the database once it is over.
 */
public class FaultsTest extends BrowserTest {

  /** Something that goes wrong with every change until it is over. */
  private enum Fault {
    NO_CONNECTION(route -> route.abort("connectionrefused")),
    OFFLINE(route -> route.abort("internetdisconnected")),
    WENT_WRONG(route -> route.fulfill(new Route.FulfillOptions().setStatus(500).setBody(""))),
    TOO_BUSY(route -> route.fulfill(new Route.FulfillOptions().setStatus(503).setBody(""))),
    /** The server does it, and its answer never comes. */
    ANSWER_LOST(
        route -> {
          route.fetch();
          route.abort("connectionreset");
        }),
    SESSION_OVER(null);

    private final Consumer<Route> does;

    Fault(Consumer<Route> does) {
      this.does = does;
    }
  }

  /**
   * Everything that changes something; what is read goes through, and so does a look at what is
   * being written: its failure is told in the same words as that of the saving.
   */
  private static final Pattern CHANGES =
      Pattern.compile("/api/(?!live|session|typed|mends|preview).*");

  private long mailing;
  private int typed;

  @Override
  protected int people() {
    return 60;
  }

  @BeforeClass(dependsOnMethods = "openBrowser")
  public void begin() {
    signIn("orla");
    api.signIn("orla", "lowen-quay");
    long person = addPerson("Ann", "Faulty", "ann@faulty.example");
    mailing = draft(List.of(person), "Of faults", "<p>Hello</p>");
  }

  @BeforeMethod
  public void freshWords() {
    typed++;
    page.unrouteAll();
    page.navigate(home + "/desk");
    Locator login = page.getByLabel("Login");
    assertThat(login.or(page.getByText("Find or do")).first()).isVisible();
    if (login.isVisible()) {
      signIn("orla");
    }
  }

  @DataProvider
  public Object[][] faults() {
    List<Object[]> all = new ArrayList<>();
    for (Typing.Place place : Typing.Place.values()) {
      for (Fault fault : Fault.values()) {
        all.add(new Object[] {place, fault});
      }
    }
    return all.toArray(Object[][]::new);
  }

  @Test(dataProvider = "faults")
  public void nothingTypedIsLost(Typing.Place place, Fault fault) {
    String words = "Typed " + typed;
    Typing typing = new Typing(page, home, sql, mailing);
    typing.go(place);
    typing.begin(place, words);
    begin(fault);
    typing.send(place, words);
    if (fault == Fault.SESSION_OVER) {
      assertThat(signInDialog()).isVisible();
      page.unroute(CHANGES);
      signInOnTheSpot();
    } else {
      assertThat(
              page.getByText(Pattern.compile("cannot be reached|went wrong|did not answer"))
                  .first())
          .isVisible();
      page.unroute(CHANGES);
    }
    typing.assertStillThere(place, words);
    typing.again(place);
    Eventually.holds(() -> assertThat(typing.stored(place)).contains(words));
  }

  /** Two windows of one browser: whoever signs in again in the one goes on in the other. */
  @Test
  public void whatIsTypedInOneWindowIsSavedAfterSigningInAgainInAnother() {
    Typing typing = new Typing(page, home, sql, mailing);
    typing.go(Typing.Place.TEMPLATE);
    typing.begin(Typing.Place.TEMPLATE, "Of two windows");
    begin(Fault.SESSION_OVER);
    typing.send(Typing.Place.TEMPLATE, "Of two windows");
    assertThat(signInDialog()).isVisible();
    page.unroute(CHANGES);
    try (Page other = page.context().newPage()) {
      signIn(other, "orla");
      // As when its window is come back to.
      page.evaluate("window.dispatchEvent(new Event('focus'))");
      assertThat(signInDialog()).isHidden();
      typing.again(Typing.Place.TEMPLATE);
      Eventually.holds(
          () -> assertThat(typing.stored(Typing.Place.TEMPLATE)).contains("Of two windows"));
    }
  }

  /** As after signing in again in another window, before the page has asked for anything. */
  @Test
  public void whatIsTypedIsSavedWithTheTokenOfASignInSince() {
    Typing typing = new Typing(page, home, sql, mailing);
    typing.go(Typing.Place.TEMPLATE);
    sql.sql("delete from spring_session_attributes where attribute_name like '%CSRF_TOKEN'")
        .update();
    typing.begin(Typing.Place.TEMPLATE, "Of two sign-ins");
    typing.send(Typing.Place.TEMPLATE, "Of two sign-ins");
    Eventually.holds(
        () -> assertThat(typing.stored(Typing.Place.TEMPLATE)).contains("Of two sign-ins"));
  }

  @DataProvider
  public Object[][] everyFault() {
    return Arrays.stream(Fault.values()).map(f -> new Object[] {f}).toArray(Object[][]::new);
  }

  /** A release is done or it is not; which of both is said, and nobody gets it twice. */
  @Test(dataProvider = "everyFault")
  public void aReleaseSaysWhatBecameOfIt(Fault fault) {
    sql.sql("update workspace set hold_seconds = 600").update();
    long person = addPerson("Rel", "Eased " + typed, "released" + typed + "@faulty.example");
    long draft = draft(List.of(person), "To be released " + typed, "<p>Hello</p>");
    page.navigate(home + "/mailings/" + draft);
    assertThat(page.getByText(Pattern.compile("^Proof 1 of 1"))).isVisible();
    press("Control+Enter");
    assertThat(page.getByRole(AriaRole.DIALOG)).containsText("Release 1 message?");
    begin(fault);
    releaseByEnter();
    if (fault == Fault.ANSWER_LOST) {
      assertThat(page.getByText("It was released; only the answer was lost.")).isVisible();
    } else {
      if (fault == Fault.SESSION_OVER) {
        signInOnTheSpot();
      } else {
        assertThat(
                page.getByText(Pattern.compile("It was not released|went wrong|cannot be reached"))
                    .first())
            .isVisible();
      }
      assertThat(stateOf(draft)).isEqualTo("draft");
      page.unroute(CHANGES);
      press("Control+Enter");
      releaseByEnter();
    }
    assertThat(page.getByRole(AriaRole.REGION, named("Under way"))).isVisible();
    assertThat(stateOf(draft)).isEqualTo("released");
    Eventually.holds(
        () ->
            assertThat(
                    sql.sql("select count(*) from message where cause_id = ?")
                        .param(draft)
                        .query(Long.class)
                        .single())
                .isEqualTo(1));
  }

  /** A look at everyone that fails, or whose list does, says so and is made again when asked. */
  @Test
  public void aLookThatFailsSaysSoAndIsMadeAgain() {
    for (Pattern asked : List.of(Pattern.compile("/check/watch"), Pattern.compile("/audience"))) {
      page.route(asked, route -> route.fulfill(new Route.FulfillOptions().setStatus(500)));
      page.navigate(home + "/mailings/" + mailing);
      Locator who = page.getByRole(AriaRole.REGION, named("Who"));
      assertThat(who.getByRole(AriaRole.ALERT)).isVisible();
      assertThat(who).not().containsText("Looking at everyone");
      page.unroute(asked);
      who.getByText("Look again").click();
      assertThat(who).containsText("Ann Faulty");
    }
  }

  private String stateOf(long cause) {
    return sql.sql("select state from cause where id = ?")
        .param(cause)
        .query(String.class)
        .single();
  }

  private void begin(Fault fault) {
    Consumer<Route> does = fault == Fault.SESSION_OVER ? sessionOver() : fault.does;
    page.route(
        CHANGES,
        route -> {
          if (route.request().method().equals("GET")) {
            route.resume();
          } else {
            does.accept(route);
          }
        });
  }

  /**
   * The session ends as the first change is sent, not before: what the screen asks by itself would
   * be refused, and ask for the password before anything is done.
   */
  private Consumer<Route> sessionOver() {
    AtomicBoolean over = new AtomicBoolean();
    return route -> {
      if (over.compareAndSet(false, true)) {
        sql.sql("delete from spring_session").update();
      }
      route.resume();
    };
  }
}
