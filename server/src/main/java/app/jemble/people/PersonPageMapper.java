package app.jemble.people;

import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface PersonPageMapper {

  /** The head of a person's page. */
  record PersonHead(
      long id,
      String name,
      String kind,
      String plan,
      LocalDate joinedOn,
      String email,
      String phone,
      String timeZone,
      String place,
      String organisation,
      List<String> tags,
      boolean askedNot,
      boolean doNotWrite) {}

  @Select(
      """
      select p.id, p.name, p.kind, m.plan, m.joined_on, p.email, p.phone, p.time_zone,
             p.address_place as place, o.name as organisation, p.tags, p.asked_not,
             d.email_key is not null as do_not_write
      from person p
      left join membership m on m.person_id = p.id
      left join organisation o on o.id = p.organisation_id
      left join do_not_write d on d.email_key = p.email_key
      where p.id = #{id}
      """)
  PersonHead head(long id);

  @Select(
      """
      select 'SENT' as kind, g.name as mailing, s.id as message_id, s.sent_at as at, '' as detail
      from message s
      join mailing g on g.id = s.mailing_id
      where s.person_id = #{id} and s.state = 'sent'
      union all
      select r.kind, g.name, r.message_id, r.at, r.detail
      from response r
      join mailing g on g.id = r.mailing_id
      where r.person_id = #{id}
      order by at desc
      limit 40
      """)
  List<PersonPage.Happening> between(long id);
}
