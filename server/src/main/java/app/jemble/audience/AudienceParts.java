package app.jemble.audience;

import app.jemble.core.filter.Filter;
import app.jemble.core.filter.FilterSentence;
import app.jemble.filter.FilterBody;
import app.jemble.workspace.WorkspaceService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.ObjectMapper;

/** The parts that an audience is made of, as they are stored: whoever is in any of them is in. */
@Component
public class AudienceParts {

  /**
   * One part.
   *
   * @param name the name of the kept filter or list it came from, or null
   */
  @Schema(name = "AudiencePart")
  public record Part(@Schema(nullable = true) String name, FilterBody filter) {}

  private final WorkspaceService workspace;
  private final ObjectMapper json;

  AudienceParts(WorkspaceService workspace, ObjectMapper json) {
    this.workspace = workspace;
    this.json = json;
  }

  public List<Part> read(String stored) {
    return json.readValue(stored, new TypeReference<List<Part>>() {});
  }

  /** The parts as they are stored; a problem at the first that is no filter. */
  public String write(List<Part> parts) {
    for (Part part : parts) {
      part.filter().toFilter(workspace.fields());
    }
    return json.writeValueAsString(parts);
  }

  /** The one filter that picks whoever is in any part; null when there is no part. */
  public FilterBody any(String stored) {
    List<FilterBody> filters = read(stored).stream().map(Part::filter).toList();
    if (filters.isEmpty()) {
      return null;
    }
    return filters.size() == 1
        ? filters.get(0)
        : new FilterBody(Filter.Match.ANY, List.of(), List.of(), filters);
  }

  /** A part in words: its name where it has one, else its sentence. */
  public String words(Part part) {
    return part.name() == null
        ? FilterSentence.of(part.filter().toFilter(workspace.fields()))
        : part.name();
  }

  /** The whole audience in words. */
  private String words(Audience audience) {
    List<String> words = new ArrayList<>();
    read(audience.parts()).forEach(part -> words.add(words(part)));
    int picks = audience.picks().length;
    if (picks > 0) {
      words.add(String.format(Locale.ROOT, "%,d picked by hand", picks));
    }
    return String.join(", and ", words);
  }

  /** The whole of an audience, as a screen shows it. */
  public AudienceView view(Audience audience) {
    return new AudienceView(
        audience.recordKind(),
        audience.recordIds().length,
        audience.recordEach(),
        words(audience),
        shown(audience.parts()),
        shown(audience.leftOutParts()),
        audience.pickedPeople(),
        List.of(audience.leftOut()));
  }

  private List<AudienceView.ShownPart> shown(String stored) {
    return read(stored).stream()
        .map(p -> new AudienceView.ShownPart(p.name(), p.filter(), words(p)))
        .toList();
  }
}
