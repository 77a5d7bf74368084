package app.jemble.e2e;

import app.jemble.standins.NameServer;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.List;
import org.testng.annotations.AfterClass;
import org.testng.annotations.Test;

/** Takes the picture of a house that is set up; run by ./jemble shots. */
public class ShotsOfNewHouse extends BrowserTest {

  private static final String PASSWORD = "green stair 7";
  private static final int SETTLE_MILLIS = 1500;

  private NameServer names;

  @Override
  protected List<String> mailSettings() {
    return List.of();
  }

  @Override
  protected List<String> moreSettings() {
    names = new NameServer(0);
    names.sendMailTo("choir.example", "mail.choir.example");
    names.say("choir.example", "v=spf1 mx -all");
    return List.of("--jemble.name-servers=127.0.0.1:" + names.port());
  }

  @AfterClass(alwaysRun = true)
  public void closeNames() {
    names.close();
  }

  @Test
  public void shoots() {
    sql.sql("insert into first_start (token_hash, made_at) values (sha256('new'::bytea), now())")
        .update();
    sql.sql(
            """
            update workspace
            set name = 'Harbour Choir', postal_address = '2 Mole Street', return_domain = 'choir.example'
            """)
        .update();
    page.navigate(home + "/first-start#new");
    page.getByLabel("Your name").fill("Mara Penrose");
    page.getByLabel("Your e-mail").fill("mara@choir.example");
    page.getByLabel("New password").fill(PASSWORD);
    press("Enter");
    page.waitForURL("**/settings/set-up");
    page.navigate(home + "/settings/mail");
    page.getByLabel("Host").first().fill("127.0.0.1");
    page.getByLabel("Protection").first().selectOption("NONE");
    page.getByLabel("Port").first().fill(Integer.toString(office.smtpPort()));
    button("Save and test").first().click();
    page.getByText("All is well").first().waitFor();
    button("Look them up").click();
    page.getByRole(AriaRole.LISTITEM).filter().getByText("SPF").first().waitFor();
    page.waitForTimeout(SETTLE_MILLIS);
    page.screenshot(
        new Page.ScreenshotOptions()
            .setPath(Path.of(System.getProperty("jemble.shots")).resolve("set-up.png")));
  }
}
