package app.jemble.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.e2e.Find.Condition;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Everybody that practitioners look for is found, by mouse and by keyboard alone. */
public class FindingTest extends BrowserTest {

  /** So many rows are drawn at least, whatever the size of the window. */
  private static final int ALWAYS_DRAWN = 20;

  @Override
  protected int people() {
    return 1500;
  }

  @BeforeClass(dependsOnMethods = "openBrowser")
  public void open() {
    happenToday();
    signIn("orla");
    page.navigate(home + "/people");
    assertThat(filter()).isVisible();
  }

  /** On whatever day the tests run: a quote of two contacts, a task, and a member last month. */
  private void happenToday() {
    sql.sql(
            """
            update quote set sent_on = :today, stage = 'open'
            where id in (
              select min(q.id) from quote q
              join person p on p.id = q.person_id
              where p.kind = 'contact'
              group by p.id
              order by p.id
              limit 2)
            """)
        .param("today", today())
        .update();
    sql.sql(
            """
            update task set due_on = :today, done_at = null
            where id = (select min(id) from task where person_id is not null)
            """)
        .param("today", today())
        .update();
    sql.sql(
            """
            update membership set joined_on = :day
            where person_id = (select min(id) from person where kind = 'member')
            """)
        .param("day", today().minusMonths(1).withDayOfMonth(10))
        .update();
  }

  @DataProvider
  public Object[][] finds() {
    return Find.ALL.stream().map(f -> new Object[] {f}).toArray(Object[][]::new);
  }

  private Locator filter() {
    return page.getByRole(AriaRole.GROUP, named("Filter"));
  }

  private Locator dialog() {
    return page.getByRole(AriaRole.DIALOG);
  }

  private LocalDate today() {
    return LocalDate.ofInstant(clock.instant(), ZoneId.of("Europe/London"));
  }

  private void assertFinds(Find find) {
    long expected =
        sql.sql(
                "select count(*) from person p left join membership m on m.person_id = p.id where "
                    + find.where())
            .param("today", today())
            .query(Long.class)
            .single();
    assertThat(expected).as(find.name()).isPositive();
    Locator all =
        page.getByRole(AriaRole.GROUP, named(Pattern.compile("People who match.*")))
            .getByRole(AriaRole.BUTTON)
            .last();
    assertThat(all)
        .hasText(Pattern.compile("^" + String.format(Locale.ROOT, "%,d", expected) + "\\s.*"));
    int loaded = (int) Math.min(expected, 100);
    assertThat(page.locator("table")).hasAttribute("aria-rowcount", String.valueOf(loaded + 1));
    if (loaded <= ALWAYS_DRAWN) {
      assertThat(rows()).hasCount(loaded);
    }
  }

  @Test(dataProvider = "finds")
  public void byMouse(Find find) {
    clear();
    if (find.kind() != null) {
      filter().getByText("people ▾").click();
      dialog().getByLabel(find.kind()).check();
      press("Escape");
    }
    if (find.related() != null) {
      addByMouse(find.related());
    }
    for (int i = 0; i < find.conditions().size(); i++) {
      Condition condition = find.conditions().get(i);
      if (find.related() == null || i > 0) {
        adder(find).click();
      }
      chooseByMouse(condition.field());
      fillByMouse(condition);
      done();
    }
    assertFinds(find);
    assertNoComplaints();
  }

  private void done() {
    dialog().locator("button[type=submit]").click();
  }

  private void clear() {
    Locator clear = filter().getByText("Clear");
    if (clear.count() > 0) {
      clear.click();
    }
    assertThat(filter().getByText("people ▾")).isVisible();
  }

  private void addByMouse(String what) {
    filter().locator("[data-add-condition]").last().click();
    chooseByMouse(what);
  }

  /** The place where the next condition is put: of what they have, else of the people. */
  private Locator adder(Find find) {
    Locator adders = filter().locator("[data-add-condition]");
    return find.related() == null ? adders.last() : adders.first();
  }

  private void chooseByMouse(String words) {
    dialog()
        .getByRole(AriaRole.LIST)
        .getByText(words, new Locator.GetByTextOptions().setExact(true))
        .click();
  }

