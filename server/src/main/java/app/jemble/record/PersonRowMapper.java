package app.jemble.record;

import app.jemble.core.record.PersonId;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface PersonRowMapper {

  @Select(
      value = "insert into person (kind, created_at) values (#{kind}, #{at}) returning id",
      affectData = true)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  PersonId add(@Param("kind") String kind, @Param("at") Instant at);

  @Update("update person set picture_key = #{key} where id = #{id} and archived_at is null")
  int picture(@Param("id") PersonId id, @Param("key") String key);

  /** Those of the people to whom nothing was ever sent. */
  @Delete(
      """
      delete from person
      where id = any(#{people})
        and id not in (select person_id from offered.message where person_id = any(#{people}))
        and id not in (select introduced_by from public.person where introduced_by = any(#{people}))
      """)
  int delete(@Param("people") PersonId[] people);

  @Update("update person set archived_at = #{at} where id = any(#{people}) and archived_at is null")
  int archive(@Param("people") PersonId[] people, @Param("at") Instant at);

  @Update("update membership set status = #{after} where status = #{before}")
  int renameStatus(@Param("before") String before, @Param("after") String after);

  @Update("update person set stage = #{after} where stage = #{before}")
  int renameStage(@Param("before") String before, @Param("after") String after);

  /** Whom a colleague looks after, archived ones too. */
  @Select("select id from person where owner_id = #{owner} order by id")
  List<PersonId> ownedBy(long owner);
}
