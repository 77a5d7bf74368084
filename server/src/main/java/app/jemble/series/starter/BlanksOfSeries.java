package app.jemble.series.starter;

import app.jemble.core.merge.Blanks;
import app.jemble.core.message.MailWording;
import app.jemble.problem.Problem;
import app.jemble.series.OpenSeries;
import app.jemble.series.StepEditing;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The blanks of a series' texts: each is filled once, wherever it stands. */
@Service
class BlanksOfSeries {

  private static final int MOST_CHARACTERS = 1000;

  private final OpenSeries open;
  private final StepEditing steps;

  BlanksOfSeries(OpenSeries open, StepEditing steps) {
    this.open = open;
    this.steps = steps;
  }

  /** Those left, brackets included, in the order in which they stand. */
  List<String> of(long seriesId) {
    open.find(seriesId);
    Set<String> blanks = new LinkedHashSet<>();
    steps
        .wordings(seriesId)
        .values()
        .forEach(
            words ->
                Stream.of(words.subject(), words.body())
                    .flatMap(text -> Blanks.in(text).stream())
                    .forEach(blanks::add));
    return List.copyOf(blanks);
  }

  /** Fills them in all steps; what is empty stays a blank. */
  @Transactional
  void fill(long seriesId, Map<String, String> typed) {
    Map<String, String> values =
        typed.entrySet().stream()
            .filter(e -> e.getValue() != null && !e.getValue().isBlank())
            .collect(Collectors.toMap(Map.Entry::getKey, e -> sound(e.getValue())));
    Map<Long, MailWording> wordings = steps.wordings(seriesId);
    wordings.forEach(
        (step, words) -> {
          String subject = Blanks.fill(words.subject(), values);
          String body = Blanks.fillHtml(words.body(), values);
          if (!subject.equals(words.subject()) || !body.equals(words.body())) {
            steps.say(seriesId, step, subject, body);
          }
        });
  }

  private static String sound(String value) {
    if (value.length() > MOST_CHARACTERS) {
      throw Problem.wrong("blanks", "A blank is filled with at most 1,000 characters.");
    }
    return value.strip().replaceAll("\\s+", " ");
  }
}
