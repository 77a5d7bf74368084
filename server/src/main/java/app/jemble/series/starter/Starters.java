package app.jemble.series.starter;

import app.jemble.problem.Problem;
import app.jemble.series.SeriesService;
import app.jemble.series.StepEditing;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.ObjectMapper;

/** The series to begin from, and a series begun from one. */
@Service
public class Starters {

  private static final List<String> KEYS =
      List.of("welcome", "renewal", "asked-back", "quote", "course", "learning");

  private final List<Starter> all;
  private final SeriesService series;
  private final StepEditing steps;

  Starters(ObjectMapper json, SeriesService series, StepEditing steps) {
    this.all = KEYS.stream().map(key -> read(key, json)).toList();
    this.series = series;
    this.steps = steps;
  }

  private static Starter read(String key, ObjectMapper json) {
    try (InputStream file = new ClassPathResource("starters/" + key + ".json").getInputStream()) {
      return json.readValue(file, Starter.class);
    } catch (IOException missing) {
      throw new UncheckedIOException(missing);
    }
  }

  List<Starter> all() {
    return all;
  }

  public Starter find(String key) {
    return all.stream()
        .filter(s -> s.key().equals(key))
        .findFirst()
        .orElseThrow(() -> Problem.wrong("starter", "There is no such series to begin from."));
  }

  /** Begins a series with the steps of a starter; answers its id. */
  @Transactional
  public long begin(String key, String name, long topicId) {
    Starter starter = find(key);
    long id = series.create(name, topicId, starter.ownClock());
    starter.steps().forEach(step -> steps.add(id, step.body(), null, false));
    return id;
  }
}
