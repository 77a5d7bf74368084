package app.jemble;

import app.jemble.backup.BackupCommand;
import app.jemble.carrier.notice.NoticeSettings;
import app.jemble.inbound.SortMail;
import app.jemble.settings.JembleSettings;
import app.jemble.settings.TextSettings;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.EnableConfigurationProperties;

/**
 * Starts Jemble; with the word "sort-mail" and files, says what mails are instead; with "backup" or
 * "restore" and a file, keeps the house in it or makes it again.
 */
@SpringBootApplication
@EnableConfigurationProperties({JembleSettings.class, TextSettings.class, NoticeSettings.class})
public class JembleApplication {

  private static final String SORT_MAIL = "sort-mail";

  public static void main(String[] args) {
    if (args.length > 0 && args[0].equals(SORT_MAIL)) {
      PrintStream out = new PrintStream(System.out, true, StandardCharsets.UTF_8);
      System.exit(SortMail.run(List.of(args).subList(1, args.length), out));
    }
    if (BackupCommand.isOne(args)) {
      PrintStream out = new PrintStream(System.out, true, StandardCharsets.UTF_8);
      System.exit(BackupCommand.run(List.of(args), System.getenv(), out));
    }
    SpringApplication.run(JembleApplication.class, args);
  }
}
