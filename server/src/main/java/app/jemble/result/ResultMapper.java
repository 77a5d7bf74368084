package app.jemble.result;

import app.jemble.core.response.Course;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.ResultType;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.mapping.ResultSetType;
import org.apache.ibatis.session.ResultHandler;

/** What came of a mailing, from several sides. */
@Mapper
interface ResultMapper {

  /** How many people gave each sign for the first time, at the begin of a step. */
  record FirstSigns(LocalDateTime at, long read, long clicked, long replied) {}

  /** Whoever followed a link or replied has read it, if not by a mark that was fetched. */
  @Select(
      """
      select case #{step}
               when 'MINUTES' then date_bin('5 minutes', at at time zone #{zone}, timestamp '2000-01-01')
               when 'HOURS' then date_trunc('hour', at at time zone #{zone})
               else date_trunc('day', at at time zone #{zone})
             end as at,
             count(*) filter (where sign = 'READ') as read,
             count(*) filter (where sign = 'CLICKED') as clicked,
             count(*) filter (where sign = 'REPLIED') as replied
      from (
        select message_id, 'READ' as sign, min(at) as at
        from offered.response
        where cause_id = #{mailing} and was_read
        group by message_id
        union all
        select message_id, kind, min(at)
        from offered.response
        where cause_id = #{mailing} and kind in ('CLICKED', 'REPLIED')
        group by message_id, kind
      ) first
      group by 1
      order by 1
      """)
  List<FirstSigns> course(
      @Param("mailing") long mailing, @Param("step") Course.Step step, @Param("zone") String zone);

  /** When something first and last happened. */
  record Span(Instant first, Instant last) {}

  @Select(
      """
      select min(least(s.sent_at, r.at)) as first, max(greatest(s.sent_at, r.at)) as last
      from (select min(sent_at) as sent_at from offered.message
            where cause_id = #{mailing} and is_sent) s,
           (select max(at) as at from offered.response where cause_id = #{mailing}
            and was_read) r
      """)
  Span span(long mailing);

  /**
   * A link of a mailing.
   *
   * @param people who followed it
   * @param clicks how often they did
   * @param machines messages in which only software followed it
   */
  record LinkResult(String target, long people, long clicks, long machines) {}

  @Select(
      """
      select l.target, coalesce(c.people, 0) as people, coalesce(c.clicks, 0) as clicks,
             coalesce(c.machines, 0) as machines
      from (
        select distinct target
        from offered.message s, unnest(s.links) as target
        where s.cause_id = #{mailing} and s.is_sent and target <> ''
        union
        select distinct detail from offered.response
        where cause_id = #{mailing} and is_any_click
      ) l
      left join (
        select target, count(*) filter (where clicks > 0) as people, sum(clicks) as clicks,
               count(*) filter (where clicks = 0) as machines
        from (
          select detail as target, message_id,
                 count(*) filter (where is_click) as clicks
          from offered.response
          where cause_id = #{mailing} and is_any_click
          group by 1, 2
        ) of_message
        group by target
      ) c on c.target = l.target
      order by 2 desc, 3 desc, 1
      limit 100
      """)
  List<LinkResult> links(long mailing);

  /** What came of the messages to the people of one group. */
  record GroupCounts(
      String value, String label, long sent, long returned, long read, long replied) {}

  String COUNTS =
      """
      count(*) as sent,
             count(*) filter (where s.stands_returned) as returned,
             count(*) filter (where s.was_read) as read,
             count(*) filter (where s.stands_replied) as replied
      """;

  @Select(
      "select coalesce(m.plan, '') as value, coalesce(m.plan, 'no plan') as label, "
          + COUNTS
          + """
            from offered.message s
            left join offered.membership m on m.person_id = s.person_id
            where s.cause_id = #{mailing} and s.is_sent
            group by 1, 2
            order by 3 desc, 2
            """)
  List<GroupCounts> byPlan(long mailing);

  @Select(
      "select tag as value, tag as label, "
          + COUNTS
          + """
            from offered.message s
            join offered.person p on p.id = s.person_id
            cross join lateral unnest(p.tags) as tag
            where s.cause_id = #{mailing} and s.is_sent
            group by 1
            order by 3 desc, 2
            limit 100
            """)
  List<GroupCounts> byTag(long mailing);

