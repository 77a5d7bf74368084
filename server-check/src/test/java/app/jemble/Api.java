package app.jemble;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.Map;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;

/** A client of the API as a browser would be one: cookies and the token that changes carry. */
public final class Api {

  private static final ObjectMapper JSON = new ObjectMapper();

  private final CookieManager cookies = new CookieManager();
  private final HttpClient http = HttpClient.newBuilder().cookieHandler(cookies).build();
  private final String base;
  private String header = "X-None";
  private String token = "";

  public Api(String base) {
    this.base = base;
  }

  /** An answer: its status and its JSON (missing when there is none). */
  public record Answer(int status, JsonNode json, HttpResponse<String> raw) {
    public String text() {
      return raw.body();
    }
  }

  /** Gets the token that changes carry, without signing in. */
  public void begin() {
    session();
  }

  /** The cookies it has, as name and value. */
  public java.util.List<String> cookies() {
    return cookies.getCookieStore().getCookies().stream().map(Object::toString).toList();
  }

  public Answer signIn(String login, String password) {
    session();
    Answer answer = post("/api/session", Map.of("login", login, "password", password));
    session();
    return answer;
  }

  private void session() {
    JsonNode session = get("/api/session").json();
    header = session.get("csrfHeader").asString();
    token = session.get("csrfToken").asString();
  }

  public Answer get(String path) {
    return send(request(path).GET());
  }

  /** The lines of an answer that does not end; closing the stream ends it. */
  public Stream<String> stream(String path) {
    try {
      return http.send(request(path).GET().build(), HttpResponse.BodyHandlers.ofLines()).body();
    } catch (IOException e) {
      throw new IllegalStateException("the application did not answer", e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException("interrupted while waiting for an answer", e);
    }
  }

  /** A file. */
  public HttpResponse<byte[]> octets(String path) {
    try {
      return http.send(request(path).GET().build(), HttpResponse.BodyHandlers.ofByteArray());
    } catch (IOException e) {
      throw new IllegalStateException("the application did not answer", e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException("interrupted while waiting for an answer", e);
    }
  }

  public Answer post(String path, Object body) {
    return send(
        json(path).POST(HttpRequest.BodyPublishers.ofString(JSON.writeValueAsString(body))));
  }

  /** An act with a key of its own, which is done once. */
  public Answer once(String key, String path, Object body) {
    return send(
        json(path)
            .header("Idempotency-Key", key)
            .POST(HttpRequest.BodyPublishers.ofString(JSON.writeValueAsString(body))));
  }

  /** A file as the body of a request. */
  public Answer upload(String path, byte[] file) {
    return send(
        request(path)
            .header("Content-Type", "application/octet-stream")
            .header(header, token)
            .POST(HttpRequest.BodyPublishers.ofByteArray(file)));
  }

  public Answer put(String path, Object body) {
    return send(json(path).PUT(HttpRequest.BodyPublishers.ofString(JSON.writeValueAsString(body))));
  }

  public Answer delete(String path) {
    return send(json(path).DELETE());
  }

  /** A request whose body is sent as it is; null for none. */
  public Answer raw(String method, String path, String body) {
    return send(
        json(path)
            .method(
                method,
                body == null
                    ? HttpRequest.BodyPublishers.noBody()
                    : HttpRequest.BodyPublishers.ofString(body)));
  }

  /** A request that carries no token, as another site's would. */
  public Answer postWithoutToken(String path, String type, String body) {
    return send(
        request(path).header("Content-Type", type).POST(HttpRequest.BodyPublishers.ofString(body)));
  }

  private HttpRequest.Builder json(String path) {
    return request(path).header("Content-Type", "application/json").header(header, token);
  }

  private HttpRequest.Builder request(String path) {
    return HttpRequest.newBuilder(URI.create(base + path));
  }

  private Answer send(HttpRequest.Builder request) {
    try {
      HttpResponse<String> raw = http.send(request.build(), HttpResponse.BodyHandlers.ofString());
      String type = raw.headers().firstValue("Content-Type").orElse("");
      boolean isJson = type.contains("json") && !type.contains("ndjson") && !raw.body().isEmpty();
      JsonNode json = isJson ? JSON.readTree(raw.body()) : JSON.missingNode();
      return new Answer(raw.statusCode(), json, raw);
    } catch (IOException e) {
      throw new IllegalStateException("the application did not answer", e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException("interrupted while waiting for an answer", e);
    }
  }
}
