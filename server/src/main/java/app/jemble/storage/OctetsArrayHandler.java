package app.jemble.storage;

import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;
import org.apache.ibatis.type.MappedTypes;

/** Octets of many things as PostgreSQL's {@code bytea[]}; written only. */
@MappedTypes(byte[][].class)
public class OctetsArrayHandler extends BaseTypeHandler<byte[][]> {

  @Override
  public void setNonNullParameter(PreparedStatement ps, int i, byte[][] octets, JdbcType type)
      throws SQLException {
    ps.setArray(i, ps.getConnection().createArrayOf("bytea", octets));
  }

  @Override
  public byte[][] getNullableResult(ResultSet rs, String column) {
    throw new UnsupportedOperationException("octets are read one by one");
  }

  @Override
  public byte[][] getNullableResult(ResultSet rs, int column) {
    throw new UnsupportedOperationException("octets are read one by one");
  }

  @Override
  public byte[][] getNullableResult(CallableStatement cs, int column) {
    throw new UnsupportedOperationException("octets are read one by one");
  }
}
