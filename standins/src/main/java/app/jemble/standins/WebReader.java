package app.jemble.standins;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.List;
import org.jsoup.Jsoup;
import org.jsoup.select.Elements;

/** What readers and their software do over HTTP. */
final class WebReader {

  private static final List<String> PEOPLE =
      List.of(
          "Mozilla/5.0 (X11; Linux x86_64; rv:128.0) Gecko/20100101 Firefox/128.0",
          "Mozilla/5.0 (Linux; Android 14; Mobile) AppleWebKit/537.36 (KHTML, like Gecko) Mobile",
          "Mozilla/5.0 (Windows NT 10.0; Win64; x64) AppleWebKit/537.36 (KHTML, like Gecko)");
  private static final String SCANNER = "Mozilla/5.0 (compatible; PostScan/3.1; link scanner)";

  private final HttpClient http =
      HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(5)).build();

  void open(ReceivedMail mail) throws IOException, InterruptedException {
    for (String picture : mail.pictures()) {
      get(picture, agent(mail));
    }
  }

  /** The first link that is not the way to leave. */
  void follow(ReceivedMail mail) throws IOException, InterruptedException {
    for (String link : mail.links()) {
      if (!link.equals(mail.leaveBy())) {
        get(link, agent(mail));
        return;
      }
    }
  }

  /**
   * Opens the link of a mail that asks for one press, and presses the button of its page. A form
   * with anything to fill in is left alone.
   */
  void press(ReceivedMail mail) throws IOException, InterruptedException {
    String link = mail.links().get(0);
    String page =
        http.send(request(link, agent(mail)).GET().build(), HttpResponse.BodyHandlers.ofString())
            .body();
    Elements forms =
        Jsoup.parse(page).select("form[method=post]:not(:has(input, select, textarea))");
    if (forms.size() == 1) {
      http.send(
          request(link, agent(mail))
              .header("Content-Type", "application/x-www-form-urlencoded")
              .POST(HttpRequest.BodyPublishers.noBody())
              .build(),
          HttpResponse.BodyHandlers.discarding());
    }
  }

  /** Software fetches all there is, the leaving page too, and presses nothing. */
  void scan(ReceivedMail mail) throws IOException, InterruptedException {
    for (String picture : mail.pictures()) {
      get(picture, SCANNER);
    }
    for (String link : mail.links()) {
      get(link, SCANNER);
    }
  }

  /** RFC 8058 section 3.2. */
  void leave(ReceivedMail mail) throws IOException, InterruptedException {
    if (mail.leaveBy().isEmpty()) {
      return;
    }
    http.send(
        request(mail.leaveBy(), agent(mail))
            .header("Content-Type", "application/x-www-form-urlencoded")
            .POST(HttpRequest.BodyPublishers.ofString("List-Unsubscribe=One-Click"))
            .build(),
        HttpResponse.BodyHandlers.discarding());
  }

  private void get(String address, String agent) throws IOException, InterruptedException {
    http.send(request(address, agent).GET().build(), HttpResponse.BodyHandlers.discarding());
  }

  private static HttpRequest.Builder request(String address, String agent) {
    return HttpRequest.newBuilder(URI.create(address))
        .timeout(Duration.ofSeconds(20))
        .header("User-Agent", agent);
  }

  private static String agent(ReceivedMail mail) {
    return PEOPLE.get(Math.floorMod(mail.reader().hashCode(), PEOPLE.size()));
  }
}