  @Select(
      "select coalesce(w.login, '') as value, coalesce(w.name, 'no owner') as label, "
          + COUNTS
          + """
            from offered.message s
            join offered.person p on p.id = s.person_id
            left join offered.account w on w.id = p.owner_id
            where s.cause_id = #{mailing} and s.is_sent
            group by 1, 2
            order by 3 desc, 2
            """)
  List<GroupCounts> byOwner(long mailing);

  @Select(
      "select coalesce(p.time_zone, '') as value, coalesce(p.time_zone, 'zone not known') as label, "
          + COUNTS
          + """
            from offered.message s
            join offered.person p on p.id = s.person_id
            where s.cause_id = #{mailing} and s.is_sent
            group by 1, 2
            order by 3 desc, 2
            limit 100
            """)
  List<GroupCounts> byZone(long mailing);

  @Select(
      "select s.channel as value, s.channel as label, "
          + COUNTS
          + """
            from offered.message s
            where s.cause_id = #{mailing} and s.is_sent
            group by 1
            order by 3 desc, 2
            """)
  List<GroupCounts> byWay(long mailing);

  /** A mailing about the same topic that left before, with what had come of it at an age. */
  record EarlierCounts(
      long id, String name, Instant sentAt, long sent, long returned, long read, long replied) {}

  @Select(
      """
      with before as (
        select g.id, g.name, min(s.sent_at) as sent_at,
               min(s.sent_at) + make_interval(secs => #{age}) as until
        from offered.open_cause g
        join offered.cause mine on mine.id = #{mailing} and mine.topic_id = g.topic_id
        join offered.message s on s.cause_id = g.id and s.is_sent
        where g.id <> mine.id and not g.is_answer and not g.is_rule and not g.goes_on
          and g.released_at < mine.released_at
          and g.open_to = #{who}
        group by g.id, g.name
        having count(*) > 1
        order by min(s.sent_at) desc, g.id desc
        limit 10
      )
      select b.id, b.name, b.sent_at, count(*) as sent,
             count(*) filter (where r.returned and s.stands_returned) as returned,
             count(*) filter (where r.read) as read,
             count(*) filter (where r.replied) as replied
      from before b
      join offered.message s on s.cause_id = b.id and s.is_sent and s.sent_at <= b.until
      left join (
        select a.message_id, bool_or(a.was_read) as read, bool_or(a.is_reply) as replied,
               bool_or(a.is_return) as returned
        from before
        join offered.response a on a.cause_id = before.id and a.at <= before.until
        group by a.message_id
      ) r on r.message_id = s.id
      group by b.id, b.name, b.sent_at
      order by b.sent_at desc, b.id desc
      """)
  List<EarlierCounts> earlier(
      @Param("mailing") long mailing, @Param("who") long who, @Param("age") double ageSeconds);

  /** One message with what came of it, for a file. */
  record ExportRow(
      String name,
      String address,
      String state,
      String standing,
      Instant sentAt,
      Instant readAt,
      Instant clickedAt,
      Instant repliedAt,
      Instant leftAt,
      Instant returnedAt,
      String returnedWhy) {}

  @Select(
      """
      select p.name, s.address, s.shown_state as state, s.standing, s.sent_at, r.read_at,
             r.clicked_at, r.replied_at, r.left_at, r.returned_at, r.returned_why
      from offered.message s
      join offered.person p on p.id = s.person_id
      left join lateral (
        select min(at) filter (where was_read) as read_at,
               min(at) filter (where is_click) as clicked_at,
               min(at) filter (where is_reply) as replied_at,
               min(at) filter (where is_leaving) as left_at,
               min(at) filter (where is_return) as returned_at,
               min(detail) filter (where is_return)
                 as returned_why
        from offered.response
        where message_id = s.id
      ) r on true
      where s.cause_id = #{mailing}
      order by p.name_key collate "C", s.id
      """)
  @Options(fetchSize = 1000, resultSetType = ResultSetType.FORWARD_ONLY)
  @ResultType(ExportRow.class)
  void export(@Param("mailing") long mailing, ResultHandler<ExportRow> reader);
}
