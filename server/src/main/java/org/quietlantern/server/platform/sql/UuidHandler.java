package org.quietlantern.server.platform.sql;

import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.UUID;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;
import org.apache.ibatis.type.MappedTypes;

/** UUID columns. */
@MappedTypes(UUID.class)
public final class UuidHandler extends BaseTypeHandler<UUID> {
  @Override
  public void setNonNullParameter(PreparedStatement to, int i, UUID value, JdbcType type)
      throws SQLException {
    to.setObject(i, value);
  }

  @Override
  public UUID getNullableResult(ResultSet from, String column) throws SQLException {
    return from.getObject(column, UUID.class);
  }

  @Override
  public UUID getNullableResult(ResultSet from, int column) throws SQLException {
    return from.getObject(column, UUID.class);
  }

  @Override
  public UUID getNullableResult(CallableStatement from, int column) throws SQLException {
    return from.getObject(column, UUID.class);
  }
}
