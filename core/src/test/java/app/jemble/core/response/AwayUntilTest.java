package app.jemble.core.response;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Made-up automatic replies, in the forms that mail programs offer their writers. */
public class AwayUntilTest {

  private static final LocalDate RECEIVED = LocalDate.of(2026, 3, 27);

  @DataProvider
  public Object[][] replies() {
    return new Object[][] {
      {"I am out of the office until 2 April and will answer then.", "2026-04-02"},
      {"I am away till Thursday, 2nd April 2026.", "2026-04-02"},
      {"I will be back on 3 April.", "2026-04-02"},
      {"Returning to the office on April 7, 2026.", "2026-04-06"},
      {"Out through 2026-04-10", "2026-04-10"},
      {"On holiday from 20/03/2026 until 05/04/2026", "2026-04-05"},
      {"I'm away until the 31st of March", "2026-03-31"},
      {"Ich bin bis einschließlich 10. April nicht im Haus.", "2026-04-10"},
      {"Ich bin bis zum 12.05.2026 abwesend.", "2026-05-12"},
      {"Ab dem 4. Mai bin ich wieder für Sie da.", "2026-05-03"},
      {"Je suis absente jusqu’au 6 avril.", "2026-04-06"},
      {"Estoy fuera hasta el 8 de abril de 2026.", "2026-04-08"},
      {"Ik ben afwezig t/m 9 april.", "2026-04-09"},
      // The turn of the year, and a line that breaks in the middle.
      {"away until\r\n 5 January", "2027-01-05"},
      // Nothing that is plain: not guessed.
      {"I am away until Monday week.", null},
      {"I was away until 2 March 2026.", null},
      {"Away until 31 February", null},
      {"We moved in 1998 and stay until 2 May 2031.", null},
      {"Call me back on 07700 900123.", null},
      {"", null},
    };
  }

  @Test(dataProvider = "replies")
  public void theLastDayAway(String text, String day) {
    assertThat(AwayUntil.in(text, RECEIVED).map(LocalDate::toString).orElse(null)).isEqualTo(day);
  }

  /** A pattern must not run in circles on what somebody makes up. */
  @Test(timeOut = 5000)
  public void longTextsCostLittle() {
    assertThat(AwayUntil.in("until ".repeat(50_000) + "aaaa ".repeat(50_000), RECEIVED)).isEmpty();
    assertThat(AwayUntil.in("until " + "x".repeat(200_000), RECEIVED)).isEmpty();
  }
}
