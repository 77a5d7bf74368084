package app.jemble.release;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface SummaryMapper {

  /** Released mailings to more than one person whose last message has left, or cannot. */
  @Select(
      """
      select g.id
      from offered.mailing g
      where g.summed_up_at is null and g.state = 'released' and not g.by_rule
        and not exists (select from mailing_release r where r.mailing_id = g.id)
        and not exists (
          select from offered.message s
          where s.mailing_id = g.id and s.state in ('waiting', 'deferred', 'held'))
        and (select count(*) from (
               select from offered.message s where s.mailing_id = g.id and s.state <> 'withdrawn' limit 2) m) = 2
      order by g.id
      """)
  List<Long> toSumUp();

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
      from offered.mailing g
      join offered.account a on a.id = g.sender_id
      join offered.message s on s.mailing_id = g.id
      where g.id = #{id}
      group by g.id, a.id
      """)
  Sums sums(long id);
}
