package app.jemble.carrier.mail;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.LoopbackServer;
import app.jemble.core.house.ServiceSetting.Protection;
import app.jemble.settings.JembleSettings.Smtp;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** A mail server that fails at each step of the way is told by that step. */
public class MailServerCheckTest {

  private static final String GREETING = "220 quay.test ready";

  /** What a server says at first, and to each command; other commands are fine. */
  private record Manners(String greeting, Map<String, String> answers) {}

  private static void talk(Socket client, Manners manners) throws IOException {
    BufferedReader in =
        new BufferedReader(
            new InputStreamReader(client.getInputStream(), StandardCharsets.ISO_8859_1));
    Writer out = new OutputStreamWriter(client.getOutputStream(), StandardCharsets.US_ASCII);
    say(out, manners.greeting());
    for (String line = in.readLine(); line != null; line = in.readLine()) {
      String verb = line.toUpperCase(Locale.ROOT).split(" ")[0];
      String answer = manners.answers().getOrDefault(verb, "250 fine");
      if (answer.isEmpty()) {
        return;
      }
      say(out, answer);
    }
  }

  private static void say(Writer out, String line) throws IOException {
    out.write(line + "\r\n");
    out.flush();
  }

  private static Smtp settings(int port, String user, Protection security) {
    return new Smtp("127.0.0.1", port, user, user.isEmpty() ? "" : "wrong", security, 1, "");
  }

  @DataProvider
  public Object[][] servers() {
    Map<String, String> signsIn = Map.of("EHLO", "250-quay.test\r\n250 AUTH PLAIN LOGIN");
    Map<String, String> refuses =
        Map.of(
            "EHLO", "250-quay.test\r\n250 AUTH PLAIN",
            "AUTH", "535 5.7.8 wrong user or password");
    return new Object[][] {
      {new Manners(GREETING, Map.of()), "", Protection.NONE, null, ""},
      {new Manners("421 4.3.2 closing", Map.of()), "", Protection.NONE, MailStep.GREETING, "421"},
      {new Manners("hello", Map.of()), "", Protection.NONE, MailStep.GREETING, "hello"},
      {new Manners(GREETING, signsIn), "", Protection.STARTTLS, MailStep.PROTECTION, "STARTTLS"},
      {new Manners(GREETING, Map.of()), "", Protection.TLS, MailStep.PROTECTION, "SSL"},
      {new Manners(GREETING, refuses), "orla", Protection.NONE, MailStep.SIGN_IN, "5.7.8"},
      {
        new Manners(GREETING, Map.of("NOOP", "", "RSET", "")),
        "",
        Protection.NONE,
        MailStep.READY,
        "broke"
      },
    };
  }

  @Test(dataProvider = "servers")
  public void theStepThatFailsIsNamed(
      Manners manners, String user, Protection security, MailStep failed, String words)
      throws IOException {
    try (LoopbackServer server = new LoopbackServer(client -> talk(client, manners))) {
      MailServerCheck.Result result =
          MailServerCheck.check(settings(server.port(), user, security));
      assertThat(result.failed()).as(result.words()).isEqualTo(failed);
      assertThat(result.words()).contains(words);
    }
  }

  @Test
  public void aServerThatIsNotThereIsNotReached() throws IOException {
    int port;
    try (ServerSocket free = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
      port = free.getLocalPort();
    }
    MailServerCheck.Result result = MailServerCheck.check(settings(port, "", Protection.NONE));
    assertThat(result.failed()).isEqualTo(MailStep.REACH);
  }
}
