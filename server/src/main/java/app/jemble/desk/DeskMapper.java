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
      select (select count(*) from offered.open_cause g
              where g.is_draft and not g.is_rule and not g.goes_on and g.open_to = #{me}) as drafts,
             (select count(*) from offered.message where to_depart) as to_depart,
             (select count(*) from offered.response r
              join offered.open_cause g on g.id = r.cause_id
              where r.is_reply and r.at > #{lately}
                and g.open_to = #{me}) as replies,
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
              where r.person_id = p.id and r.is_reply) as last_reply
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
      join offered.open_cause g on g.id = s.cause_id
      where (s.in_doubt or s.is_refused) and s.due_at > #{since}
        and g.open_to = #{me}
      group by s.state, g.id, g.name
      union all
      select s.state, count(*), min(p.name), g.id, g.name, max(s.due_at), min(s.reason)
      from offered.message s
      join offered.person p on p.id = s.person_id
      join offered.open_cause g on g.id = s.cause_id
      where s.is_held and g.is_released and g.open_to = #{me}
      group by s.state, g.id, g.name
      union all
      select 'unplaced', count(*), min(sender), 0, '', max(received_at), min(subject)
      from offered.inbound_mail
      where placed_at is null
      having count(*) > 0
      union all
      select 'signed_up', count(*), min(p.name), l.page_id, l.page, max(l.confirmed_at), ''
      from offered.sign_up_to_look_at l
      join offered.person p on p.id = l.person_id
      group by l.page_id, l.page
      union all
      select 'returned', count(distinct r.person_id), min(p.name), g.id, g.name, max(r.at), min(r.detail)
      from offered.response r
      join offered.person p on p.id = r.person_id
      join offered.open_cause g on g.id = r.cause_id
      where r.is_hard_return and r.at > #{since}
        and g.open_to = #{me}
      group by g.id, g.name
      order by at desc, 1, 4
      limit 8
      """)
  List<DeskController.Decision> decisions(@Param("since") Instant since, @Param("me") long me);

  @Select(
      """
      select g.id, g.name, count(*) as messages,
             count(*) filter (where s.is_sent) as sent,
             count(*) filter (where s.to_depart) as to_depart,
             count(*) filter (where s.stands_replied) as replied,
             count(*) filter (where s.stands_read) as read,
             count(*) filter (where s.is_quiet) as quiet,
             min(s.due_at) filter (where s.to_depart) as due_at,
             max(s.sent_at) as last_sent
      from offered.open_cause g
      join offered.message s on s.cause_id = g.id
      where g.is_released and not g.is_answer and not g.goes_on
        and g.open_to = #{me}
      group by g.id, g.name
      order by (count(*) filter (where s.to_depart) > 0) desc,
               max(s.sent_at) desc nulls first, g.id desc
      limit 6
      """)
  List<DeskController.UnderWay> underWay(@Param("me") long me);

  @Select(
      """
      select g.id, g.name, a.name as writer, g.created_at
      from offered.open_cause g
      join offered.account a on a.id = g.created_by
      where g.is_draft and not g.is_rule and not g.goes_on and g.open_to = #{me}
      order by g.created_at desc, g.id desc
      limit 6
      """)
  List<DeskController.DraftLine> drafts(@Param("me") long me);
}
