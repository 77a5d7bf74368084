package app.jemble.request;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.ServerTest;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What a browser gets: the one page, its scripts, and an answer where nothing is. */
public class ScreensTest extends ServerTest {

  private static final Pattern SCRIPT = Pattern.compile("/_app/immutable/[^\"']+\\.js");
  private final HttpClient http = HttpClient.newHttpClient();

  @Override
  protected int people() {
    return 10;
  }

  private HttpResponse<String> get(String path, String accept) throws Exception {
    return http.send(
        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
            .header("Accept", accept)
            .build(),
        HttpResponse.BodyHandlers.ofString());
  }

  private static String cacheControl(HttpResponse<?> answer) {
    return answer.headers().firstValue("Cache-Control").orElse("");
  }

  @Test
  public void scriptsAreAskedForOnceAndThePageEachTime() throws Exception {
    HttpResponse<String> page = get("/desk", "text/html");
    assertThat(page.statusCode()).isEqualTo(200);
    assertThat(cacheControl(page)).isEqualTo("max-age=0");
    Matcher script = SCRIPT.matcher(page.body());
    assertThat(script.find()).isTrue();
    assertThat(cacheControl(get(script.group(), "*/*")))
        .contains("max-age=31536000", "public", "immutable");
  }

  /** Every folder of the routes is a screen, and its address a good one. */
  @Test
  public void everyScreenHasAnAddressOfItsOwn() throws Exception {
    try (Stream<Path> folders = Files.list(Path.of("../web/src/routes"))) {
      for (Path folder : folders.filter(Files::isDirectory).toList()) {
        String path = "/" + folder.getFileName();
        assertThat(get(path, "text/html").statusCode()).as(path).isEqualTo(200);
      }
    }
  }

  @DataProvider
  public Object[] nowhere() {
    return new Object[] {"/nowhere", "/desk/of/another", "/people.html", "/%E8%88%B9"};
  }

  @Test(dataProvider = "nowhere")
  public void anAddressThatLeadsNowhereShowsThePageThatSaysSo(String path) throws Exception {
    HttpResponse<String> looked = get(path, "text/html,application/xhtml+xml,*/*;q=0.8");
    assertThat(looked.statusCode()).isEqualTo(404);
    assertThat(looked.body()).startsWithIgnoringCase("<!doctype html>");
    HttpResponse<String> asked = get(path, "application/json");
    assertThat(asked.statusCode()).isEqualTo(404);
    assertThat(asked.body()).doesNotContain("<!doctype");
  }

  @Test
  public void whatProgramsAskForIsRefusedInTheirWords() throws Exception {
    assertThat(get("/_app/immutable/nothing.js", "text/html").body()).doesNotContain("<!doctype");
    assertThat(get("/api/nothing", "text/html").statusCode()).isEqualTo(401);
  }
}
