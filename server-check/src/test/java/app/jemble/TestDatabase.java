package app.jemble;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.UUID;
import org.flywaydb.core.Flyway;

/** A database of one test class's own, in the cluster that JEMBLE_TEST_DB names. */
public final class TestDatabase {

  /** Tables and views of all versions, made once for all classes of this JVM; empty until then. */
  private static String pattern = "";

  private TestDatabase() {}

  /** Creates a database with all tables and nothing in them; answers its JDBC address. */
  public static synchronized String create() {
    if (pattern.isEmpty()) {
      String name = named("template1");
      Flyway.configure()
          .dataSource(address(name), null, null)
          .locations("classpath:db/migration")
          .load()
          .migrate();
      pattern = name;
    }
    return address(named(pattern));
  }

  /** Creates a database in which there is nothing; answers its JDBC address. */
  public static String empty() {
    return address(named("template1"));
  }

  /** Creates one like another, to which nobody is connected; answers its JDBC address. */
  public static String copyOf(String address) {
    return address(named(address.replaceAll(".*/(test_[a-z0-9]+).*", "$1")));
  }

  /** Creates one like another that nobody is connected to; answers its name. */
  private static String named(String like) {
    String name = "test_" + UUID.randomUUID().toString().replace("-", "");
    try (Connection connection = DriverManager.getConnection(cluster());
        Statement statement = connection.createStatement()) {
      statement.execute("create database " + name + " template " + like);
    } catch (SQLException e) {
      throw new IllegalStateException("no database can be created in " + cluster(), e);
    }
    return name;
  }

  private static String address(String name) {
    return cluster().replaceFirst("/postgres\\b", "/" + name);
  }

  private static String cluster() {
    String cluster = System.getenv("JEMBLE_TEST_DB");
    if (cluster == null) {
      throw new IllegalStateException(
          "These tests need a PostgreSQL. Run ./jemble test, or set JEMBLE_TEST_DB to the JDBC"
              + " address of one in which databases may be created.");
    }
    return cluster;
  }
}
