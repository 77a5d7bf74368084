package app.jemble.privacy;

import app.jemble.core.message.MessageId;
import app.jemble.core.reach.Channel;
import app.jemble.core.record.PersonId;
import app.jemble.storage.Sql;
import app.jemble.storage.SqlLanguage;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Lang;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

@Mapper
interface HeldMapper {

  /** Rows as JSON. */
  @Lang(SqlLanguage.class)
  @Select(SqlLanguage.GIVEN)
  List<String> rows(Sql question);

  /** A message that left, and is kept as it left. */
  record SentRow(MessageId id, Channel channel, Instant at, String subject) {}

  /** Without those of mailings that are private to another colleague. */
  @Select(
      """
      select s.id, s.channel, s.sent_at as at, coalesce(s.subject, '') as subject
      from offered.message s
      join offered.message_copy c on c.message_id = s.id
      join offered.open_cause g on g.id = s.cause_id and g.open_to = #{me}
      where s.person_id = #{person} and s.is_sent
      order by s.id
      """)
  List<SentRow> sent(@Param("person") PersonId person, @Param("me") long me);

  /** A message as it went or came. */
  record Octets(byte[] mime) {}

  @Select("select mime from offered.message_copy where message_id = #{id}")
  Octets copy(MessageId id);

  /** A mail or a text that came from the person. */
  record CameRow(long id, Channel channel, Instant at, String subject) {}

  @Select(
      """
      select i.id, i.channel, i.received_at as at, i.subject
      from offered.message s
      join offered.open_cause g on g.id = s.cause_id and g.open_to = #{me}
      join offered.response r on r.message_id = s.id
      join offered.inbound_mail i on i.id = r.mail_id
      where s.person_id = #{person}
      union
      select i.id, i.channel, i.received_at, i.subject
      from offered.message s
      join offered.open_cause g on g.id = s.cause_id and g.open_to = #{me}
      join offered.inbound_mail i on i.about_id = s.id
      where s.person_id = #{person}
      order by id
      """)
  List<CameRow> came(@Param("person") PersonId person, @Param("me") long me);

  @Select("select mime from offered.inbound_mail where id = #{id}")
  Octets mail(long id);
}
