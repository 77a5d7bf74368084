package app.jemble.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import java.sql.Timestamp;
import java.time.Duration;
import org.testng.annotations.Test;

/** A house that was made of a backup says so on every screen, until somebody lets it go on. */
public class RestoredTest extends BrowserTest {

  @Override
  protected int people() {
    return 10;
  }

  private Locator band() {
    return page.getByRole(AriaRole.COMPLEMENTARY, named("Made of a backup"));
  }

  @Test
  public void aReaderIsToldThatNothingLeaves() {
    sql.sql(
            """
            insert into restored (id, made_at, restored_at, seen_at)
            values (1, now() - interval '1 day', now(), ?)
            """)
        .param(Timestamp.from(clock.instant()))
        .update();
    signIn("reed");
    assertThat(band()).containsText("Nothing leaves.");
    assertThat(band()).containsText("Ask Wilma Gorse");
    assertThat(button("It goes on here…")).hasCount(0);
  }

  @Test(dependsOnMethods = "aReaderIsToldThatNothingLeaves")
  public void anAdministratorLetsItGoOn() {
    page.context().clearCookies();
    signIn("wilma");
    assertThat(band()).containsText("catch up first");
    assertAccessible("made of a backup");
    clock.advance(Duration.ofMinutes(2));
    button("It goes on here…").click();
    assertThat(page.getByRole(AriaRole.DIALOG)).containsText("stop it first");
    assertAccessible("letting it go on");
    button("The other is stopped: go on").click();
    assertThat(page.getByText("The house goes on").first()).isVisible();
    assertThat(band()).hasCount(0);
    assertThat(sql.sql("select lifted_at is not null from restored").query(Boolean.class).single())
        .isTrue();
    assertNoComplaints();
  }
}
