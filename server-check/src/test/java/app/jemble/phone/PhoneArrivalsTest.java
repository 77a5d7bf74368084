package app.jemble.phone;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.ServerTest;
import app.jemble.carrier.text.TextArrivals;
import app.jemble.carrier.text.TextArrivals.Answer;
import app.jemble.carrier.text.TextArrivals.Place;
import java.time.Duration;
import java.util.List;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** What people write is kept once, however often and however late the network gives it again. */
public class PhoneArrivalsTest extends ServerTest {

  private static final Place ALONE = new Place(0, 1, 1);

  private int people;
  private String sender;

  @BeforeMethod
  public void somebodyElse() {
    people++;
    sender = "+44770090012" + people;
  }

  private void comes(String words, Place place) {
    TextArrivals arrivals = application.getBean(TextArrivals.class);
    arrivals.take(new Answer(sender, "447700900000", words, place));
  }

  private List<String> kept() {
    return sql.sql("select words from text_arrival where sender = ? order by id")
        .param(sender)
        .query(String.class)
        .list();
  }

  @Test
  public void aPartOfALongTextIsKnownByItsReferenceForADay() {
    comes("Yes, ", new Place(7, 1, 2));
    comes("please", new Place(7, 2, 2));
    clock.advance(Duration.ofHours(3));
    comes("Yes, ", new Place(7, 1, 2));
    comes("please", new Place(7, 2, 2));
    assertThat(kept()).containsExactly("Yes, ", "please");
    comes("Yes, ", new Place(8, 1, 2));
    assertThat(kept()).as("another text").hasSize(3);
    clock.advance(Duration.ofHours(24));
    comes("please", new Place(7, 2, 2));
    assertThat(kept()).as("a day later").hasSize(4);
  }

  @Test
  public void theSameShortWordsAreOneTextForSomeMinutes() {
    comes("Yes", ALONE);
    clock.advance(Duration.ofMinutes(4));
    comes("Yes", ALONE);
    assertThat(kept()).containsExactly("Yes");
    clock.advance(Duration.ofMinutes(4));
    comes("Yes", ALONE);
    assertThat(kept()).as("eight minutes after the first").hasSize(2);
  }

  @Test
  public void whoTurnsBackIsHeard() {
    comes("Yes", ALONE);
    comes("No", ALONE);
    comes("Yes", ALONE);
    assertThat(kept()).containsExactly("Yes", "No", "Yes");
  }
}
