package app.jemble;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.UUID;

/** A database of one test class's own, in the cluster that JEMBLE_TEST_DB names. */
public final class TestDatabase {

  private TestDatabase() {}

  /** Creates an empty database and answers its JDBC address. */
  public static String create() {
    String cluster = System.getenv("JEMBLE_TEST_DB");
    if (cluster == null) {
      throw new IllegalStateException(
          "These tests need a PostgreSQL. Run ./jemble test, or set JEMBLE_TEST_DB to the JDBC"
              + " address of one in which databases may be created.");
    }
    String name = "test_" + UUID.randomUUID().toString().replace("-", "");
    try (Connection connection = DriverManager.getConnection(cluster);
        Statement statement = connection.createStatement()) {
      statement.execute("create database " + name);
    } catch (SQLException e) {
      throw new IllegalStateException("no database can be created in " + cluster, e);
    }
    return cluster.replaceFirst("/postgres\\b", "/" + name);
  }
}
