package app.jemble.pool;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Proxy;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import javax.sql.DataSource;
import org.springframework.jdbc.datasource.DelegatingDataSource;

/**
 * Connections that find one colleague's people only, and what is about them. The schemas {@code
 * own} and {@code own_offered} hold every table and view of people once more, cut down to those
 * whom the colleague owns; these connections look there first. So a statement is written once, and
 * a room that was forgotten shows too little rather than too much. What needs the whole house, to
 * count against its caps, names the table in {@code public}, or a view {@code offered.house_…}.
 */
final class OwnPeople extends DelegatingDataSource {

  /** Whatever a connection of this pool looks into, in order. */
  static final String LOOKS_INTO = "set search_path = own, public";

  private static final String OFFERED = "offered.";
  private static final String OWN_OFFERED = "own_offered.";

  OwnPeople(DataSource pool) {
    super(pool);
  }

  @Override
  public Connection getConnection() throws SQLException {
    Connection connection = super.getConnection();
    try {
      name(connection, OnBehalf.owner().map(String::valueOf).orElse(""));
    } catch (SQLException | RuntimeException trouble) {
      connection.close();
      throw trouble;
    }
    return cutDown(connection);
  }

  /**
   * Outside of a transaction, so that no rollback takes it back.
   *
   * @param owner empty for whoever looks whether the database is there, and finds nobody
   */
  private static void name(Connection connection, String owner) throws SQLException {
    try (PreparedStatement name =
        connection.prepareStatement("select set_config('jemble.owner', ?, false)")) {
      name.setString(1, owner);
      name.execute();
    }
  }

  private static Connection cutDown(Connection connection) {
    return (Connection)
        Proxy.newProxyInstance(
            OwnPeople.class.getClassLoader(),
            new Class<?>[] {Connection.class},
            (proxy, method, given) -> call(connection, method, given));
  }

  private static Object call(Connection connection, Method method, Object[] given)
      throws Throwable {
    if (method.getName().startsWith("prepare") && given[0] instanceof String statement) {
      given[0] = statement.replace(OFFERED, OWN_OFFERED);
    }
    try {
      return method.invoke(connection, given);
    } catch (InvocationTargetException thrown) {
      throw thrown.getCause();
    }
  }
}