  private void fillByMouse(Condition condition) {
    if (condition.operator() != null) {
      dialog()
          .getByLabel("How " + condition.field() + " is compared")
          .selectOption(new SelectOption().setLabel(condition.operator()));
    }
    for (String value : condition.values()) {
      Locator box = dialog().getByLabel(value, new Locator.GetByLabelOptions().setExact(true));
      Locator choice = dialog().getByRole(AriaRole.COMBOBOX).last();
      if (box.count() > 0 || isOneOfMany(condition)) {
        box.check();
      } else if (dialog().getByRole(AriaRole.COMBOBOX).count() > 1) {
        choice.selectOption(new SelectOption().setLabel(value));
      } else {
        dialog().locator("input").last().fill(value);
      }
    }
  }

  private static boolean isOneOfMany(Condition condition) {
    return List.of("Stage", "Mailing").contains(condition.field());
  }

  @Test(dataProvider = "finds", dependsOnMethods = "byMouse", alwaysRun = true)
  public void byKeyboard(Find find) {
    clear();
    page.locator("body").click(new Locator.ClickOptions().setPosition(2, 400));
    if (find.kind() != null) {
      kindByKeyboard(find.kind());
    }
    if (find.related() != null) {
      press("+");
      page.keyboard().type(find.related());
      press("Enter");
    }
    for (int i = 0; i < find.conditions().size(); i++) {
      Condition condition = find.conditions().get(i);
      if (find.related() == null) {
        press("+");
      } else if (i > 0) {
        press("Tab", "Enter");
      }
      page.keyboard().type(condition.field());
      press("Enter");
      fillByKeyboard(condition);
      // Enter in a select opens it; Escape leaves the condition as it is.
      press(focusIs("select") ? "Escape" : "Enter");
    }
    assertFinds(find);
    assertNoComplaints();
  }

  @Test(dataProvider = "finds", dependsOnMethods = "byKeyboard", alwaysRun = true)
  public void byTyping(Find find) {
    clear();
    seek(find.typed());
    assertThat(page.getByText("not understood")).not().isVisible();
    assertFinds(find);
    assertNoComplaints();
  }

  @Test(dependsOnMethods = "byTyping", alwaysRun = true)
  public void whatIsNotUnderstoodIsSaidAndEscapeTakesItBack() {
    clear();
    press("f");
    page.keyboard().type("members wibble plan sail");
    assertThat(page.getByText("not understood: “wibble”")).isVisible();
    assertThat(filter().getByText("members ▾")).isVisible();
    press("Escape");
    assertThat(filter().getByText("people ▾")).isVisible();
    press("Escape");
    assertThat(page.getByRole(AriaRole.REGION, named("People"))).isFocused();
  }

  @Test(dependsOnMethods = "whatIsNotUnderstoodIsSaidAndEscapeTakesItBack", alwaysRun = true)
  public void whatIsShownStandsInTheAddress() {
    clear();
    seek("members plan sail");
    press("ArrowDown", "Space");
    assertThat(page.getByText("1 picked")).isVisible();
    String address = page.url();
    page.reload();
    assertThat(filter().getByText("members ▾")).isVisible();
    assertThat(page.getByText("1 picked")).isVisible();
    rows().first().dblclick();
    page.waitForURL(Pattern.compile(".*/people/\\d+"));
    page.goBack();
    page.waitForURL(address);
    assertThat(filter().getByText("plan")).isVisible();
    assertThat(page.getByText("1 picked")).isVisible();
  }

  /** From the place for a new condition back to the kinds, and the right one ticked. */
  private void kindByKeyboard(String kind) {
    press("+", "Escape", "Shift+Tab", "Enter");
    for (int i = List.of("members", "leads", "contacts").indexOf(kind); i > 0; i--) {
      press("Tab");
    }
    press("Space", "Escape");
  }

  private void fillByKeyboard(Condition condition) {
    assertThat(dialog()).isVisible();
    if (condition.operator() != null) {
      goBackTo("select[aria-label^=How]");
      chooseInSelect(condition.operator());
    }
    for (String value : condition.values()) {
      valueByKeyboard(value);
    }
  }

  private void goBackTo(String selector) {
    for (int tabs = 0; !focusIs(selector); tabs++) {
      assertThat(tabs).as("tabs back to " + selector).isLessThan(60);
      press("Shift+Tab");
    }
  }

