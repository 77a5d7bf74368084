package app.jemble.api;

import app.jemble.Api;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URLEncoder;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.zip.GZIPOutputStream;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;

/**
 * Calls of every operation, out of its description: mostly right, and somewhere in it what nobody
 * would send. No answer may be 500.
 */
public final class ApiFuzz {

  /** Ends the session, or never ends. */
  private static final List<String> NOT_CALLED =
      List.of("DELETE /api/session", "POST /api/session", "GET /api/live");

  /** Put into the JSON as it is, since no writer of JSON would. */
  private static final String HALF = "@half@";

  private static final List<Object> ODD =
      List.of(
          "",
          " ",
          "\u0000",
          "a\u0000b",
          HALF,
          "é".repeat(200),
          "x".repeat(5_000),
          "x".repeat(200_000),
          "\u202eabc",
          "'; drop table person; --",
          "${1+1}",
          "#{x}",
          "{{first_name}}",
          "{{#x}}",
          "<script>x()</script>",
          "%s%n",
          "-1",
          "NaN",
          "1e999999",
          "+999999999-12-31",
          "-999999999-01-01",
          "0000-00-00",
          "9999-12-31T23:59:60Z",
          "+999999999-12-31T23:59:59Z",
          "2026-02-30",
          "\r\nBcc: x",
          "../../etc/passwd",
          "true",
          "null",
          "[]",
          "🚤",
          "me");

  private static final List<Object> WRONG =
      List.of(
          0,
          1,
          -1,
          Long.MAX_VALUE,
          Long.MIN_VALUE,
          Integer.MAX_VALUE,
          1e308,
          0.1,
          true,
          false,
          List.of(),
          Map.of(),
          List.of(Map.of()),
          List.of(List.of(List.of())),
          Map.of("x", "y"),
          Map.of("", ""),
          List.of(1, "x"));

  private static final ObjectMapper JSON = new ObjectMapper();

  private final Random random;
  private final List<ApiOperation> operations =
      ApiOperation.all().stream().filter(o -> !NOT_CALLED.contains(o.name())).toList();

  /** What was asked, to be told when it goes wrong. */
  private String asked = "";

  public ApiFuzz(long seed) {
    random = new Random(seed);
  }

  /** What no call may change: who signs in and with what, the house's secret, its tables. */
  public static String untouchable(JdbcClient sql) {
    return sql.sql(
            """
            select md5((select string_agg(login || password_hash || role_id || email, '|' order by id) from account)
                       || (select encode(secret, 'hex') from workspace)
                       || (select string_agg(table_name || column_name, '|' order by table_name, column_name)
                           from information_schema.columns where table_schema = 'public'))
            """)
        .query(String.class)
        .single();
  }

  public String asked() {
    return asked;
  }

  /** The next call; answers its status. */
  public int next(List<Api> colleagues) {
    ApiOperation operation = operations.get(random.nextInt(operations.size()));
    Api who = colleagues.get(random.nextInt(colleagues.size()));
    String path = path(operation);
    if (operation.octets()) {
      byte[] file = file();
      asked = operation.name() + " " + path + " a file of " + file.length;
      return who.upload(path, file).status();
    }
    String body = operation.body() == null ? null : text(value(operation.body(), 0));
    if (body != null && random.nextInt(50) == 0) {
      body = broken(body);
    }
    asked =
        operation.name()
            + " "
            + path
            + " "
            + (body == null ? "" : body.substring(0, Math.min(3_000, body.length())));
    return who.raw(operation.method(), path, body).status();
  }

  private String path(ApiOperation operation) {
    StringBuilder path = new StringBuilder();
    for (String part : operation.path().split("(?=/)")) {
      path.append(part.contains("{") ? "/" + id(part) : part);
    }
    for (ApiOperation.Query parameter : operation.query()) {
      if (parameter.required() || random.nextBoolean()) {
        Object value = value(parameter.schema(), 0);
        String text =
            value instanceof List<?> list ? (list.isEmpty() ? "" : "" + list.get(0)) : "" + value;
        String cut = text.length() > 2_000 ? text.substring(0, 2_000) : text;
        path.append(path.indexOf("?") < 0 ? '?' : '&')
            .append(parameter.name())
            .append('=')
            .append(URLEncoder.encode(cut.replace(HALF, "x"), StandardCharsets.UTF_8));
      }
    }
    return path.toString();
  }

  private String id(String part) {
    return switch (random.nextInt(12)) {
      case 0 -> "0";
      case 1 -> "-1";
      case 2 -> Long.toString(Long.MAX_VALUE);
      case 3 -> "99999999999999999999";
      case 4 -> URLEncoder.encode(part + "é ", StandardCharsets.UTF_8).replace("+", "%20");
      default ->
          part.contains("many")
              ? List.of("quotes", "tasks", "events").get(random.nextInt(3))
              : part.contains("subject") ? "people" : Integer.toString(1 + random.nextInt(14));
    };
  }

