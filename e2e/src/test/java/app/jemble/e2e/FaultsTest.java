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

  /** A place where people type. */
  private enum Place {
    WRITING,
    OWN_WORDING,
    PLAN,
    RULE,
    TEMPLATE,
    LETTERHEAD,
    PERSON
  }

  /** Everything that changes something; what is read goes through. */
  private static final Pattern CHANGES = Pattern.compile("/api/(?!live|session|typed|mends).*");

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
    if (page.getByLabel("Login").isVisible()) {
      signIn("orla");
    }
  }

  @DataProvider
  public Object[][] faults() {
    List<Object[]> all = new ArrayList<>();
    for (Place place : Place.values()) {
      for (Fault fault : Fault.values()) {
        all.add(new Object[] {place, fault});
      }
    }
    return all.toArray(Object[][]::new);
  }

  @Test(dataProvider = "faults")
  public void nothingTypedIsLost(Place place, Fault fault) {
    String words = "Typed " + typed;
    go(place);
    begin(place, words);
    begin(fault);
    send(place, words);
    if (fault == Fault.SESSION_OVER) {
      Locator dialog = page.getByRole(AriaRole.DIALOG, named("Sign in and go on"));
      assertThat(dialog).isVisible();
      page.keyboard().type("lowen-quay");
      press("Enter");
      assertThat(dialog).isHidden();
    } else {
      assertThat(
              page.getByText(Pattern.compile("cannot be reached|went wrong|did not answer"))
                  .first())
          .isVisible();
      page.unroute(CHANGES);
    }
    assertStillThere(place, words);
    again(place);
    Eventually.holds(() -> assertThat(stored(place)).contains(words));
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
        assertThat(page.getByRole(AriaRole.DIALOG, named("Sign in and go on"))).isVisible();
        page.keyboard().type("lowen-quay");
        press("Enter");
        assertThat(page.getByRole(AriaRole.DIALOG, named("Sign in and go on"))).isHidden();
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

  private String stateOf(long cause) {
    return sql.sql("select state from cause where id = ?")
        .param(cause)
        .query(String.class)
        .single();
  }

  private void begin(Fault fault) {
    if (fault == Fault.SESSION_OVER) {
      sql.sql("delete from spring_session").update();
      return;
    }
    page.route(
        CHANGES,
        route -> {
          if (route.request().method().equals("GET")) {
            route.resume();
          } else {
            fault.does.accept(route);
          }
        });
  }

  private void go(Place place) {
    // A mailing has five rules at most.
    sql.sql("delete from follow_rule where mailing_id = ?").param(mailing).update();
    switch (place) {
      case WRITING, OWN_WORDING, PLAN, RULE -> page.navigate(home + "/mailings/" + mailing);
      case TEMPLATE -> page.navigate(home + "/templates/" + id("template"));
      case LETTERHEAD -> page.navigate(home + "/letterheads/" + id("letterhead"));
      default -> page.navigate(home + "/people/" + id("person"));
    }
    switch (place) {
      case WRITING, OWN_WORDING, PLAN, RULE ->
          assertThat(page.getByText(Pattern.compile("^Proof 1 of"))).isVisible();
      case PERSON -> assertThat(firstName()).isVisible();
      default -> assertThat(box(place)).isVisible();
    }
    if (place == Place.OWN_WORDING) {
      page.getByText(Pattern.compile("^(Change it for Ann only|Own wording for Ann only)$"))
          .click();
      assertThat(page.getByText("For Ann Faulty alone.")).isVisible();
    }
  }

  private long id(String table) {
    return sql.sql("select min(id) from " + table).query(Long.class).single();
  }

  private void begin(Place place, String words) {
    switch (place) {
      case WRITING, OWN_WORDING -> page.getByRole(AriaRole.TEXTBOX, named("Subject")).click();
      case PLAN -> {
        page.getByRole(AriaRole.BUTTON, named(Pattern.compile("change the plan by typing it$")))
            .click();
        plan().fill(typed + " every hour");
      }
      case RULE -> {
        button("Add a rule").click();
        page.getByLabel("What is done").selectOption("TASK");
        page.getByLabel("What is to be done").fill(words);
      }
      case PERSON -> {
        firstName().click();
        box(place).fill(words);
      }
      default -> box(place).fill(words);
    }
  }

  private void send(Place place, String words) {
    switch (place) {
      case WRITING, OWN_WORDING -> {
        press("Control+a");
        page.keyboard().type(words);
      }
      case PLAN -> plan().press("Enter");
      case RULE -> button("Add the rule").click();
      case PERSON -> box(place).press("Enter");
      default -> save().click();
    }
  }

  private Locator plan() {
    return page.getByLabel("The plan as a sentence");
  }

  private Locator firstName() {
    return page.getByRole(AriaRole.BUTTON, named(Pattern.compile("^First name: .* Change$")));
  }

  private Locator save() {
    return page.getByRole(AriaRole.BUTTON, named("Save"));
  }

  private Locator box(Place place) {
    return page.getByLabel(
        switch (place) {
          case TEMPLATE -> "Name of the template";
          case LETTERHEAD -> "Name";
          default -> "First name";
        },
        new Page.GetByLabelOptions().setExact(true));
  }

  private void assertStillThere(Place place, String words) {
    switch (place) {
      case WRITING, OWN_WORDING ->
          assertThat(page.getByRole(AriaRole.TEXTBOX, named("Subject"))).hasText(words);
      case PLAN -> {
        if (plan().isVisible()) {
          assertThat(plan()).hasValue(typed + " every hour");
        } else {
          assertThat(page.getByText(typed + " every hour").first()).isVisible();
        }
      }
      case RULE -> assertThat(page.getByLabel("What is to be done")).hasValue(words);
      default -> assertThat(box(place)).hasValue(words);
    }
  }

  /** What saves itself is waited for; else the same button again. */
  private void again(Place place) {
    switch (place) {
      case RULE -> button("Add the rule").click();
      case TEMPLATE, LETTERHEAD -> save().click();
      case PERSON -> box(place).press("Enter");
      case PLAN -> {
        if (plan().isVisible()) {
          plan().press("Enter");
        }
      }
      default -> {}
    }
  }

  private String stored(Place place) {
    return sql.sql(
            switch (place) {
              case WRITING ->
                  "select subject from wording where id = (select wording_id from cause where id = "
                      + mailing
                      + ")";
              case OWN_WORDING -> "select max(subject) from own_wording";
              case PLAN ->
                  "select 'Typed ' || (plan ->> 'wavePeople') from send_plan where cause_id = "
                      + mailing;
              case RULE ->
                  "select coalesce(string_agg(cast(r.* as text), ' '), '') from follow_rule r";
              case TEMPLATE -> "select string_agg(name, ' ') from template";
              case LETTERHEAD -> "select string_agg(name, ' ') from letterhead";
              default -> "select string_agg(first_name, ' ') from person";
            })
        .query(String.class)
        .single();
  }
}
