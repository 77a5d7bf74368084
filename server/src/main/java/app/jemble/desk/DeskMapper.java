package app.jemble.desk;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

@Mapper
interface DeskMapper {

  @Select(
      """
      select (select count(*) from offered.mailing g
              where state = 'draft' and not by_rule and (not g.private or g.sender_id = #{me})) as drafts,
             (select count(*) from offered.message where state in ('waiting', 'deferred')) as to_leave,
             (select count(*) from offered.response r
              join offered.mailing g on g.id = r.mailing_id
              where r.kind = 'REPLIED' and r.at > #{lately}
                and (not g.private or g.sender_id = #{me})) as replies,
             (select count(*) from offered.task
              where owner_id = #{me} and done_at is null and due_on <= #{today}) as tasks
      """)
  DeskController.Counts counts(
      @Param("lately") Instant lately, @Param("me") long me, @Param("today") LocalDate today);

  /** What a colleague is to do by a day, the oldest first; the person may be nobody. */
  @Select(
      """
      select t.id, t.kind, t.title, t.due_on, p.id as person_id, p.name as person, p.phone,
             (select max(r.at) from offered.response r
              where r.person_id = p.id and r.kind = 'REPLIED') as last_reply
      from offered.task t
      left join offered.person p on p.id = t.person_id
      where t.owner_id = #{me} and t.done_at is null and t.due_on <= #{today}
      order by t.due_on, t.id
      limit 50
      """)
  List<DeskController.DueTask> due(@Param("me") long me, @Param("today") LocalDate today);

  @Select(
      """
      select s.state as kind, count(*) as people, min(p.name) as about, g.id as mailing_id,
             g.name as mailing, max(coalesce(s.first_try_at, s.due_at)) as at, min(s.reason) as reason
      from offered.message s
      join offered.person p on p.id = s.person_id
      join offered.mailing g on g.id = s.mailing_id
      where s.state in ('in_doubt', 'refused') and s.due_at > #{since}
        and (not g.private or g.sender_id = #{me})
      group by s.state, g.id
      union all
      select 'held', count(*), min(p.name), g.id, g.name, max(s.due_at), min(s.reason)
      from offered.message s
      join offered.person p on p.id = s.person_id
      join offered.mailing g on g.id = s.mailing_id
      where s.state = 'held' and g.state = 'released' and (not g.private or g.sender_id = #{me})
      group by g.id
      union all
      select 'unplaced', count(*), min(sender), 0, '', max(received_at), min(subject)
      from offered.inbound_mail
      where placed_at is null
      having count(*) > 0
      union all
      select 'returned', count(distinct r.person_id), min(p.name), g.id, g.name, max(r.at), min(r.detail)
      from offered.response r
      join offered.person p on p.id = r.person_id
      join offered.mailing g on g.id = r.mailing_id
      where r.kind = 'RETURNED_HARD' and r.at > #{since}
        and (not g.private or g.sender_id = #{me})
      group by g.id
      order by at desc
      limit 8
      """)
  List<DeskController.Decision> decisions(@Param("since") Instant since, @Param("me") long me);

  @Select(
      """
      select g.id, g.name, count(*) as messages,
             count(*) filter (where s.state = 'sent') as sent,
             count(*) filter (where s.state in ('waiting', 'deferred')) as to_leave,
             count(*) filter (where s.standing = 'REPLIED') as replied,
             count(*) filter (where s.standing in ('OPENED', 'CLICKED')) as read,
             count(*) filter (where s.state = 'sent' and s.standing in ('NOTHING', 'MACHINE_OPENED')) as quiet,
             min(s.due_at) filter (where s.state in ('waiting', 'deferred')) as due_at,
             max(s.sent_at) as last_sent
      from offered.mailing g
      join offered.message s on s.mailing_id = g.id
      where g.state = 'released' and g.answers_mail is null
        and (not g.private or g.sender_id = #{me})
      group by g.id
      order by (count(*) filter (where s.state in ('waiting', 'deferred')) > 0) desc,
               max(s.sent_at) desc nulls first
      limit 6
      """)
  List<DeskController.UnderWay> underWay(@Param("me") long me);

  @Select(
      """
      select g.id, g.name, a.name as writer, g.created_at
      from offered.mailing g
      join offered.account a on a.id = g.created_by
      where g.state = 'draft' and not g.by_rule and (not g.private or g.sender_id = #{me})
      order by g.created_at desc
      limit 6
      """)
  List<DeskController.DraftLine> drafts(@Param("me") long me);
}
