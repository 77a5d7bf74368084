package app.jemble.storage;

import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.function.LongFunction;
import java.util.function.ToLongFunction;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;

/** An id with a type of its own, as PostgreSQL's {@code bigint}. */
abstract class StoredId<T> extends BaseTypeHandler<T> {

  private final LongFunction<T> read;
  private final ToLongFunction<T> value;

  StoredId(LongFunction<T> read, ToLongFunction<T> value) {
    this.read = read;
    this.value = value;
  }

  @Override
  public void setNonNullParameter(PreparedStatement ps, int i, T id, JdbcType type)
      throws SQLException {
    ps.setLong(i, value.applyAsLong(id));
  }

  @Override
  public T getNullableResult(ResultSet rs, String column) throws SQLException {
    long stored = rs.getLong(column);
    return rs.wasNull() ? null : read.apply(stored);
  }

  @Override
  public T getNullableResult(ResultSet rs, int column) throws SQLException {
    long stored = rs.getLong(column);
    return rs.wasNull() ? null : read.apply(stored);
  }

  @Override
  public T getNullableResult(CallableStatement cs, int column) throws SQLException {
    long stored = cs.getLong(column);
    return cs.wasNull() ? null : read.apply(stored);
  }
}
