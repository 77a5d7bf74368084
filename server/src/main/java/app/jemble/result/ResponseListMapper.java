package app.jemble.result;

import app.jemble.core.record.PersonId;
import app.jemble.core.response.Standing;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

@Mapper
interface ResponseListMapper {

  /** How many messages of a mailing stand where. */
  record StandingCount(Standing standing, long messages) {}

  @Select(
      """
      select standing, count(*) as messages
      from offered.message
      where cause_id = #{mailingId} and is_sent
      group by standing
      """)
  List<StandingCount> tally(long mailingId);

  /** What a mailing's page of responses is headed with. */
  record Head(
      long id,
      String name,
      String state,
      long messages,
      long sent,
      Instant firstSent,
      Instant lastSent) {}

  @Select(
      """
      select g.id, g.name, upper(g.state) as state, count(s.id) as messages,
             count(s.id) filter (where s.is_sent) as sent,
             min(s.sent_at) as first_sent, max(s.sent_at) as last_sent
      from offered.cause g
      left join offered.message s on s.cause_id = g.id
      where g.id = #{mailingId}
      group by g.id, g.name, g.state
      """)
  Head head(long mailingId);

  /**
   * Which messages of a mailing; what is null does not matter.
   *
   * @param did READ, CLICKED or REPLIED: what a person did, whatever else came of the message
   * @param link the target of a link that a person followed
   * @param way on which it left
   * @param plan of their person; empty for those without one, as with owner and zone
   */
  record Which(
      List<String> standings,
      String did,
      String link,
      String plan,
      String tag,
      String owner,
      String zone,
      String way) {}

  @Select(
      """
      select s.id, s.person_id, p.name, p.name_key, s.standing, s.sent_at, p.time_zone,
             (select min(r.at) from offered.response r where r.message_id = s.id and r.was_read) as first_read,
             (select max(r.at) from offered.response r where r.person_id = p.id and r.is_reply) as last_reply
      from offered.message s
      join offered.person p on p.id = s.person_id
      where s.cause_id = #{mailingId} and s.is_sent
        and (#{w.standings}::text[] is null or s.standing = any(#{w.standings}))
        and (#{w.did}::text is null or case #{w.did}
               when 'READ' then s.opened when 'CLICKED' then s.clicked else s.replied end)
        and (#{w.link}::text is null or exists (
          select from offered.response r
          where r.message_id = s.id and r.is_click and r.detail = #{w.link}))
        and (#{w.plan}::text is null or coalesce((
          select m.plan from offered.membership m where m.person_id = p.id), '') = #{w.plan})
        and (#{w.tag}::text is null or #{w.tag} = any(p.tags))
        and (#{w.owner}::text is null or coalesce((
          select a.login from offered.account a where a.id = p.owner_id), '') = #{w.owner})
        and (#{w.zone}::text is null or coalesce(p.time_zone, '') = #{w.zone})
        and (#{w.way}::text is null or s.channel = #{w.way})
        and (#{afterId}::bigint is null or (p.name_key collate "C", s.id) > (#{afterKey}, #{afterId}))
      order by p.name_key collate "C", s.id
      limit #{limit}
      """)
  List<ResponseController.MessageStanding> page(
      @Param("mailingId") long mailingId,
      @Param("w") Which which,
      @Param("afterKey") String afterKey,
      @Param("afterId") Long afterId,
      @Param("limit") int limit);

  @Select(
      """
      select distinct person_id
      from offered.message
      where cause_id = #{mailingId} and is_sent and standing = any(#{standings})
      """)
  List<PersonId> people(
      @Param("mailingId") long mailingId, @Param("standings") List<String> standings);

  @Select(
      """
      select r.id, r.kind, p.id as person_id, p.name, g.id as mailing_id, g.name as mailing,
             r.message_id, s.channel, r.at, r.detail, r.away_until,
             extract(epoch from r.at - s.sent_at)::bigint as seconds_after
      from offered.response r
      join offered.person p on p.id = r.person_id
      join offered.open_cause g on g.id = r.cause_id
      join offered.message s on s.id = r.message_id
      where (#{mailingId}::bigint is null or r.cause_id = #{mailingId})
        and g.open_to = #{who}
      order by r.at desc, r.id desc
      limit #{limit}
      """)
  List<ResponseController.Latest> latest(
      @Param("mailingId") Long mailingId, @Param("who") long who, @Param("limit") int limit);

  @Select(
      """
      select g.id, g.name, min(s.sent_at) as sent_at,
             count(*) filter (where s.is_sent) as sent,
             count(*) filter (where s.to_depart) as to_depart,
             count(*) filter (where s.stands_replied) as replied,
             count(*) filter (where s.stands_read) as opened,
             count(*) filter (where s.is_quiet) as quiet,
             count(*) filter (where s.stands_returned) as returned
      from offered.open_cause g
      join offered.message s on s.cause_id = g.id
      where not g.is_draft and not g.is_answer
        and g.open_to = #{who}
      group by g.id, g.name
      order by min(s.sent_at) desc nulls first, g.id desc
      limit 100
      """)
  List<ResponseController.MailingResults> mailings(long who);
}
