package app.jemble.people;

import app.jemble.core.record.PersonId;
import java.time.LocalDate;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface OfficeMapper {

  @Select(
      value =
          """
          insert into office (person_id, name, body, since)
          values (#{person}, #{o.name}, #{o.body}, #{o.since})
          returning id
          """,
      affectData = true)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  long begin(@Param("person") PersonId person, @Param("o") OfficeService.Draft office);

  @Update("update office set until = #{until} where id = #{id} and person_id = #{person}")
  int end(@Param("person") PersonId person, @Param("id") long id, @Param("until") LocalDate until);

  @Select("select since from office where id = #{id}")
  LocalDate since(long id);

  @Delete("delete from office where id = any(#{ids})")
  int remove(@Param("ids") Long[] ids);

  @Update("update office set name = #{after} where name = #{before}")
  int rename(@Param("before") String before, @Param("after") String after);
}
