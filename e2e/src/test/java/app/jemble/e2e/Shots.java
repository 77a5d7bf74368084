package app.jemble.e2e;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.file.Path;
import org.testng.annotations.Test;

/** Takes the pictures of docs/screenshots from the demo's data; run by ./jemble shots. */
public class Shots extends BrowserTest {

  private static final int SETTLE_MILLIS = 1800;

  @Override
  protected int people() {
    return 1500;
  }

  @Test
  public void takeAll() {
    page.navigate(home + "/sign-in");
    shoot("sign-in");
    signIn("orla");
    shoot("desk");
    page.navigate(home + "/people");
    page.waitForTimeout(SETTLE_MILLIS);
    filterPeople();
    shoot("people");
    page.navigate(home + "/templates/1");
    shoot("template");
    page.navigate(home + "/mailings/" + id("Spring slipway reminder"));
    page.waitForTimeout(SETTLE_MILLIS);
    page.keyboard().press("j");
    shoot("mailing-bench");
    page.navigate(home + "/outbox");
    shoot("outbox");
    page.navigate(home + "/responses/" + id("Course places, autumn"));
    shoot("responses");
    dark();
    narrow();
  }

  private void filterPeople() {
    page.getByText("+ whose").click();
    page.keyboard().type("last visit");
    page.keyboard().press("Enter");
    page.locator("[role=dialog] input[type=date]").fill("2026-05-01");
    page.keyboard().press("Enter");
    page.getByText("+ and").click();
    page.keyboard().type("plan");
    page.keyboard().press("Enter");
    page.getByLabel("Oar").check();
    page.getByLabel("Sail").check();
    page.getByText("Done").click();
    page.waitForTimeout(SETTLE_MILLIS);
    page.locator("tbody tr").nth(3).click();
    page.keyboard().press("x");
    page.keyboard().press("j");
    page.keyboard().press("j");
    page.keyboard().press("x");
  }

  private void dark() {
    page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.DARK));
    page.navigate(home + "/desk");
    shoot("desk-dark");
    page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.LIGHT));
  }

  private void narrow() {
    page.setViewportSize(390, 844);
    page.navigate(home + "/people");
    shoot("people-phone");
  }

  private long id(String mailing) {
    return sql.sql("select id from mailing where name = ?")
        .param(mailing)
        .query(Long.class)
        .single();
  }

  private void shoot(String name) {
    page.waitForTimeout(SETTLE_MILLIS);
    page.screenshot(
        new Page.ScreenshotOptions()
            .setPath(Path.of(System.getProperty("jemble.shots"), name + ".png")));
  }
}
