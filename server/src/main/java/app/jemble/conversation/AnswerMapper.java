package app.jemble.conversation;

import java.time.Instant;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

@Mapper
interface AnswerMapper {

  /**
   * An answer by hand, which is a mailing to one person; in a private thread it is its writer's
   * alone.
   */
  record NewAnswer(
      String name,
      String subject,
      String body,
      long topicId,
      long senderId,
      long personId,
      long mailId,
      Instant at,
      Instant heldUntil) {}

  @Select(
      affectData = true,
      value =
          """
          insert into mailing (name, subject, body, topic_id, sender_id, promotional,
                               private, audience_picks, answers_mail, count_opens, count_clicks,
                               state,
                               created_at, created_by, released_at, held_until, due_at)
          values (#{a.name}, #{a.subject}, #{a.body}, #{a.topicId}, #{a.senderId}, false,
                  coalesce((select bool_or(g.private)
                            from offered.response r join offered.mailing g on g.id = r.mailing_id
                            where r.mail_id = #{a.mailId}), false),
                  array[#{a.personId}::bigint], #{a.mailId}, false, false, 'released',
                  #{a.at}, #{a.senderId}, #{a.at}, #{a.heldUntil}, #{a.heldUntil})
          returning id
          """)
  long add(@Param("a") NewAnswer answer);

  /** Whoever answers a mail does so one after another. */
  @Select("select id from offered.inbound_mail where id = #{mail} for update")
  Long lock(long mail);

  /** Whether a colleague said just this in answer to a mail since an instant. */
  @Select(
      """
      select exists (
        select from offered.mailing
        where answers_mail = #{mail} and sender_id = #{by} and body = #{body}
          and created_at > #{since} and state = 'released')
      """)
  boolean isSaid(
      @Param("mail") long mail,
      @Param("by") long by,
      @Param("body") String body,
      @Param("since") Instant since);

  @Select(
      "select exists (select from offered.mailing where id = #{id} and answers_mail is not null)")
  boolean isAnswer(long id);

  @Delete("delete from mailing where id = #{id} and answers_mail is not null")
  int remove(@Param("id") long id);
}
