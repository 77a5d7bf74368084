package app.jemble.response;

import app.jemble.core.message.MessageId;
import app.jemble.core.message.ShortName;
import app.jemble.core.record.PersonId;
import app.jemble.core.response.ResponseKind;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface ResponseMapper {

  String SELECT =
      """
      select s.id, s.cause_id, s.person_id, s.address, s.channel, s.state, s.sent_at, s.first_try_at,
             g.topic_id, s.links
      from offered.message s
      join offered.cause g on g.id = s.cause_id
      """;

  /** By its whole public token, or by the beginning that a short link has. */
  default Answered byToken(String token) {
    return ShortName.isOne(token) ? byShortName(token) : byWholeToken(token);
  }

  @Select(SELECT + "where s.token = #{token} and s.first_try_at is not null")
  Answered byWholeToken(String token);

  @Select(
      SELECT
          + """
            where left(s.token, 12) = #{name} and s.channel = 'TEXT'
              and s.first_try_at is not null
            limit 1
            """)
  Answered byShortName(String name);

  /**
   * What an open needs to know of its message.
   *
   * @param settled a further open changes nothing of it
   */
  record Opened(
      MessageId id,
      String token,
      long causeId,
      PersonId personId,
      Instant handedOver,
      boolean settled,
      boolean settledForMachines) {}

  @Select(
      """
      select id, token, cause_id, person_id, coalesce(sent_at, first_try_at) as handed_over,
             not in_doubt and opened as settled,
             not in_doubt and standing <> 'NOTHING' as settled_for_machines
      from offered.message
      where token = any(#{tokens}) and first_try_at is not null
      """)
  List<Opened> opened(@Param("tokens") List<String> tokens);

  /** Notes opens, a column each. */
  @Insert(
      """
      insert into response (message_id, cause_id, person_id, kind, at)
      select n.message, n.cause, n.person, n.kind, to_timestamp(n.at / 1000.0)
      from unnest(#{messages}::bigint[], #{causes}::bigint[], #{people}::bigint[],
                  #{kinds}::text[], #{atMillis}::bigint[]) as n (message, cause, person, kind, at)
      """)
  int addOpens(
      @Param("atMillis") Long[] atMillis,
      @Param("messages") MessageId[] messages,
      @Param("causes") Long[] causes,
      @Param("people") PersonId[] people,
      @Param("kinds") List<String> kinds);

  /** The kinds of responses to a message. */
  record Kinds(MessageId message, List<String> kinds) {}

  @Select(
      """
      select message_id as message, array_agg(distinct kind) as kinds
      from response
      where message_id = any(#{ids})
      group by message_id
      """)
  List<Kinds> kindsOf(@Param("ids") MessageId[] ids);

  @Select(SELECT + "where s.id = #{id} and s.first_try_at is not null")
  Answered byId(MessageId id);

  @Select(
      SELECT
          + """
            where lower(s.address) = lower(#{address}) and s.sent_at is not null
              and fold(s.subject) = fold(#{subject})
            order by s.sent_at desc, s.id desc
            limit 1
            """)
  Answered bySenderAndSubject(@Param("address") String address, @Param("subject") String subject);

  @Select(
      SELECT
          + """
            where s.channel = 'TEXT' and s.address = #{number} and s.first_try_at is not null
            order by coalesce(s.sent_at, s.first_try_at) desc, s.id desc
            limit 1
            """)
  Answered lastToNumber(String number);

  /** Somebody who writes from another address than ours; two people of one name are nobody. */
  @Select(
      SELECT
          + """
            where s.sent_at is not null and fold(s.subject) = fold(#{subject})
              and s.person_id = (
                select min(id)
                from offered.person
                where name_key collate "C" = fold(#{name})
                having count(*) = 1)
            order by s.sent_at desc, s.id desc
            limit 1
            """)
  Answered byNameAndSubject(@Param("name") String name, @Param("subject") String subject);

  /** Whether an address is on record for a person. */
  @Select(
      """
      select exists (
        select from offered.person
        where id = #{person} and email_key = lower(btrim(#{address})))
      """)
  boolean isAddressOf(@Param("person") PersonId person, @Param("address") String address);

  @Update("update response set away_until = #{day} where mail_id = #{mail}")
  int awayUntil(@Param("mail") long mail, @Param("day") LocalDate day);

  /** Of these people, those who are away on a day. */
  @Select(
      """
      select distinct person_id from response
      where person_id = any(#{people}) and away_until >= #{day}
      """)
  List<PersonId> away(@Param("people") PersonId[] people, @Param("day") LocalDate day);

  @Insert(
      """
      insert into response (message_id, cause_id, person_id, kind, at, detail, mail_id, unsure)
      values (#{m.id}, #{m.causeId}, #{m.personId}, #{kind}, #{at}, #{detail}, #{mailId},
              #{unsure})
      on conflict do nothing
      """)
  int add(
      @Param("m") Answered message,
      @Param("kind") ResponseKind kind,
      @Param("at") Instant at,
      @Param("detail") String detail,
      @Param("mailId") Long mailId,
      @Param("unsure") boolean unsure);

  /** What a mail was taken for without being sure of who wrote it; answers the messages. */
  @Select(
      affectData = true,
      value = "delete from response where mail_id = #{mail} and unsure returning message_id")
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<MessageId> dropUnsure(long mail);

  /** The same of all that came before an instant. */
  @Select(
      affectData = true,
      value = "delete from response where unsure and at < #{before} returning message_id")
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<MessageId> dropUnsureBefore(Instant before);

  /** Which links of a message were followed since an instant, by whomever. */
  @Select(
      """
      select distinct detail from response
      where message_id = #{id} and kind in ('CLICKED', 'MACHINE_CLICKED') and at >= #{since}
      """)
  List<String> followed(@Param("id") MessageId id, @Param("since") Instant since);

  /** What was opened and followed since an instant was by software after all. */
  @Update(
      """
      update response set kind = 'MACHINE_' || kind
      where message_id = #{id} and kind in ('OPENED', 'CLICKED') and at >= #{since}
      """)
  int takeForSoftware(@Param("id") MessageId id, @Param("since") Instant since);

  @Select("select distinct kind from response where message_id = #{id}")
  List<ResponseKind> kinds(MessageId id);

  /** Whether a response of a kind came to any message to an address. */
  @Select(
      """
      select exists (
        select from response r
        join offered.message s on s.id = r.message_id
        where lower(s.address) = lower(#{address}) and r.kind = #{kind})
      """)
  boolean came(@Param("address") String address, @Param("kind") ResponseKind kind);

  @Select(
      """
      select r.detail
      from response r
      join offered.message s on s.id = r.message_id
      where lower(s.address) = lower(#{address}) and r.kind = 'RETURNED_SOFT' and r.at > #{since}
      """)
  List<String> softReturns(@Param("address") String address, @Param("since") Instant since);

  @Update("update response set kind = #{kind}, unsure = false where id = #{id}")
  int take(@Param("id") long id, @Param("kind") ResponseKind kind);

  @Delete("delete from response where id = #{id}")
  int remove(long id);
}
