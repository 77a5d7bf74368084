package app.jemble.mailing;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface SummaryMapper {

  /** Released mailings to more than one person whose last message has left, or cannot. */
  @Select(
      """
      select g.id
      from mailing g
      where g.summed_up_at is null and g.state = 'released' and not g.by_rule
        and not exists (select from mailing_release r where r.mailing_id = g.id)
        and not exists (
          select from message s
          where s.mailing_id = g.id and s.state in ('waiting', 'deferred', 'held'))
        and (select count(*) from (
               select from message s where s.mailing_id = g.id and s.state <> 'withdrawn' limit 2) m) = 2
      order by g.id
      """)
  List<Long> toSumUp();

  /** Answers 0 when another process has done so. */
  @Update("update mailing set summed_up_at = #{now} where id = #{id} and summed_up_at is null")
  int summedUp(@Param("id") long id, @Param("now") Instant now);

  @Update("update mailing set summed_up_at = null where id = #{id}")
  int notSummedUp(long id);

  /** What became of a mailing's messages. */
  record Sums(
      String name,
      String sender,
      String address,
      long sent,
      long refused,
      long inDoubt,
      long withdrawn,
      long returned) {}

  @Select(
      """
      select g.name, a.name as sender, a.email as address,
             count(*) filter (where s.state = 'sent') as sent,
             count(*) filter (where s.state = 'refused') as refused,
             count(*) filter (where s.state = 'in_doubt') as in_doubt,
             count(*) filter (where s.state = 'withdrawn') as withdrawn,
             count(*) filter (where s.standing = 'RETURNED') as returned
      from mailing g
      join account a on a.id = g.sender_id
      join message s on s.mailing_id = g.id
      where g.id = #{id}
      group by g.id, a.id
      """)
  Sums sums(long id);
}
