package app.jemble.storage;

import java.sql.Array;
import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.AbstractCollection;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;
import org.apache.ibatis.type.MappedTypes;

/**
 * A list of texts as PostgreSQL's {@code text[]}. A parameter's handler is looked up by its class
 * and superclasses, never by its interfaces; every list of the JDK is an AbstractCollection.
 */
@MappedTypes({List.class, AbstractCollection.class})
public class TextArrayHandler extends BaseTypeHandler<List<String>> {

  @Override
  public void setNonNullParameter(PreparedStatement ps, int i, List<String> list, JdbcType type)
      throws SQLException {
    ps.setArray(i, ps.getConnection().createArrayOf("text", list.toArray()));
  }

  @Override
  public List<String> getNullableResult(ResultSet rs, String column) throws SQLException {
    return read(rs.getArray(column));
  }

  @Override
  public List<String> getNullableResult(ResultSet rs, int column) throws SQLException {
    return read(rs.getArray(column));
  }

  @Override
  public List<String> getNullableResult(CallableStatement cs, int column) throws SQLException {
    return read(cs.getArray(column));
  }

  private static List<String> read(Array array) throws SQLException {
    // A text in it may be null, which List.of does not take.
    return array == null
        ? null
        : Collections.unmodifiableList(Arrays.asList((String[]) array.getArray()));
  }
}
