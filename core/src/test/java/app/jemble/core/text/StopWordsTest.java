package app.jemble.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.testng.annotations.Test;

/** Which answers ask to be sent no more texts. */
public class StopWordsTest {

  private final StopWords words = StopWords.with(List.of("arrêt", " "));

  @Test
  public void aStopWordThatIsTheWholeAnswerIsOneInAnyCase() {
    for (String answer : List.of("STOP", "stop", " Stop. ", "\"stop\"", "Unsubscribe!", "ARRÊT")) {
      assertThat(words.asksToStop(answer)).as(answer).isTrue();
    }
  }

  @Test
  public void whatOnlyHoldsOneIsAReply() {
    for (String answer : List.of("", "Stop by at nine?", "the end", "don't stop", "STOPP")) {
      assertThat(words.asksToStop(answer)).as(answer).isFalse();
    }
  }
}