  private Object value(JsonNode given, int depth) {
    JsonNode schema = ApiOperation.resolved(given);
    int odd = random.nextInt(100);
    if (odd < 4) {
      return null;
    }
    if (odd < 8) {
      return WRONG.get(random.nextInt(WRONG.size()));
    }
    if (odd < 11) {
      return ODD.get(random.nextInt(ODD.size()));
    }
    for (String either : List.of("anyOf", "oneOf")) {
      if (schema.has(either)) {
        return random.nextInt(3) == 0 ? null : value(schema.get(either).get(0), depth);
      }
    }
    if (schema.has("enum")) {
      return schema.get("enum").get(random.nextInt(schema.get("enum").size())).asString();
    }
    return switch (ApiOperation.type(schema)) {
      case "integer", "number" -> number();
      case "boolean" -> random.nextBoolean();
      case "array" -> list(schema.get("items"), depth);
      case "object" -> object(schema, depth);
      default -> word(schema);
    };
  }

  private Object number() {
    return switch (random.nextInt(6)) {
      case 0 -> 0;
      case 1 -> random.nextLong();
      default -> 1 + random.nextInt(14);
    };
  }

  private Object list(JsonNode items, int depth) {
    List<Object> list = new ArrayList<>();
    int most = depth > 5 ? 0 : random.nextInt(10) == 0 ? 60 : random.nextInt(3);
    for (int i = 0; i < most; i++) {
      list.add(value(items, depth + 1));
    }
    return list;
  }

  private Object object(JsonNode schema, int depth) {
    Map<String, Object> object = new LinkedHashMap<>();
    for (Map.Entry<String, JsonNode> property : schema.path("properties").properties()) {
      if (random.nextInt(40) > 0) {
        object.put(property.getKey(), depth > 9 ? null : value(property.getValue(), depth + 1));
      }
    }
    if (random.nextInt(60) == 0) {
      object.put("nobody_knows_this", 1);
    }
    return object;
  }

  private Object word(JsonNode schema) {
    if (random.nextInt(8) == 0) {
      return ODD.get(random.nextInt(ODD.size()));
    }
    return switch (schema.path("format").asString("")) {
      case "date" -> "2026-03-0" + (1 + random.nextInt(9));
      case "date-time" -> random.nextBoolean() ? "2026-03-02T09:00:00Z" : "2026-03-02T09:00:00";
      default ->
          List.of(
                  "name",
                  "people",
                  "plan",
                  "Oar",
                  "tags",
                  "first_name",
                  "x",
                  "bea@okonjo.example",
                  "2026-03-02",
                  "12",
                  "<p>Hello {{first_name or \"friend\"}}</p>",
                  "orla",
                  "tomas",
                  "kind",
                  "Hello")
              .get(random.nextInt(15));
    };
  }

  private static String text(Object value) {
    return JSON.writeValueAsString(value).replace(HALF, "\\ud83d");
  }

  private String broken(String body) {
    int at = random.nextInt(body.length() + 1);
    return switch (random.nextInt(4)) {
      case 0 -> body.substring(0, at);
      case 1 -> "[".repeat(5_000);
      case 2 -> body.substring(0, at) + "\u0000" + body.substring(at);
      default -> body + body;
    };
  }

  private byte[] file() {
    String rows = "first name,email\nBea,bea@okonjo.example\nKei\u0000,kei\n";
    return switch (random.nextInt(9)) {
      case 0 -> new byte[0];
      case 1 -> rows.getBytes(StandardCharsets.UTF_8);
      case 2 -> rows.getBytes(Charset.forName("UTF-32"));
      case 3 -> rows.getBytes(StandardCharsets.UTF_16);
      case 4 -> zipped(rows);
      case 5 ->
          "BEGIN:VCARD\r\nVERSION:4.0\r\nFN:B\u00e9a\r\nEND:VCARD\r\n"
              .getBytes(StandardCharsets.ISO_8859_1);
      case 6 ->
          "BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nDTSTART:99999999\r\nEND:VEVENT\r\n"
              .getBytes(StandardCharsets.UTF_8);
      case 7 -> ("\u0089PNG\r\n\u001a\n" + rows).getBytes(StandardCharsets.ISO_8859_1);
      default -> {
        byte[] octets = new byte[random.nextInt(2_000)];
        random.nextBytes(octets);
        yield octets;
      }
    };
  }

  private static byte[] zipped(String rows) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (GZIPOutputStream zip = new GZIPOutputStream(out)) {
      zip.write(rows.getBytes(StandardCharsets.UTF_8));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }
}
