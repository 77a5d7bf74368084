package app.jemble.conversation;

import java.time.Instant;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** What colleagues wrote by hand to one mail. */
@Mapper
interface AnswerMapper {

  @Insert("insert into answer (id, mail_id) values (#{causeId}, #{mailId})")
  int add(@Param("causeId") long causeId, @Param("mailId") long mailId);

  /** Whoever answers a mail does so one after another. */
  @Select("select id from offered.inbound_mail where id = #{mail} for update")
  Long lock(long mail);

  /** Whether a mail answers something of a cause that is its sender's alone. */
  @Select(
      """
      select exists (
        select from offered.response r
        join offered.cause g on g.id = r.cause_id
        where r.mail_id = #{mail} and g.private)
      """)
  boolean isPrivate(long mail);

  /** Whether a colleague said just this in answer to a mail since an instant. */
  @Select(
      """
      select exists (
        select from answer a
        join offered.cause g on g.id = a.id
        join offered.wording w on w.id = g.wording_id
        where a.mail_id = #{mail} and g.sender_id = #{by} and w.body = #{body}
          and g.created_at > #{since} and g.is_released)
      """)
  boolean isSaid(
      @Param("mail") long mail,
      @Param("by") long by,
      @Param("body") String body,
      @Param("since") Instant since);

  @Select("select exists (select from answer where id = #{id})")
  boolean isAnswer(long id);
}
