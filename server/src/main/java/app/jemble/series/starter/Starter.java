package app.jemble.series.starter;

import app.jemble.core.message.BlankLetter;
import app.jemble.core.series.Wait;
import app.jemble.series.StepBody;
import java.time.LocalTime;
import java.util.List;
import java.util.stream.Collectors;

/**
 * A series to begin from.
 *
 * @param key names it among all
 * @param about what it is for, in a sentence
 */
public record Starter(String key, String name, String about, boolean ownClock, List<Step> steps) {

  /**
   * @param waitAt the time of day, or null
   * @param paragraphs what it says between greeting and signature, each as HTML
   */
  public record Step(
      int waitCount,
      Wait.Unit waitUnit,
      LocalTime waitAt,
      boolean inThread,
      String subject,
      List<String> paragraphs) {

    /** As a step of a series begins. */
    public StepBody body() {
      String text = paragraphs.stream().map(p -> "<p>" + p + "</p>").collect(Collectors.joining());
      return new StepBody(
          waitCount,
          waitUnit,
          waitAt,
          inThread,
          List.of(),
          subject,
          BlankLetter.BODY.replace("<p></p>", text),
          null,
          false,
          null);
    }

    public Wait waits() {
      return new Wait(waitCount, waitUnit, waitAt);
    }
  }
}
