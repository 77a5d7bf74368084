package app.jemble.people;

import app.jemble.core.record.PersonId;
import java.time.LocalDate;
import java.util.List;
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

  /** An office that somebody holds, with the last day that it had. */
  record HeldRow(long id, PersonId personId, LocalDate until) {}

  /** Gives an office to each who does not hold it on its first day. */
  @Select(
      value =
          """
          insert into office (person_id, name, body, since)
          select person, #{o.name}, #{o.body}, #{o.since}
          from unnest(#{people}::bigint[]) person
          where not exists (
            select from office held
            where held.person_id = person and held.name = #{o.name}
              and office_held(held.since, held.until, coalesce(#{o.since}, #{today})))
          returning id, person_id, until
          """,
      affectData = true)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<HeldRow> beginEach(
      @Param("people") PersonId[] people,
      @Param("o") OfficeService.Draft office,
      @Param("today") LocalDate today);

  /** How many of these people hold an office on a day. */
  @Select(
      """
      select count(distinct person_id)
      from office
      where person_id = any(#{people}) and name = #{name} and office_held(since, until, #{day})
      """)
  long holding(
      @Param("people") PersonId[] people, @Param("name") String name, @Param("day") LocalDate day);

  /**
   * Ends an office of each who holds it on a day and would hold it after; with its last day before.
   */
  @Select(
      value =
          """
          with held as (
            select id, until as last
            from office
            where person_id = any(#{people}) and name = #{name}
              and office_held(since, until, #{day}) and until is distinct from #{day}
            for update
          )
          update office o set until = #{day}
          from held
          where o.id = held.id
          returning o.id, o.person_id, held.last as until
          """,
      affectData = true)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<HeldRow> endEach(
      @Param("people") PersonId[] people, @Param("name") String name, @Param("day") LocalDate day);

  /** What somebody changed since stays as it is. */
  @Update(
      """
      update office set until = #{until}
      where id = any(#{ids}) and until = #{ended}
      """)
  int endAgain(
      @Param("ids") Long[] ids, @Param("until") LocalDate until, @Param("ended") LocalDate ended);

  @Delete("delete from office where id = any(#{ids})")
  int remove(@Param("ids") Long[] ids);

  @Update("update office set name = #{after} where name = #{before}")
  int rename(@Param("before") String before, @Param("after") String after);
}
