package app.jemble.mailing;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

@Mapper
interface MailingMapper {

  /** What rules send is listed with the mailings, once it has sent something. */
  @Select(
      """
      select g.id, g.name, w.subject, upper(g.state) as state, a.name as sender_name,
             g.released_at, g.held_until, g.due_at, g.created_at,
             coalesce(c.messages, 0) as messages, coalesce(c.sent, 0) as sent,
             coalesce(c.to_depart, 0) as to_depart, coalesce(c.replied, 0) as replied
      from offered.open_cause g
      join offered.wording w on w.id = g.wording_id
      join offered.account a on a.id = g.sender_id
      left join (
        select cause_id, count(*) as messages,
               count(*) filter (where is_sent) as sent,
               count(*) filter (where to_depart) as to_depart,
               count(*) filter (where stands_replied) as replied
        from offered.message
        group by cause_id
      ) c on c.cause_id = g.id
      where g.open_to = #{who} and not g.is_discarded
        and (g.is_mailing or (g.is_rule and c.messages > 0))
        and (#{templateId}::bigint is null or w.template_id = #{templateId})
      order by g.released_at desc nulls first, g.id desc
      limit 200
      """)
  List<MailingRow> all(@Param("who") long who, @Param("templateId") Long templateId);
}
