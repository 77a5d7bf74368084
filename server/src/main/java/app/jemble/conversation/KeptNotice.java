package app.jemble.conversation;

import java.util.stream.Collectors;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A notice as it was kept when it left. */
record KeptNotice(String title, String text) {

  private static final JsonMapper JSON = JsonMapper.builder().build();

  static KeptNotice of(byte[] json) {
    JsonNode said = JSON.readTree(json);
    return new KeptNotice(said.path("title").asString(""), said.path("text").asString(""));
  }

  /** What its reader saw, a paragraph each. */
  String words() {
    return Stream.of(title, text)
        .filter(part -> !part.isBlank())
        .collect(Collectors.joining("\n\n"));
  }
}
