package app.jemble.bench;

import app.jemble.Api;
import app.jemble.JembleApplication;
import app.jemble.filter.ListService;
import java.util.ArrayList;
import java.util.List;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.ObjectMapper;

/** The application with the demo's data, on the database that JEMBLE_DB_URL names. */
final class RunningApp implements AutoCloseable {

  private final ConfigurableApplicationContext context;
  final JdbcClient sql;
  final String base;
  final Api api;
  final ListService lists;
  final ObjectMapper json;

  RunningApp(int people, String... settings) {
    List<String> all =
        new ArrayList<>(
            List.of(
                "--server.port=0",
                "--management.server.port=-1",
                "--jemble.public-url=http://127.0.0.1:1",
                "--jemble.demo.enabled=true",
                "--jemble.demo.people=" + people,
                "--jemble.demo.series=false",
                "--jemble.demo.password=lowen-quay",
                "--logging.level.app.jemble=warn"));
    all.addAll(List.of(settings));
    context = SpringApplication.run(JembleApplication.class, all.toArray(String[]::new));
    sql = context.getBean(JdbcClient.class);
    lists = context.getBean(ListService.class);
    json = context.getBean(ObjectMapper.class);
    base = "http://127.0.0.1:" + context.getEnvironment().getProperty("local.server.port");
    api = new Api(base);
    api.signIn("orla", "lowen-quay");
  }

  <T> T bean(Class<T> type) {
    return context.getBean(type);
  }

  ConfigurableApplicationContext context() {
    return context;
  }

  @Override
  public void close() {
    context.close();
  }
}
