package app.jemble.storage;

import java.util.ArrayList;
import java.util.List;
import org.apache.ibatis.builder.BuilderException;
import org.apache.ibatis.executor.parameter.ParameterHandler;
import org.apache.ibatis.mapping.BoundSql;
import org.apache.ibatis.mapping.MappedStatement;
import org.apache.ibatis.mapping.ParameterMapping;
import org.apache.ibatis.mapping.SqlSource;
import org.apache.ibatis.parsing.XNode;
import org.apache.ibatis.scripting.LanguageDriver;
import org.apache.ibatis.scripting.defaults.DefaultParameterHandler;
import org.apache.ibatis.session.Configuration;

/**
 * Statements that are not known beforehand: their one parameter is the {@link Sql} itself. Its text
 * goes to the database as it is; nothing in it is read as a place-holder or an expression.
 */
public final class SqlLanguage implements LanguageDriver {

  /** What stands in the place of a statement that is given as a parameter. */
  public static final String GIVEN = "given";

  @Override
  public SqlSource createSqlSource(Configuration mybatis, String script, Class<?> parameter) {
    if (!script.equals(GIVEN) || parameter != Sql.class) {
      throw new BuilderException(
          "a statement in this language is given as its one parameter, an Sql");
    }
    return sql -> bound(mybatis, (Sql) sql);
  }

  private static BoundSql bound(Configuration mybatis, Sql sql) {
    List<ParameterMapping> mappings = new ArrayList<>();
    for (int i = 0; i < sql.params().size(); i++) {
      mappings.add(new ParameterMapping.Builder(mybatis, name(i), Object.class).build());
    }
    BoundSql bound = new BoundSql(mybatis, sql.text(), mappings, sql);
    for (int i = 0; i < sql.params().size(); i++) {
      bound.setAdditionalParameter(name(i), sql.params().get(i));
    }
    return bound;
  }

  private static String name(int place) {
    return "p" + place;
  }

  @Override
  public SqlSource createSqlSource(Configuration mybatis, XNode script, Class<?> parameter) {
    throw new BuilderException("statements do not stand in XML");
  }

  @Override
  public ParameterHandler createParameterHandler(
      MappedStatement statement, Object parameter, BoundSql sql) {
    return new DefaultParameterHandler(statement, parameter, sql);
  }
}
