package app.jemble.filter;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.SelectProvider;
import org.apache.ibatis.cursor.Cursor;

@Mapper
interface ListMapper {

  /** How many records have one value. */
  record Part(String part, long records) {}

  @SelectProvider(type = ListSql.class, method = "page")
  List<ListRow> page(ListQuery query);

  @SelectProvider(type = ListSql.class, method = "page")
  @Options(fetchSize = 1000)
  Cursor<ListRow> stream(ListQuery query);

  @SelectProvider(type = ListSql.class, method = "ids")
  List<Long> ids(ListQuery query);

  @SelectProvider(type = ListSql.class, method = "peopleOf")
  List<Long> peopleOf(ListQuery query);

  @SelectProvider(type = ListSql.class, method = "tally")
  List<Part> tally(ListQuery query);

  @Select("select coalesce(max(id), 0) from person")
  long lastPerson();
}
