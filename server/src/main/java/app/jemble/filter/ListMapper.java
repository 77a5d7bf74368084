package app.jemble.filter;

import app.jemble.core.record.PersonId;
import app.jemble.storage.Sql;
import app.jemble.storage.SqlLanguage;
import java.util.List;
import org.apache.ibatis.annotations.Lang;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.cursor.Cursor;

/** Reads what {@link ListSql} asks. */
@Mapper
interface ListMapper {

  /** How many records have one value. */
  record Part(String part, long records) {}

  @Lang(SqlLanguage.class)
  @Select(SqlLanguage.GIVEN)
  List<ListRow> page(Sql question);

  @Lang(SqlLanguage.class)
  @Select(SqlLanguage.GIVEN)
  @Options(fetchSize = 1000)
  Cursor<ListRow> stream(Sql question);

  @Lang(SqlLanguage.class)
  @Select(SqlLanguage.GIVEN)
  List<Long> ids(Sql question);

  @Lang(SqlLanguage.class)
  @Select(SqlLanguage.GIVEN)
  List<PersonId> people(Sql question);

  @Lang(SqlLanguage.class)
  @Select(SqlLanguage.GIVEN)
  List<Part> tally(Sql question);

  @Select("select coalesce(max(id), 0) from offered.person")
  long lastPerson();
}
