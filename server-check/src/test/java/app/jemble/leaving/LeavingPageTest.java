package app.jemble.leaving;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.ServerTest;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.util.List;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** The page on which readers choose: whatever stands in the house's words, it is words. */
public class LeavingPageTest extends ServerTest {

  private static final String HOSTILE = "</title><script>alert(1)</script> \" ' & ${1 + 1}";

  @Override
  protected int people() {
    return 10;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    api.signIn("orla", "lowen-quay");
  }

  private Document page(String token, String asked) throws IOException, InterruptedException {
    URI address = URI.create("http://127.0.0.1:" + port + "/leave/" + token);
    HttpRequest request =
        asked == null
            ? HttpRequest.newBuilder(address).build()
            : HttpRequest.newBuilder(address)
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(asked))
                .build();
    return Jsoup.parse(HttpClient.newHttpClient().send(request, BodyHandlers.ofString()).body());
  }

  @Test
  public void hostileWordsOfTheHouseAreShownAsWords() throws Exception {
    long person = addPerson("Bea", "Leaver", "bea@leaving.test");
    long mailing = draft(List.of(person), "Hello", "<p>Hello</p>");
    release(mailing);
    awaitSettled(mailing);
    String token = messageValue(mailing, person, "token");
    sql.sql("update workspace set name = ?, postal_address = ?").params(HOSTILE, HOSTILE).update();
    sql.sql("update topic set name = ? where id = (select max(id) from topic)")
        .param(HOSTILE)
        .update();
    Document page = page(token, null);
    assertThat(page.select("script")).isEmpty();
    assertThat(page.select("header").text()).isEqualTo(HOSTILE);
    assertThat(page.select("footer").text()).isEqualTo(HOSTILE + " · " + HOSTILE);
    assertThat(page.select("label").eachText()).contains(HOSTILE);
    assertThat(page.select("input[name=get]").size())
        .isEqualTo(sql.sql("select count(*) from topic").query(Integer.class).single());
    assertThat(page.select("style").html()).as("the typeface keeps its marks").doesNotContain("&");
    assertThat(page.select("title").text()).isEqualTo("What would you like to hear about?");

    Document after = page(token, "choice=nothing");
    assertThat(after.select("h1").text()).isEqualTo("You have left the list");
    assertThat(after.select("input[checked]")).isEmpty();
    assertThat(after.select(".note").text()).contains("no mail at all");
  }
}
