package app.jemble.people;

import app.jemble.core.reach.Channel;
import app.jemble.core.record.PersonId;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

@Mapper
interface PersonPageMapper {

  /** The head of a person's page. */
  record PersonHead(
      PersonId id,
      String name,
      String kind,
      String email,
      String phone,
      boolean appInstalled,
      String postal,
      boolean askedNot,
      boolean doNotWrite,
      boolean doNotText,
      boolean doNotNotify,
      List<String> closed,
      Instant archivedAt,
      String pictureKey,
      PersonId mergedInto,
      String mergedIntoName,
      PersonId introducedBy,
      String introducedByName) {

    /** Whether what is on record for a channel is on the do-not-write list. */
    boolean doNotWrite(Channel channel) {
      return switch (channel) {
        case EMAIL -> doNotWrite;
        case TEXT -> doNotText;
        case APP -> doNotNotify;
        case POST -> false;
      };
    }

    /** Whether the person asked not to be written to, at all or on a channel. */
    boolean askedNot(Channel channel) {
      return askedNot || closed.contains(channel.name());
    }

    String address(Channel channel) {
      return switch (channel) {
        case EMAIL -> email;
        case TEXT -> phone;
        case APP -> appInstalled ? "installed" : null;
        case POST -> postal;
      };
    }
  }

  @Select(
      """
      select p.id, p.name, p.kind, p.email, p.phone, p.app_installed,
             case when p.address_street is not null and p.address_place is not null
                  then concat_ws(', ', p.address_street, p.address_postcode, p.address_place, p.address_country) end
               as postal,
             p.asked_not, p.suppressed as do_not_write,
             exists (select from offered.do_not_write d where d.address_key = p.phone_key) as do_not_text,
             exists (select from offered.barred_on_way b
                     where b.person_id = p.id and b.channel = 'APP') as do_not_notify,
             array(select channel from offered.not_on_way
                   where person_id = p.id and topic_id is null) as closed,
             p.archived_at,
             p.picture_key, into_one.id as merged_into, into_one.name as merged_into_name,
             by_one.id as introduced_by, by_one.name as introduced_by_name
      from offered.person p
      left join offered.person into_one on into_one.id = p.merged_into
      left join offered.person by_one on by_one.id = p.introduced_by
      where p.id = #{id} and p.erased_at is null
      """)
  PersonHead head(PersonId id);

  @Select(
      """
      select id, name, body, since::text as since, until::text as until
      from office
      where person_id = #{id}
      order by until desc nulls first, since desc nulls last, id
      """)
  List<PersonPage.OfficeHeld> offices(PersonId id);

  @Select(
      """
      select id, number, title, total || ' ' || currency as total, stage, sent_on::text as sent_on
      from quote
      where person_id = #{id}
      order by sent_on desc nulls first, id desc
      """)
  List<PersonPage.QuoteMade> quotes(PersonId id);

  @Select(
      """
      select t.id, t.kind, t.title, t.due_on::text as due_on, t.done_at is not null as done, a.name as owner
      from offered.task t
      left join offered.account a on a.id = t.owner_id
      where t.person_id = #{id}
      order by done, t.due_on nulls last, t.id desc
      limit 50
      """)
  List<PersonPage.TaskOpen> tasks(PersonId id);

  @Select(
      """
      select e.id, e.name, e.starts_at as starts, a.state as attendance
      from attendance a
      join event e on e.id = a.event_id
      where a.person_id = #{id}
      order by e.starts_at desc, e.id desc
      limit 50
      """)
  List<PersonPage.EventSeen> events(PersonId id);

  /**
   * The same address, or the same name with the same phone or postcode. Two questions, so that each
   * goes by its index.
   */
  @Select(
      """
      select distinct on (id) id, name, why
      from (
        select o.id, o.name, 'same e-mail' as why
        from offered.person p
        join offered.person o on o.email_key = p.email_key
        where p.id = #{id} and p.archived_at is null and o.id <> p.id and o.archived_at is null
        union all
        select o.id, o.name,
               case when o.phone = p.phone then 'same name and phone' else 'same name and postcode' end
        from offered.person p
        join offered.person o on o.name_key collate "C" = p.name_key collate "C"
        where p.id = #{id} and p.archived_at is null and o.id <> p.id and o.archived_at is null
          and (o.phone = p.phone or o.address_postcode = p.address_postcode)
      ) alike
      order by id, why
      limit 5
      """)
  List<PersonPage.Likely> likely(PersonId id);

  /**
   * Messages of a record that became part of this one belong to it as well. What is private is its
   * sender's alone. What is of one instant is on one page, so that the next goes on before it.
   */
  @Select(
      """
      select *
      from (
        select *
        from (
          select 'SENT' as kind, g.name as mailing, s.id as message_id, null::bigint as print_run_id,
                 s.sent_at as at, s.subject as detail
          from offered.message s
          join offered.open_cause g on g.id = s.cause_id
          where s.person_id in (select id from offered.person where id = #{id} or merged_into = #{id}) and s.is_sent
            and s.channel <> 'POST' and g.open_to = #{me}
          union all
          select 'TO_LEAVE', g.name, s.id, null, s.due_at, s.subject
          from offered.message s
          join offered.open_cause g on g.id = s.cause_id
          where s.person_id in (select id from offered.person where id = #{id} or merged_into = #{id}) and s.is_open
            and g.open_to = #{me}
          union all
          select r.kind, g.name, r.message_id, null, r.at, r.detail
          from offered.response r
          join offered.open_cause g on g.id = r.cause_id
          where r.person_id in (select id from offered.person where id = #{id} or merged_into = #{id})
            and g.open_to = #{me}
          union all
          select p.kind, i.name, i.message_id, i.run_id, (p.day + time '12:00') at time zone 'UTC', i.words
          from offered.posted i
          left join offered.open_cause g on g.id = i.cause_id and g.open_to = #{me}
          cross join lateral (values ('POSTED', i.posted_on), ('POST_RETURNED', i.returned_on)) p (kind, day)
          where i.person_id in (select id from offered.person where id = #{id} or merged_into = #{id})
            and p.day is not null and (i.cause_id is null or g.id is not null)
        ) h
        where #{before}::timestamptz is null or h.at < #{before}
        order by h.at desc
        fetch first 60 rows with ties
      ) page
      order by at desc, kind, message_id, detail
      """)
  List<PersonPage.Happening> between(
      @Param("id") PersonId id, @Param("me") long me, @Param("before") Instant before);

  /** Whether something that was posted to a person's address came back from there. */
  @Select(
      """
      select exists (select from offered.posted
                     where person_id = #{id} and address = #{address} and returned_on is not null)
      """)
  boolean cameBack(@Param("id") PersonId id, @Param("address") String address);
}
