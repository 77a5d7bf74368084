package app.jemble.storage;

import java.sql.Array;
import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.function.Function;
import java.util.function.IntFunction;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;

/** Ids with a type of their own, as PostgreSQL's {@code bigint[]}. */
abstract class StoredIds<T> extends BaseTypeHandler<T[]> {

  private final Function<Long, T> read;
  private final Function<T, Long> value;
  private final IntFunction<T[]> several;

  StoredIds(Function<Long, T> read, Function<T, Long> value, IntFunction<T[]> several) {
    this.read = read;
    this.value = value;
    this.several = several;
  }

  @Override
  public void setNonNullParameter(PreparedStatement ps, int i, T[] ids, JdbcType type)
      throws SQLException {
    Long[] values = Arrays.stream(ids).map(value).toArray(Long[]::new);
    ps.setArray(i, ps.getConnection().createArrayOf("bigint", values));
  }

  @Override
  public T[] getNullableResult(ResultSet rs, String column) throws SQLException {
    return read(rs.getArray(column));
  }

  @Override
  public T[] getNullableResult(ResultSet rs, int column) throws SQLException {
    return read(rs.getArray(column));
  }

  @Override
  public T[] getNullableResult(CallableStatement cs, int column) throws SQLException {
    return read(cs.getArray(column));
  }

  private T[] read(Array stored) throws SQLException {
    return stored == null
        ? null
        : Arrays.stream((Long[]) stored.getArray()).map(read).toArray(several);
  }
}
