package app.jemble.demo;

import app.jemble.core.notice.AppToken;
import app.jemble.core.record.PersonId;
import app.jemble.workspace.AppLinks;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.List;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.annotation.Order;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Gives every fourth member the link for the app; the pretend devices open what lies in a file. */
@Component
@Order(2)
@ConditionalOnProperty("jemble.demo.app-links")
class DemoApps implements ApplicationRunner {

  private static final int MOST = 300;

  private final DemoSettings settings;
  private final AppLinks links;
  private final JdbcClient sql;

  DemoApps(DemoSettings settings, AppLinks links, JdbcClient sql) {
    this.settings = settings;
    this.links = links;
    this.sql = sql;
  }

  @Override
  public void run(ApplicationArguments arguments) throws IOException {
    if (settings.appLinks().isBlank()) {
      return;
    }
    List<String> all =
        sql.sql(
                """
                select id, app_link_number from person
                where kind = 'member' and archived_at is null and id % 4 = 0
                order by id
                limit ?
                """)
            .param(MOST)
            .query(
                (row, number) ->
                    links.of(new AppToken.Holder(new PersonId(row.getLong(1)), row.getInt(2))))
            .list();
    Path file = Path.of(settings.appLinks());
    Path fresh = file.resolveSibling(file.getFileName() + ".new");
    Files.write(fresh, all);
    Files.move(fresh, file, StandardCopyOption.REPLACE_EXISTING);
  }
}
