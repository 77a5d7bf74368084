package app.jemble;

import app.jemble.standins.PostOffice;
import java.time.Duration;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;

/** The whole application on a database and a post office of the test class's own. */
public abstract class ServerTest {

  protected PostOffice office;
  protected ConfigurableApplicationContext application;
  protected JdbcClient sql;
  protected Api api;
  protected int port;
  private String database;

  /** How many people the demo has; 0 leaves the database empty. */
  protected int people() {
    return 0;
  }

  @BeforeClass
  public void startAll() {
    office = new PostOffice(0, 0, "ternquay.example", Duration.ofSeconds(5), 7);
    database = TestDatabase.create();
    application = start();
    port = application.getEnvironment().getProperty("local.server.port", Integer.class);
    sql = application.getBean(JdbcClient.class);
    api = new Api("http://127.0.0.1:" + port);
    sql.sql("update workspace set hold_seconds = 0").update();
  }

  /** Another process would be started so: the same database, the same mail host. */
  protected ConfigurableApplicationContext start() {
    return new SpringApplication(JembleApplication.class)
        .run(
            "--server.port=0",
            "--jemble.public-url=http://127.0.0.1:1",
            "--spring.datasource.url=" + database,
            "--spring.datasource.username=jemble",
            "--jemble.smtp.port=" + office.smtpPort(),
            "--jemble.imap.host=127.0.0.1",
            "--jemble.imap.port=" + office.imapPort(),
            "--jemble.imap.user=" + PostOffice.COMMON_MAILBOX,
            "--jemble.imap.password=" + PostOffice.COMMON_PASSWORD,
            "--jemble.imap.every=1s",
            "--jemble.outbox.poll-every=50ms",
            "--jemble.demo.enabled=" + (people() > 0),
            "--jemble.demo.people=" + Math.max(1, people()),
            "--jemble.demo.password=lowen-quay");
  }

  @AfterClass(alwaysRun = true)
  public void stopAll() {
    if (application != null) {
      application.close();
    }
    if (office != null) {
      office.close();
    }
  }
}
