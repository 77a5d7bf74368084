package app.jemble.signup;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Mails;
import jakarta.mail.internet.MimeMessage;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.testng.annotations.Test;

/** Strangers and software at a page that anybody can open. */
public class SignUpAbuseTest extends SignUpTrial {

  private static final String HOSTILE =
      "</title><script>alert(1)</script><img src=x onerror=alert(1)>\" ' & ${1 + 1} {{owner.name}}";
  private static final int TRIES = 200;

  /** RFC 6585 section 4. */
  @Test
  public void aThousandPostsAMinuteAreRefusedAndNothingIsLostForOthers() {
    make(body("flood"));
    Map<String, String> form = filled("flood", "first_name", "F");
    String flooder = "198.51.100.7";
    int refused = 0;
    for (int i = 0; i < 1000; i++) {
      form.put("email", "flood" + i + "@flood.example");
      HttpResponse<String> answer = post("/join/flood", form, "X-Forwarded-For", flooder);
      if (answer.statusCode() == 429) {
        refused++;
        assertThat(answer.headers().firstValue("Retry-After")).contains("60");
        assertThat(read(answer).select("h1").text()).isEqualTo("Too many at once");
      }
    }
    long taken =
        sql.sql("select count(*) from sign_up where address like '%@flood.example'")
            .query(Long.class)
            .single();
    assertThat(taken + refused).isEqualTo(1000);
    // The minute of the clock may turn once or twice while they come.
    assertThat(taken).isBetween(20L, 80L);
    HttpResponse<String> other = ask("flood", "email", "calm@sign.example", "first_name", "Calm");
    assertThat(other.uri().getPath()).isEqualTo("/join/flood/asked");
    onlyMail("calm@sign.example");
    Long mailed = 0L;
    for (int i = 0; i < 100 && mailed < taken; i++) {
      mailed =
          sql.sql(
                  "select count(*) from sign_up where address like '%@flood.example' and mail='left'")
              .query(Long.class)
              .single();
      sleepShortly();
    }
    assertThat(mailed).as("whoever was taken gets their mail").isEqualTo(taken);
  }

  private static void sleepShortly() {
    java.util.concurrent.locks.LockSupport.parkNanos(200_000_000L);
  }

  @Test
  public void aNetworkIsLimitedToo() {
    make(body("network"));
    Map<String, String> form = filled("network", "first_name", "N");
    int taken = 0;
    for (int i = 0; i < 200; i++) {
      form.put("email", "net" + i + "@network.example");
      String from = "2001:db8:7:7::" + Integer.toHexString(i + 1);
      taken += post("/join/network", form, "X-Forwarded-For", from).statusCode() == 200 ? 1 : 0;
    }
    assertThat(taken).isBetween(100, 200 - 1);
  }

  /** The same work is done for everybody until they confirm; measured, both in turn. */
  @Test
  public void whetherAnAddressIsOnRecordCannotBeToldFromTime() {
    make(body("times"));
    for (int i = 0; i < TRIES; i++) {
      addPerson("On", "Record", "on" + i + "@times.example");
    }
    long[] known = new long[TRIES];
    long[] unknown = new long[TRIES];
    for (int i = -20; i < TRIES; i++) {
      long on = time("on" + Math.max(i, 0) + "@times.example");
      long off = time("off" + Math.max(i, 0) + "@times.example");
      if (i >= 0) {
        known[i] = on;
        unknown[i] = off;
      }
    }
    long[] first = new long[TRIES / 2];
    long[] second = new long[TRIES / 2];
    for (int i = 0; i < TRIES / 2; i++) {
      first[i] = unknown[2 * i];
      second[i] = unknown[2 * i + 1];
    }
    double between = Math.abs(median(known) - median(unknown));
    double spread = sorted(unknown)[TRIES * 3 / 4] - sorted(unknown)[TRIES / 4];
    System.out.printf(
        java.util.Locale.ROOT,
        "Sign-up, %d tries each: on record %.2f ms, not %.2f ms; quartiles %.2f ms apart,"
            + " halves of the same %.2f ms apart.%n",
        TRIES,
        median(known) / 1e6,
        median(unknown) / 1e6,
        spread / 1e6,
        Math.abs(median(first) - median(second)) / 1e6);
    // Within noise: less than half of what single tries of the same kind differ.
    assertThat(between).isLessThan(Math.max(spread / 2, 300_000));
  }

  private long time(String address) {
    Map<String, String> form = filled("times", "email", address, "first_name", "T");
    String from = newOrigin();
    long begun = System.nanoTime();
    HttpResponse<String> answer = post("/join/times", form, "X-Forwarded-For", from);
    long took = System.nanoTime() - begun;
    assertThat(answer.statusCode()).isEqualTo(200);
    return took;
  }

  private static double median(long[] all) {
    long[] sorted = sorted(all);
    return (sorted[(sorted.length - 1) / 2] + sorted[sorted.length / 2]) / 2.0;
  }

  @Test
  public void hostileValuesReachNoPageAndNoMailUnescaped() {
    Map<String, Object> body = body("hostile");
    Map<String, Object> words = new HashMap<>();
    for (String name : List.of("title", "intro", "consent", "thanks", "subject", "mail")) {
      words.put(name, HOSTILE);
    }
    body.put("words", List.of(Map.of("language", "EN", "words", words)));
    body.put("name", HOSTILE);
    long page = make(body);
    List<Document> shown = new ArrayList<>();
    shown.add(read(get("/join/hostile")));
    shown.add(read(ask("hostile", "email", HOSTILE, "first_name", HOSTILE, "birthday", HOSTILE)));
    shown.add(read(get("/join/hostile?lang=" + "%22%3E%3Cscript%3E")));
    String address = "a&b'{{c}}${d}@hostile.example";
    shown.add(read(ask("hostile", "email", address, "first_name", HOSTILE, "topic", "1 or 1=1")));
    MimeMessage mail = onlyMail(address);
    shown.add(Jsoup.parse(Mails.part(mail, "text/html")));
    shown.add(read(get(link(mail))));
    shown.add(read(post(link(mail), Map.of())));
    shown.add(Jsoup.parse(api.get("/api/sign-up-pages/" + page).json().get("snippet").asString()));
    assertThat(shown)
        .allSatisfy(
            html -> {
              assertThat(html.select("script, img[onerror], b")).isEmpty();
              assertThat(html.html()).doesNotContain("\"2\"").doesNotContain("Orla Finch");
            });
    assertThat(shown.get(0).select("h1").text()).isEqualTo(HOSTILE);
    assertThat(shown.get(1).select("input[name=first_name]").attr("value")).isEqualTo(HOSTILE);
    assertThat(Mails.subject(mail)).isEqualTo(HOSTILE);
    assertThat(valueOf(address, "first_name")).isEqualTo(HOSTILE);
  }

  @Test
  public void noLineIsPutIntoAHeader() {
    make(body("lines"));
    HttpResponse<String> answer =
        ask("lines", "email", "a@sign.example\r\nBcc: b@sign.example", "first_name", "A");
    assertThat(answer.statusCode()).isEqualTo(422);
    ask("lines", "email", "a@sign.example", "first_name", "A\r\nBcc: b@sign.example");
    assertThat(Mails.header(onlyMail("a@sign.example"), "Bcc")).isEmpty();
  }
}
