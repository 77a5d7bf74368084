package app.jemble.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.springframework.jdbc.core.simple.JdbcClient;

/**
 * Typing at each place where people type: going there, beginning, sending, and what stands then.
 */
class Typing {

  /** A place where people type. */
  enum Place {
    WRITING,
    OWN_WORDING,
    PLAN,
    RULE,
    TEMPLATE,
    LETTERHEAD,
    PERSON
  }

  private final Page page;
  private final String home;
  private final JdbcClient sql;
  private final long mailing;

  /**
   * @param mailing a draft to one person called Ann Faulty
   */
  Typing(Page page, String home, JdbcClient sql, long mailing) {
    this.page = page;
    this.home = home;
    this.sql = sql;
    this.mailing = mailing;
  }

  void go(Place place) {
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

  void begin(Place place, String words) {
    switch (place) {
      case WRITING, OWN_WORDING ->
          page.getByRole(AriaRole.TEXTBOX, BrowserTest.named("Subject")).click();
      case PLAN -> {
        page.getByRole(
                AriaRole.BUTTON,
                BrowserTest.named(Pattern.compile("change the plan by typing it$")))
            .click();
        plan().fill(planOf(words));
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

  void send(Place place, String words) {
    switch (place) {
      case WRITING, OWN_WORDING -> {
        page.keyboard().press("Control+a");
        page.keyboard().type(words);
      }
      case PLAN -> plan().press("Enter");
      case RULE -> button("Add the rule").click();
      case PERSON -> box(place).press("Enter");
      default -> save().click();
    }
  }

  /** A plan has no words of its own; the number tells one from another. */
  private static String planOf(String words) {
    return words.replaceAll("\\D", "") + " every hour";
  }

  private Locator button(String name) {
    return page.getByRole(AriaRole.BUTTON, BrowserTest.named(name));
  }

  private Locator plan() {
    return page.getByLabel("The plan as a sentence");
  }

  private Locator firstName() {
    return page.getByRole(
        AriaRole.BUTTON, BrowserTest.named(Pattern.compile("^First name: .* Change$")));
  }

  private Locator save() {
    return page.getByRole(AriaRole.BUTTON, BrowserTest.named("Save"));
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

  void assertStillThere(Place place, String words) {
    switch (place) {
      case WRITING, OWN_WORDING ->
          assertThat(page.getByRole(AriaRole.TEXTBOX, BrowserTest.named("Subject"))).hasText(words);
      case PLAN -> {
        if (plan().isVisible()) {
          assertThat(plan()).hasValue(planOf(words));
        } else {
          assertThat(page.getByText(planOf(words)).first()).isVisible();
        }
      }
      case RULE -> assertThat(page.getByLabel("What is to be done")).hasValue(words);
      default -> assertThat(box(place)).hasValue(words);
    }
  }

  /** What saves itself is waited for; else the same button again. */
  void again(Place place) {
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

  String stored(Place place) {
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
