package app.jemble.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Eventually;
import app.jemble.e2e.Typing.Place;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.Arrays;
import java.util.List;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** The same open twice: whoever saves second is told, keeps what they typed, and decides. */
public class TwoTabsTest extends BrowserTest {

  private long mailing;

  /** Of two figures, so that none is the beginning of another. */
  private int typed = 10;

  @Override
  protected int people() {
    return 60;
  }

  @BeforeClass(dependsOnMethods = "openBrowser")
  public void begin() {
    signIn("orla");
    api.signIn("orla", "lowen-quay");
    long person = addPerson("Ann", "Faulty", "ann@faulty.example");
    mailing = draft(List.of(person), "Of two tabs", "<p>Hello</p>");
  }

  @DataProvider
  public Object[][] places() {
    return Arrays.stream(Place.values()).map(p -> new Object[] {p}).toArray(Object[][]::new);
  }

  @Test(dataProvider = "places")
  public void nothingTypedIsLost(Place place) {
    String mine = "Typed " + ++typed;
    String theirs = "Typed " + ++typed;
    Page other = page.context().newPage();
    Typing here = new Typing(page, home, sql, mailing);
    Typing there = new Typing(other, home, sql, mailing);
    here.go(place);
    here.begin(place, mine);
    there.go(place);
    there.begin(place, theirs);
    there.send(place, theirs);
    Eventually.holds(() -> assertThat(there.stored(place)).contains(theirs));
    here.send(place, mine);
    if (place == Place.RULE) {
      // Nobody is in the way of the other: both stand.
      Eventually.holds(() -> assertThat(here.stored(place)).contains(mine, theirs));
    } else {
      theSecondDecides(here, place, mine);
    }
    other.close();
  }

  private void theSecondDecides(Typing here, Place place, String mine) {
    if (place == Place.PERSON) {
      assertThat(page.getByRole(AriaRole.DIALOG)).containsText("changed first name meanwhile");
      assertThat(page.getByRole(AriaRole.DIALOG)).containsText(mine);
      button("Put mine over it").click();
    } else {
      assertThat(page.getByText("in the meantime").first()).isVisible();
      here.assertStillThere(place, mine);
      assertThat(here.stored(place)).doesNotContain(mine);
      button("Keep mine").first().click();
    }
    Eventually.holds(() -> assertThat(here.stored(place)).contains(mine));
  }
}
