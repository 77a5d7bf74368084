package app.jemble.storage;

import java.sql.Array;
import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;
import org.apache.ibatis.type.MappedTypes;

/** Ids as PostgreSQL's {@code bigint[]}. */
@MappedTypes(Long[].class)
public class IdArrayHandler extends BaseTypeHandler<Long[]> {

  @Override
  public void setNonNullParameter(PreparedStatement ps, int i, Long[] ids, JdbcType type)
      throws SQLException {
    ps.setArray(i, ps.getConnection().createArrayOf("bigint", ids));
  }

  @Override
  public Long[] getNullableResult(ResultSet rs, String column) throws SQLException {
    return read(rs.getArray(column));
  }

  @Override
  public Long[] getNullableResult(ResultSet rs, int column) throws SQLException {
    return read(rs.getArray(column));
  }

  @Override
  public Long[] getNullableResult(CallableStatement cs, int column) throws SQLException {
    return read(cs.getArray(column));
  }

  private static Long[] read(Array array) throws SQLException {
    return array == null ? null : (Long[]) array.getArray();
  }
}
