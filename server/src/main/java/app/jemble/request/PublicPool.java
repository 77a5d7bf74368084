package app.jemble.request;

import com.zaxxer.hikari.HikariDataSource;
import java.time.Duration;
import java.util.Map;
import javax.sql.DataSource;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.jdbc.autoconfigure.DataSourceProperties;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import org.springframework.jdbc.datasource.lookup.AbstractRoutingDataSource;

/**
 * Two pools of connections: readers of mail have one of their own, so that their thousands do not
 * keep colleagues waiting nor the other way round. It waits for a moment only.
 */
@Configuration
public class PublicPool {

  private static final int PUBLIC_CONNECTIONS = 6;
  private static final Duration PATIENCE = Duration.ofSeconds(2);

  private static final ThreadLocal<Boolean> PUBLIC = ThreadLocal.withInitial(() -> false);

  /** Whether this thread works for readers of mail from now on. */
  public static void use(boolean forReaders) {
    if (forReaders) {
      PUBLIC.set(true);
    } else {
      PUBLIC.remove();
    }
  }

  @Bean(destroyMethod = "close")
  @ConfigurationProperties("spring.datasource.hikari")
  HikariDataSource ownConnections(DataSourceProperties properties) {
    return properties.initializeDataSourceBuilder().type(HikariDataSource.class).build();
  }

  @Bean(destroyMethod = "close")
  HikariDataSource readersConnections(
      DataSourceProperties properties, HikariDataSource ownConnections) {
    HikariDataSource readers =
        properties.initializeDataSourceBuilder().type(HikariDataSource.class).build();
    readers.setPoolName("readers");
    readers.setConnectionInitSql(ownConnections.getConnectionInitSql());
    readers.setMaximumPoolSize(PUBLIC_CONNECTIONS);
    readers.setMinimumIdle(1);
    readers.setConnectionTimeout(PATIENCE.toMillis());
    return readers;
  }

  @Bean
  @Primary
  DataSource connections(HikariDataSource ownConnections, HikariDataSource readersConnections) {
    AbstractRoutingDataSource routing =
        new AbstractRoutingDataSource() {
          @Override
          protected Object determineCurrentLookupKey() {
            return PUBLIC.get();
          }
        };
    routing.setTargetDataSources(Map.of(true, readersConnections, false, ownConnections));
    routing.setDefaultTargetDataSource(ownConnections);
    return routing;
  }
}
