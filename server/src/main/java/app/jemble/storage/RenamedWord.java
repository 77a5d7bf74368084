package app.jemble.storage;

import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Something of the house's own that has another name now: a list, a topic, a plan. Filters ask for
 * them by name, and follow.
 *
 * @param field by which filters ask for it
 * @param before as it was called
 * @param after as it is called
 */
public record RenamedWord(String field, String before, String after) {

  /** Whoever stores filters makes them follow. */
  public interface Follower {
    void follow(RenamedWord word);
  }

  /**
   * A stored filter, or several in whatever frame, with the new name; the same when it has none.
   */
  public String in(String stored, ObjectMapper json) {
    JsonNode tree = json.readTree(stored);
    return rename(tree) ? json.writeValueAsString(tree) : stored;
  }

  private boolean rename(JsonNode node) {
    boolean renamed = false;
    for (JsonNode child : node) {
      renamed |= rename(child);
    }
    if (node instanceof ObjectNode object) {
      renamed |= isAboutIt(object) && renameIn((ArrayNode) object.get("values"));
      // A part of an audience is called as the list that it came from.
      if (renamed && before.equals(text(object, "name")) && object.has("filter")) {
        object.put("name", after);
      }
    }
    return renamed;
  }

  private boolean isAboutIt(ObjectNode object) {
    return field.equals(text(object, "field")) && object.get("values") instanceof ArrayNode;
  }

  private boolean renameIn(ArrayNode values) {
    boolean renamed = false;
    for (int i = 0; i < values.size(); i++) {
      if (values.get(i).isString() && values.get(i).asString().equalsIgnoreCase(before)) {
        values.set(i, after);
        renamed = true;
      }
    }
    return renamed;
  }

  private static String text(ObjectNode object, String name) {
    JsonNode value = object.get(name);
    return value != null && value.isString() ? value.asString() : null;
  }
}
