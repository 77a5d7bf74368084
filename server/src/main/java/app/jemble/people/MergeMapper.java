package app.jemble.people;

import app.jemble.core.record.PersonId;
import app.jemble.storage.Sql;
import app.jemble.storage.SqlLanguage;
import java.util.List;
import org.apache.ibatis.annotations.Lang;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/**
 * The one place that knows every table that hangs on a person: a merge moves all of it, or nothing.
 */
@Mapper
interface MergeMapper {

  /** The keys of the rows that were moved; what the one who stays has already stays behind. */
  @Lang(SqlLanguage.class)
  @Select(value = SqlLanguage.GIVEN, affectData = true)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<Long> move(Sql move);

  @Lang(SqlLanguage.class)
  @Update(SqlLanguage.GIVEN)
  int moveBack(Sql move);

  @Select(
      "select a.login from offered.person p join offered.account a on a.id = p.owner_id where p.id = #{id}")
  String ownerLogin(PersonId id);

  @Select("select id from offered.person where introduced_by = #{other} and id <> #{stays}")
  List<PersonId> introducedBy(@Param("other") PersonId other, @Param("stays") PersonId stays);
}
