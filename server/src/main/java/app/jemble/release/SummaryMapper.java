package app.jemble.release;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

@Mapper
interface SummaryMapper {

  /** Released mailings to more than one person whose last message has left, or cannot. */
  @Select(
      """
      select g.id
      from offered.cause g
      where g.is_released and g.is_mailing
        and not exists (select from mailing_summary m where m.mailing_id = g.id)
        and not exists (select from mailing_release r where r.mailing_id = g.id)
        and not exists (
          select from offered.message s
          where s.cause_id = g.id and s.is_open)
        and (select count(*) from (
               select from offered.message s where s.cause_id = g.id and not s.is_withdrawn limit 2) m) = 2
      order by g.id
      """)
  List<Long> toSumUp();

  /** Its sender is told; answers 0 when another process has done so. */
  @Insert(
      """
      insert into mailing_summary (mailing_id, summed_up_at)
      values (#{id}, #{now})
      on conflict do nothing
      """)
  int summedUp(@Param("id") long id, @Param("now") Instant now);

  @Delete("delete from mailing_summary where mailing_id = #{id}")
  int notSummedUp(long id);

  /** Who sends it. */
  @Select("select sender_id from offered.cause where id = #{id}")
  long sender(long id);

  /** What became of a mailing's messages. */
  record Sums(String name, long sent, long refused, long inDoubt, long withdrawn, long returned) {}

  /** Null when there are none. */
  @Select(
      """
      select g.name,
             count(*) filter (where s.is_sent) as sent,
             count(*) filter (where s.is_refused) as refused,
             count(*) filter (where s.in_doubt) as in_doubt,
             count(*) filter (where s.is_withdrawn) as withdrawn,
             count(*) filter (where s.stands_returned) as returned
      from offered.cause g
      join offered.message s on s.cause_id = g.id
      where g.id = #{id}
      group by g.name
      """)
  Sums sums(long id);
}
