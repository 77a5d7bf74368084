package app.jemble.storage;

import app.jemble.core.house.StandingWord;
import app.jemble.core.record.Related;
import java.util.Arrays;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Something of the house's own that has another name now: a list, a topic, a plan, an office.
 * Filters ask for them by name, and follow.
 *
 * @param around the records around people that have the field; null for people
 * @param field by which filters ask for it
 * @param before as it was called
 * @param after as it is called
 */
public record RenamedWord(Related around, String field, String before, String after) {

  /** The same of a field of people. */
  public static RenamedWord ofPeople(String field, String before, String after) {
    return new RenamedWord(null, field, before, after);
  }

  /** The same of a word of the house. */
  public static RenamedWord of(StandingWord.About about, String before, String after) {
    return new RenamedWord(about.around(), about.field(), before, after);
  }

  public boolean isOf(StandingWord.About about) {
    return around == about.around() && field.equals(about.field());
  }

  /** Whoever stores filters makes them follow. */
  public interface Follower {
    void follow(RenamedWord word);
  }

  /**
   * A stored filter of people, or several in whatever frame, with the new name; the same when it
   * has none.
   */
  public String in(String stored, ObjectMapper json) {
    return in(stored, null, json);
  }

  /** The same of a stored filter of records around people; of people for null. */
  public String in(String stored, Related of, ObjectMapper json) {
    JsonNode tree = json.readTree(stored);
    return rename(tree, of) ? json.writeValueAsString(tree) : stored;
  }

  private boolean rename(JsonNode node, Related of) {
    Related inside = recordsOf(node).orElse(of);
    boolean renamed = false;
    for (JsonNode child : node) {
      renamed |= rename(child, inside);
    }
    if (node instanceof ObjectNode object) {
      renamed |=
          inside == around && isAboutIt(object) && renameIn((ArrayNode) object.get("values"));
      // A part of an audience is called as the list that it came from.
      if (renamed && before.equals(text(object, "name")) && object.has("filter")) {
        object.put("name", after);
      }
    }
    return renamed;
  }

  /** Which records a part of a filter asks about; empty where it goes on with those before. */
  private static Optional<Related> recordsOf(JsonNode node) {
    return node instanceof ObjectNode object && object.has("where")
        ? Arrays.stream(Related.values())
            .filter(kind -> kind.name().equals(text(object, "kind")))
            .findFirst()
        : Optional.empty();
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
