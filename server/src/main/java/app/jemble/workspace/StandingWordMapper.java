package app.jemble.workspace;

import app.jemble.core.house.StandingWord.About;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface StandingWordMapper {

  /** A word as it is kept. */
  record WordRow(About about, String name, boolean isRetired, boolean counts, String group) {}

  String SELECT =
      "select about, name, retired_at is not null as is_retired, counts, group_name as group "
          + "from standing_word order by about, place, name";

  @Select(SELECT)
  List<WordRow> all();

  /** Whoever changes them does so one after another. */
  @Select(SELECT + " for update")
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<WordRow> lock();

  @Select(
      """
      select 'STATUS' as about, status as name, count(*) as people
      from offered.membership
      group by status
      union all
      select 'STAGE', stage, count(*)
      from offered.person
      where stage is not null and archived_at is null
      group by stage
      union all
      select 'TASK', kind, count(*)
      from offered.task
      where done_at is null
      group by kind
      union all
      select 'OFFICE', name, count(distinct person_id)
      from offered.office
      where office_held(since, until, #{today})
      group by name
      """)
  List<StandingWords.Holders> holders(LocalDate today);

  @Select(
      """
      select w.group_name as name, count(distinct o.person_id) as people
      from standing_word w
      left join offered.office o on o.name = w.name and office_held(o.since, o.until, #{today})
      where w.about = 'OFFICE' and w.group_name <> ''
      group by w.group_name
      order by min(w.place), 1
      """)
  List<StandingWords.OfficeGroup> groups(LocalDate today);

  @Update(
      "update standing_word set group_name = #{group} where about = 'OFFICE' and name = #{name}")
  int group(@Param("name") String office, @Param("group") String group);

  @Update(
      """
      update standing_word set group_name = #{to}
      where about = 'OFFICE' and group_name = #{from}
      """)
  int renameGroup(@Param("from") String from, @Param("to") String to);

  @Insert(
      """
      insert into standing_word (about, name, place)
      select #{about}, #{name}, coalesce(max(place), 0) + 1 from standing_word where about = #{about}
      """)
  int add(@Param("about") About about, @Param("name") String name);

  @Update("update standing_word set name = #{to} where about = #{about} and name = #{from}")
  int rename(@Param("about") About about, @Param("from") String from, @Param("to") String to);

  @Update(
      """
      update standing_word set place = array_position(#{names}::text[], name)
      where about = #{about} and name = any(#{names})
      """)
  int order(@Param("about") About about, @Param("names") String[] names);

  @Update(
      """
      update standing_word set counts = #{counts}
      where about = #{about} and name = #{name}
      """)
  int count(
      @Param("about") About about, @Param("name") String name, @Param("counts") boolean counts);

  @Update(
      """
      update standing_word set retired_at = #{at}::timestamptz
      where about = #{about} and name = #{name}
      """)
  int retire(@Param("about") About about, @Param("name") String name, @Param("at") Instant at);
}
