package app.jemble.storage;

import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.function.Function;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;

/** A value of a few, each with the name by which it is stored. */
abstract class StoredNames<T> extends BaseTypeHandler<T> {

  private final T[] all;
  private final Function<T, String> stored;

  StoredNames(T[] all, Function<T, String> stored) {
    this.all = all;
    this.stored = stored;
  }

  @Override
  public void setNonNullParameter(PreparedStatement ps, int i, T value, JdbcType type)
      throws SQLException {
    ps.setString(i, stored.apply(value));
  }

  @Override
  public T getNullableResult(ResultSet rs, String column) throws SQLException {
    return read(rs.getString(column));
  }

  @Override
  public T getNullableResult(ResultSet rs, int column) throws SQLException {
    return read(rs.getString(column));
  }

  @Override
  public T getNullableResult(CallableStatement cs, int column) throws SQLException {
    return read(cs.getString(column));
  }

  private T read(String name) {
    return name == null
        ? null
        : Arrays.stream(all)
            .filter(value -> stored.apply(value).equals(name))
            .findFirst()
            .orElseThrow(() -> new IllegalArgumentException("nothing is stored as " + name));
  }
}
