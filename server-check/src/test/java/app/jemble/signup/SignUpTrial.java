package app.jemble.signup;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Eventually;
import app.jemble.Mails;
import app.jemble.ServerTest;
import jakarta.mail.internet.MimeMessage;
import java.io.IOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.testng.annotations.BeforeClass;

/** Sign-up over HTTP, as a browser without scripts would do it. */
abstract class SignUpTrial extends ServerTest {

  private final HttpClient http =
      HttpClient.newBuilder().followRedirects(HttpClient.Redirect.NORMAL).build();
  private int origins;

  @Override
  protected int people() {
    return 3;
  }

  @Override
  protected Duration readersDay() {
    return Duration.ofDays(30);
  }

  @Override
  protected List<String> moreSettings() {
    return List.of("--jemble.trusted-proxies=127.0.0.1");
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    api.signIn("orla", "lowen-quay");
  }

  static Map<String, Object> words(String language, String title, String consent) {
    Map<String, Object> words = new HashMap<>();
    for (String name : List.of("intro", "thanks", "subject", "mail")) {
      words.put(name, "");
    }
    words.put("title", title);
    words.put("consent", consent);
    return Map.of("language", language, "words", words);
  }

  /** A page that asks for a first name, which it must have, a last name and a birthday. */
  static Map<String, Object> body(String key) {
    Map<String, Object> body = new LinkedHashMap<>();
    body.put("name", "Page " + key);
    body.put("key", key);
    body.put("open", true);
    body.put(
        "asks",
        List.of(
            Map.of("field", "first_name", "required", true),
            Map.of("field", "last_name", "required", false),
            Map.of("field", "birthday", "required", false)));
    body.put("topics", List.of());
    body.put("words", List.of(words("EN", "News of the harbour", "Yes, write to me.")));
    body.put("kind", "lead");
    for (String none : List.of("source", "tag", "owner", "series", "tell")) {
      body.put(none, null);
    }
    body.put("version", 0);
    return body;
  }

  long make(Map<String, Object> body) {
    var answer = api.post("/api/sign-up-pages", body);
    assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    return answer.json().get("id").asLong();
  }

  /** A network address that has posted nothing yet, of a network of its own. */
  String newOrigin() {
    origins++;
    return "10." + origins / 250 + "." + origins % 250 + ".7";
  }

  HttpResponse<String> get(String path, String... headers) {
    return send(request(path, headers).GET().build());
  }

  HttpResponse<String> post(String path, Map<String, String> form, String... headers) {
    String body =
        form.entrySet().stream()
            .map(e -> encoded(e.getKey()) + "=" + encoded(e.getValue()))
            .collect(Collectors.joining("&"));
    return send(
        request(path, headers)
            .header("Content-Type", "application/x-www-form-urlencoded")
            .POST(HttpRequest.BodyPublishers.ofString(body))
            .build());
  }

  private static String encoded(String text) {
    return URLEncoder.encode(text, StandardCharsets.UTF_8);
  }

  private HttpRequest.Builder request(String path, String... headers) {
    HttpRequest.Builder request =
        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path));
    return headers.length == 0 ? request : request.headers(headers);
  }

  private HttpResponse<String> send(HttpRequest request) {
    try {
      return http.send(request, BodyHandlers.ofString());
    } catch (IOException e) {
      throw new IllegalStateException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  static Document read(HttpResponse<String> answer) {
    return Jsoup.parse(answer.body());
  }

  /** A form as it was shown, filled in two seconds later. */
  Map<String, String> filled(String key, String... namesAndValues) {
    Map<String, String> form = new LinkedHashMap<>();
    form.put("seal", read(get("/join/" + key)).select("input[name=seal]").attr("value"));
    for (int i = 0; i < namesAndValues.length; i += 2) {
      form.put(namesAndValues[i], namesAndValues[i + 1]);
    }
    clock.advance(Duration.ofSeconds(3));
    return form;
  }

  /** Signs up, from a network of its own; answers the page that says where to look. */
  HttpResponse<String> ask(String key, String... namesAndValues) {
    return post("/join/" + key, filled(key, namesAndValues), "X-Forwarded-For", newOrigin());
  }

  List<MimeMessage> mails(String address) {
    return office.delivered().stream()
        .filter(d -> d.to().equalsIgnoreCase(address))
        .map(d -> d.message())
        .toList();
  }

  MimeMessage onlyMail(String address) {
    Eventually.holds(() -> assertThat(mails(address)).hasSize(1));
    return mails(address).get(0);
  }

  /** The path of the link in a confirmation. */
  static String link(MimeMessage mail) {
    String href = Jsoup.parse(Mails.part(mail, "text/html")).select("a").attr("href");
    return URI.create(href).getPath();
  }

  void confirm(String address) {
    assertThat(post(link(onlyMail(address)), Map.of()).statusCode()).isEqualTo(200);
  }

  Long personWith(String address) {
    return sql.sql("select min(id) from person where email_key = lower(?)")
        .param(address)
        .query(Long.class)
        .optional()
        .orElse(null);
  }

  String valueOf(String address, String column) {
    return sql
        .sql("select " + column + "::text from person where email_key = lower(?)")
        .param(address)
        .query(String.class)
        .list()
        .stream()
        .map(String::valueOf)
        .collect(Collectors.joining("|"));
  }

  static List<String> texts(Document page, String where) {
    return page.select(where).eachText();
  }

  static long[] sorted(long[] all) {
    long[] copy = all.clone();
    Arrays.sort(copy);
    return copy;
  }
}
