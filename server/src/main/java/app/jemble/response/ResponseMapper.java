package app.jemble.response;

import app.jemble.core.response.ResponseKind;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface ResponseMapper {

  /** What a response needs to know of its message. */
  record Answered(
      long id,
      long mailingId,
      long personId,
      String address,
      String state,
      Instant sentAt,
      Instant firstTryAt,
      long topicId,
      List<String> links) {

    /** When the hand-over was made or begun. */
    Instant handedOver() {
      return sentAt != null ? sentAt : firstTryAt;
    }
  }

  String SELECT =
      """
      select s.id, s.mailing_id, s.person_id, s.address, s.state, s.sent_at, s.first_try_at,
             g.topic_id, s.links
      from message s
      join mailing g on g.id = s.mailing_id
      """;

  @Select(SELECT + "where s.token = #{token} and s.first_try_at is not null")
  Answered byToken(String token);

  @Select(SELECT + "where s.id = #{id} and s.first_try_at is not null")
  Answered byId(long id);

  @Select(
      SELECT
          + """
            where lower(s.address) = lower(#{address}) and s.sent_at is not null
              and fold(s.subject) = fold(#{subject})
            order by s.sent_at desc
            limit 1
            """)
  Answered bySenderAndSubject(@Param("address") String address, @Param("subject") String subject);

  /** Somebody who writes from another address than ours; two people of one name are nobody. */
  @Select(
      SELECT
          + """
            where s.sent_at is not null and fold(s.subject) = fold(#{subject})
              and s.person_id = (
                select min(id)
                from person
                where name_key collate "C" = fold(#{name})
                having count(*) = 1)
            order by s.sent_at desc
            limit 1
            """)
  Answered byNameAndSubject(@Param("name") String name, @Param("subject") String subject);

  /** What was sent to an address last, since an instant. */
  @Select(
      SELECT
          + """
            where lower(s.address) = lower(#{address}) and s.sent_at > #{since}
            order by s.sent_at desc
            limit 1
            """)
  Answered lastTo(@Param("address") String address, @Param("since") Instant since);

  /** Keeps two responses to one message from being judged at once. */
  @Select("select id from message where id = #{id} for update")
  Long lock(long id);

  @Insert(
      """
      insert into response (message_id, mailing_id, person_id, kind, at, detail, mail_id)
      values (#{m.id}, #{m.mailingId}, #{m.personId}, #{kind}, #{at}, #{detail}, #{mailId})
      on conflict do nothing
      """)
  int add(
      @Param("m") Answered message,
      @Param("kind") ResponseKind kind,
      @Param("at") Instant at,
      @Param("detail") String detail,
      @Param("mailId") Long mailId);

  @Select("select distinct kind from response where message_id = #{id}")
  List<ResponseKind> kinds(long id);

  /** A response is evidence that a message in doubt arrived. */
  @Update(
      """
      update message
      set standing = #{standing},
          state = case when state = 'in_doubt' then 'sent' else state end,
          sent_at = case when state = 'in_doubt' then first_try_at else sent_at end
      where id = #{id} and (standing <> #{standing} or state = 'in_doubt')
      """)
  int stand(@Param("id") long id, @Param("standing") String standing);

  @Select(
      """
      select count(*)
      from response r
      join message s on s.id = r.message_id
      where lower(s.address) = lower(#{address}) and s.sent_at is not null
        and r.kind = 'RETURNED_SOFT' and r.at > #{since}
      """)
  long softReturns(@Param("address") String address, @Param("since") Instant since);
}
