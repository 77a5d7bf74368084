package app.jemble.storage;

import app.jemble.core.reach.Channel;
import app.jemble.core.reach.Ways;
import java.sql.Array;
import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Arrays;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;
import org.apache.ibatis.type.MappedTypes;

/** Ways in their order as PostgreSQL's {@code text[]}. */
@MappedTypes(Ways.class)
public class WaysHandler extends BaseTypeHandler<Ways> {

  @Override
  public void setNonNullParameter(PreparedStatement ps, int i, Ways ways, JdbcType type)
      throws SQLException {
    Object[] names = ways.inOrder().stream().map(Channel::name).toArray();
    ps.setArray(i, ps.getConnection().createArrayOf("text", names));
  }

  @Override
  public Ways getNullableResult(ResultSet rs, String column) throws SQLException {
    return read(rs.getArray(column));
  }

  @Override
  public Ways getNullableResult(ResultSet rs, int column) throws SQLException {
    return read(rs.getArray(column));
  }

  @Override
  public Ways getNullableResult(CallableStatement cs, int column) throws SQLException {
    return read(cs.getArray(column));
  }

  private static Ways read(Array array) throws SQLException {
    return array == null
        ? null
        : new Ways(Arrays.stream((String[]) array.getArray()).map(Channel::valueOf).toList());
  }
}
