package app.jemble.task;

import app.jemble.core.record.PersonId;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface TaskMapper {

  /** A task that was made, and for whom. */
  record MadeRow(long id, PersonId personId) {}

  /** Whose it is: the named colleague's, else the owner's of each person, else the maker's. */
  @Select(
      value =
          """
          insert into task (person_id, kind, title, due_on, owner_id, created_at, created_by)
          select p.id, #{t.kind}, #{t.title}, #{t.dueOn},
                 coalesce((select a.id from offered.account a where a.login = #{t.owner}), p.owner_id, #{by}),
                 #{at}, #{by}
          from offered.person p
          where p.id = any(#{people})
          returning id, person_id
          """,
      affectData = true)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<MadeRow> make(
      @Param("t") TaskService.Draft task,
      @Param("people") PersonId[] people,
      @Param("at") Instant at,
      @Param("by") long by);

  @Select("select key from task_calendar where account_id = #{account}")
  String calendarKey(long account);

  @Insert(
      """
      insert into task_calendar (account_id, key)
      values (#{account}, #{key})
      on conflict (account_id) do update set key = excluded.key
      """)
  int setCalendarKey(@Param("account") long account, @Param("key") String key);

  @Delete("delete from task_calendar where account_id = #{account}")
  int removeCalendar(long account);

  @Select("select account_id from task_calendar where key = #{key}")
  Long ownerOfCalendar(String key);

  /** A task that is to be done on a day. */
  record OpenTask(
      long id,
      String kind,
      String title,
      LocalDate dueOn,
      PersonId personId,
      String person,
      String phone) {}

  @Select(
      """
      select t.id, t.kind, t.title, t.due_on, p.id as person_id, p.name as person, p.phone
      from task t
      left join offered.person p on p.id = t.person_id
      where t.owner_id = #{owner} and t.done_at is null and t.due_on is not null
      order by t.due_on, t.id
      limit 2000
      """)
  List<OpenTask> openOf(long owner);

  @Delete("delete from task where id = any(#{tasks})")
  int takeBack(@Param("tasks") Long[] tasks);

  /** Those that changed. */
  @Select(
      value =
          """
          update task
          set done_at = #{at}
          where id = any(#{tasks}) and (done_at is null) = (#{at}::timestamptz is not null)
          returning id
          """,
      affectData = true)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<Long> setDone(@Param("tasks") Long[] tasks, @Param("at") Instant at);

  @Update("update task set kind = #{after} where kind = #{before}")
  int renameKind(@Param("before") String before, @Param("after") String after);

  @Update("update task set due_on = #{day} where id = any(#{tasks})")
  int move(@Param("tasks") Long[] tasks, @Param("day") LocalDate day);

  @Update(
      """
      update task set owner_id = (select id from offered.account where login = #{login})
      where id = any(#{tasks})
      """)
  int handOver(@Param("tasks") Long[] tasks, @Param("login") String login);

  @Select("select count(*) from task where owner_id = #{owner} and done_at is null")
  long countOpen(long owner);

  @Update("update task set owner_id = #{to} where owner_id = #{from} and done_at is null")
  int giveOpen(@Param("from") long from, @Param("to") long to);
}
