package app.jemble.watch;

import static org.assertj.core.api.Assertions.assertThat;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.LoggerContext;
import ch.qos.logback.classic.PatternLayout;
import ch.qos.logback.classic.spi.LoggingEvent;
import java.io.IOException;
import java.util.List;
import org.springframework.boot.env.YamlPropertySourceLoader;
import org.springframework.core.io.ClassPathResource;
import org.testng.annotations.Test;

/** No line of the log is somebody else's (OWASP ASVS 5, 16.4.1). */
public class LogLinesTest {

  private static final String FORGED = "2026-11-30T08:00:00.000Z ERROR House All is lost";

  private static String pattern() throws IOException {
    return String.valueOf(
        new YamlPropertySourceLoader()
            .load("yaml", new ClassPathResource("application.yaml"))
            .get(0)
            .getProperty("logging.pattern.console"));
  }

  private static List<String> lines(String words, Throwable failed) throws IOException {
    LoggerContext context = new LoggerContext();
    Logger logger = context.getLogger("app.jemble.LogLines");
    PatternLayout layout = new PatternLayout();
    layout.setContext(context);
    layout.setPattern(pattern());
    layout.start();
    LoggingEvent event =
        new LoggingEvent(LogLinesTest.class.getName(), logger, Level.WARN, words, failed, null);
    return layout.doLayout(event).lines().toList();
  }

  @Test
  public void whatSomebodyGaveBeginsNoLine() throws IOException {
    for (String end : List.of("\r\n", "\n", "\r", "\u0085", "\u2028", "\u2029", "\u000b")) {
      List<String> lines = lines("A login “orla" + end + FORGED + "”", null);
      assertThat(lines).as(end).hasSize(1);
      assertThat(lines.get(0)).contains(" WARN  LogLines A login “orla | " + FORGED);
    }
  }

  @Test
  public void norInTheWordsOfAnError() throws IOException {
    IllegalStateException failed =
        new IllegalStateException("no such\n" + FORGED, new IOException("at\r\n" + FORGED));
    List<String> lines = lines("It failed", failed);
    assertThat(lines.subList(1, lines.size())).noneMatch(line -> line.startsWith("20"));
    assertThat(lines.get(1)).contains("no such | " + FORGED);
    assertThat(lines).anyMatch(line -> line.startsWith("Caused by: java.io.IOException"));
    assertThat(lines).as("where it was stays a line each").hasSizeGreaterThan(6);
    assertThat(lines.subList(2, lines.size()))
        .allMatch(line -> line.startsWith("\t") || line.startsWith("Caused by: "));
  }

  @Test
  public void aLineSaysWhenInOneTimeForAll() throws IOException {
    assertThat(lines("Begun", null).get(0))
        .matches("\\d{4}-\\d\\d-\\d\\dT\\d\\d:\\d\\d:\\d\\d\\.\\d{3}Z WARN  LogLines Begun");
  }
}