  private void valueByKeyboard(String value) {
    if (dialog().locator("input[type=checkbox]").count() > 0 || isLoading()) {
      assertThat(dialog().getByText(value).first()).isVisible();
      tabTo("input[type=checkbox]", value);
      press("Space");
    } else if (dialog().getByRole(AriaRole.COMBOBOX).count() > 1) {
      tabTo("select:not([aria-label^=How])", null);
      chooseInSelect(value);
    } else {
      tabTo("input", null);
      page.keyboard().type(value);
    }
  }

  private boolean isLoading() {
    return dialog().getByText("Looking…").count() > 0
        || dialog().getByText("No mailing has gone out yet.").count() > 0;
  }

  /** Goes forward until such an element has the focus; with words, one that stands beside them. */
  private void tabTo(String selector, String words) {
    for (int i = 0; i < 40; i++) {
      if (focusIs(selector) && (words == null || words.equals(wordsAtFocus()))) {
        return;
      }
      press("Tab");
    }
    throw new AssertionError("the keyboard does not reach " + selector + " " + words);
  }

  private String wordsAtFocus() {
    return (String)
        page.evaluate("document.activeElement.closest('label')?.innerText.trim() ?? ''");
  }

  private boolean focusIs(String selector) {
    return (Boolean) page.evaluate("s => document.activeElement.matches(s)", selector);
  }

  /** Arrow keys go through the choices of a select that has the focus. */
  private void chooseInSelect(String label) {
    int steps =
        ((Number)
                page.evaluate(
                    "l => [...document.activeElement.options].findIndex(o => o.label === l)"
                        + " - document.activeElement.selectedIndex",
                    label))
            .intValue();
    for (int i = 0; i < Math.abs(steps); i++) {
      press(steps > 0 ? "ArrowDown" : "ArrowUp");
    }
  }

  @Test(dependsOnMethods = "byKeyboard", alwaysRun = true)
  public void groupsAreNestedAndTheWholeIsKept() {
    clear();
    addByMouse("Plan");
    dialog().getByLabel("Oar").check();
    done();
    addByMouse("a group in brackets");
    Locator inner = filter().locator(".border-dashed");
    for (String plan : List.of("Sail", "Family")) {
      inner.locator("[data-add-condition]").click();
      chooseByMouse("Plan");
      dialog().getByLabel(plan).check();
      done();
    }
    assertThat(inner).containsText(Pattern.compile("Sail\\s+or\\s+.*Family", Pattern.DOTALL));
    // Oar, and (Sail or Family): nobody has two plans. With "or" before the brackets, many.
    assertThat(page.getByText("Nobody matches.")).isVisible();
    filter().locator("button[aria-label^='and:']").click();
    long many =
        sql.sql("select count(*) from membership where plan in ('Oar', 'Sail', 'Family')")
            .query(Long.class)
            .single();
    assertThat(page.getByText(String.format(Locale.ROOT, "all %,d", many))).isVisible();
    button("Keep this filter").click();
    dialog().getByLabel("Name").fill("On the water");
    press("Enter");
    assertThat(button("On the water ▾")).isVisible();
    clear();
    button("Kept filters ▾").click();
    dialog().getByText("On the water").click();
    assertThat(page.getByText(String.format(Locale.ROOT, "all %,d", many))).isVisible();
    assertAccessible("a filter of groups");
    assertNoComplaints();
  }

  @Test(dependsOnMethods = "groupsAreNestedAndTheWholeIsKept", alwaysRun = true)
  public void thisWeeksQuotesLeadToTheirPeople() {
    page.navigate(home + "/quotes");
    page.getByText("+ whose").click();
    chooseByMouse("Sent");
    dialog()
        .getByLabel("How Sent is compared")
        .selectOption(new SelectOption().setLabel("is today, this week …"));
    done();
    long quotes =
        sql.sql(
                "select count(*) from quote where sent_on >= date_trunc('week', cast(:today as date))")
            .param("today", today())
            .query(Long.class)
            .single();
    assertThat(page.getByText("take all " + quotes)).isVisible();
    rows().first().click();
    press("Space", "ArrowDown", "Space");
    assertThat(page.getByText("2 picked")).isVisible();
    button("Their people").click();
    page.waitForURL("**/people**");
    assertThat(page.getByText("2 picked")).isVisible();
    assertThat(filter()).containsText("have a quote");
    assertNoComplaints();
  }
}
