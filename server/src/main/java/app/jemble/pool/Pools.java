package app.jemble.pool;

import com.zaxxer.hikari.HikariDataSource;
import java.time.Duration;
import java.util.Map;
import javax.sql.DataSource;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.jdbc.autoconfigure.DataSourceProperties;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import org.springframework.core.task.TaskDecorator;
import org.springframework.jdbc.datasource.lookup.AbstractRoutingDataSource;

/**
 * Three pools of connections: of the house; of readers of mail, so that their thousands do not keep
 * colleagues waiting nor the other way round; and of colleagues who see their own people only.
 */
@Configuration
class Pools {

  private static final int READERS_CONNECTIONS = 6;
  private static final Duration READERS_PATIENCE = Duration.ofSeconds(2);

  private static final int OWNERS_CONNECTIONS = 8;

  @Bean(destroyMethod = "close")
  @ConfigurationProperties("spring.datasource.hikari")
  HikariDataSource houseConnections(DataSourceProperties properties) {
    return properties.initializeDataSourceBuilder().type(HikariDataSource.class).build();
  }

  @Bean(destroyMethod = "close")
  HikariDataSource readersConnections(
      DataSourceProperties properties, HikariDataSource houseConnections) {
    HikariDataSource readers = pool("readers", READERS_CONNECTIONS, properties);
    readers.setConnectionInitSql(houseConnections.getConnectionInitSql());
    readers.setMinimumIdle(1);
    readers.setConnectionTimeout(READERS_PATIENCE.toMillis());
    return readers;
  }

  /** A house in which everybody sees everybody opens none of them. */
  @Bean(destroyMethod = "close")
  HikariDataSource ownersConnections(
      DataSourceProperties properties, HikariDataSource houseConnections) {
    HikariDataSource owners = pool("owners", OWNERS_CONNECTIONS, properties);
    owners.setConnectionInitSql(
        houseConnections.getConnectionInitSql() + "; " + OwnPeople.LOOKS_INTO);
    owners.setMinimumIdle(0);
    owners.setConnectionTimeout(houseConnections.getConnectionTimeout());
    return owners;
  }

  private static HikariDataSource pool(String name, int most, DataSourceProperties properties) {
    HikariDataSource pool =
        properties.initializeDataSourceBuilder().type(HikariDataSource.class).build();
    pool.setPoolName(name);
    pool.setMaximumPoolSize(most);
    return pool;
  }

  @Bean
  @Primary
  DataSource connections(
      HikariDataSource houseConnections,
      HikariDataSource readersConnections,
      HikariDataSource ownersConnections) {
    AbstractRoutingDataSource routing =
        new AbstractRoutingDataSource() {
          @Override
          protected Object determineCurrentLookupKey() {
            return OnBehalf.whom().getClass();
          }
        };
    routing.setTargetDataSources(
        Map.of(
            OnBehalf.House.class,
            houseConnections,
            OnBehalf.Readers.class,
            readersConnections,
            OnBehalf.Owner.class,
            new OwnPeople(ownersConnections)));
    routing.setLenientFallback(false);
    return routing;
  }

  /** A file is written by another thread than the one that was asked for it. */
  @Bean
  TaskDecorator carriedOn() {
    return OnBehalf::carried;
  }
}
