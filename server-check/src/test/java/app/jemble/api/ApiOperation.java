package app.jemble.api;

import app.jemble.Api;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;

/**
 * One operation of the API, out of its description.
 *
 * @param name method and path, as {@code GET /api/people/{id}}
 * @param body the schema of the JSON that it takes, or null
 * @param octets whether it takes a file or nothing
 */
public record ApiOperation(
    String name, String method, String path, List<Query> query, JsonNode body, boolean octets) {

  /** A parameter behind the question mark. */
  public record Query(String name, boolean required, JsonNode schema) {}

  private static final ObjectMapper JSON = new ObjectMapper();
  private static final JsonNode DESCRIPTION = description();

  private static JsonNode description() {
    try {
      // Trials run in the server's folder, measurements in the house's.
      Path beside = Path.of("../web/openapi.json");
      Path file = Files.exists(beside) ? beside : Path.of("web/openapi.json");
      return JSON.readTree(Files.readString(file));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Every operation there is. */
  public static List<ApiOperation> all() {
    List<ApiOperation> all = new ArrayList<>();
    for (Map.Entry<String, JsonNode> path : DESCRIPTION.get("paths").properties()) {
      for (Map.Entry<String, JsonNode> method : path.getValue().properties()) {
        all.add(of(method.getKey().toUpperCase(Locale.ROOT), path.getKey(), method.getValue()));
      }
    }
    return all;
  }

  private static ApiOperation of(String method, String path, JsonNode operation) {
    List<Query> query = new ArrayList<>();
    for (JsonNode parameter : operation.path("parameters")) {
      if (parameter.get("in").asString().equals("query")) {
        query.add(
            new Query(
                parameter.get("name").asString(),
                parameter.get("required").asBoolean(),
                parameter.get("schema")));
      }
    }
    JsonNode content = operation.path("requestBody").path("content");
    JsonNode json = content.path("application/json").path("schema");
    return new ApiOperation(
        method + " " + path,
        method,
        path,
        query,
        json.isMissingNode() ? null : json,
        json.isMissingNode() && method.equals("POST"));
  }

  /** The schema that a reference stands for. */
  public static JsonNode resolved(JsonNode schema) {
    JsonNode reference = schema.get("$ref");
    if (reference == null) {
      return schema;
    }
    String name = reference.asString().substring(reference.asString().lastIndexOf('/') + 1);
    return resolved(DESCRIPTION.get("components").get("schemas").get(name));
  }

  /** The kind of value a schema describes, and whether null will do. */
  public static String type(JsonNode schema) {
    JsonNode type = schema.path("type");
    if (type.isArray()) {
      return type.get(0).asString();
    }
    return type.isMissingNode() ? (schema.has("properties") ? "object" : "any") : type.asString();
  }

  /** Does it, with the path and the body that are given. */
  public Api.Answer by(Api api, String filledPath, Object given) {
    return switch (method) {
      case "GET" -> api.get(filledPath);
      case "DELETE" -> api.delete(filledPath);
      case "PUT" -> api.put(filledPath, given);
      default ->
          octets
              ? api.upload(filledPath, given.toString().getBytes(StandardCharsets.UTF_8))
              : api.post(filledPath, given);
    };
  }

  /** Its path, the first part in braces filled with an id, the others with 1. */
  public String at(long id) {
    String filled = path.replaceFirst("\\{[^}]+}", Long.toString(id)).replaceAll("\\{[^}]+}", "1");
    StringBuilder all = new StringBuilder(filled);
    for (Query parameter : query) {
      if (parameter.required()) {
        all.append(all.indexOf("?") < 0 ? '?' : '&')
            .append(parameter.name())
            .append('=')
            .append(URLEncoder.encode(one(parameter.schema()) + "", StandardCharsets.UTF_8));
      }
    }
    return all.toString();
  }

  /** Of a list, the plainest part of it. */
  private static Object one(JsonNode schema) {
    return type(resolved(schema)).equals("array")
        ? plain(resolved(schema).get("items"))
        : plain(schema);
  }

  /** The plainest value that a schema allows. */
  public static Object plain(JsonNode given) {
    JsonNode schema = resolved(given);
    if (schema.has("enum")) {
      return schema.get("enum").get(0).asString();
    }
    if (schema.has("anyOf") || schema.has("oneOf")) {
      return null;
    }
    if (schema.path("type").isArray()) {
      return null;
    }
    return switch (type(schema)) {
      case "integer", "number" -> 1;
      case "boolean" -> false;
      case "array" -> List.of();
      case "string" ->
          switch (schema.path("format").asString("")) {
            case "date" -> "2026-03-02";
            case "date-time" -> "2026-03-02T09:00:00Z";
            default -> "x";
          };
      case "object" -> {
        Map<String, Object> object = new java.util.LinkedHashMap<>();
        schema
            .path("properties")
            .properties()
            .forEach(p -> object.put(p.getKey(), plain(p.getValue())));
        yield object;
      }
      default -> Map.of();
    };
  }

  /** The plainest body it takes. */
  public Object plainBody() {
    return body == null ? Map.of() : plain(body);
  }
}
