package app.jemble.list;

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
interface PersonListMapper {

  @Select(
      """
      select l.id, l.name, count(p.id) as people, a.name as by
      from person_list l
      join offered.account a on a.id = l.created_by
      left join list_member x on x.list_id = l.id
      left join offered.person p on p.id = x.person_id and p.archived_at is null
      group by l.id, a.name
      order by l.name_key
      """)
  List<PersonLists.PersonList> all();

  @Select("select created_by from person_list where id = #{id}")
  Long madeBy(long id);

  @Select("select name from person_list where id = #{id}")
  String name(long id);

  @Select(
      value =
          """
          insert into person_list (name, created_at, created_by)
          values (#{name}, #{at}, #{by})
          returning id
          """,
      affectData = true)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  long create(@Param("name") String name, @Param("at") Instant at, @Param("by") long by);

  @Update("update person_list set name = #{name} where id = #{id}")
  int rename(@Param("id") long id, @Param("name") String name);

  @Delete("delete from person_list where id = #{id}")
  int delete(long id);

  @Select(
      value =
          """
          insert into list_member (list_id, person_id)
          select #{list}, p from unnest(#{people}::bigint[]) p
          on conflict do nothing
          returning person_id
          """,
      affectData = true)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<PersonId> add(@Param("list") long list, @Param("people") PersonId[] people);

  @Select(
      value =
          """
          delete from list_member
          where list_id = #{list} and person_id = any(#{people})
          returning person_id
          """,
      affectData = true)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<PersonId> remove(@Param("list") long list, @Param("people") PersonId[] people);
}
