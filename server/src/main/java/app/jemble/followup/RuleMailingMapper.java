package app.jemble.followup;

import java.time.Instant;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface RuleMailingMapper {

  @Select(
      affectData = true,
      value =
          """
          insert into mailing (name, subject, body, topic_id, sender_id, follows_id, by_rule,
                               private, created_at, created_by)
          select g.name || ', follow-up', g.subject, #{body}, g.topic_id, g.sender_id, g.id, true,
                 g.private, #{at}, g.sender_id
          from offered.mailing g
          where g.id = #{parent}
          returning id
          """)
  long add(@Param("parent") long parent, @Param("body") String body, @Param("at") Instant at);

  @Update(
      """
      update mailing set body = #{body}, version = version + 1
      where id = #{id} and by_rule and body <> #{body}
      """)
  int write(@Param("id") long id, @Param("body") String body);

  /** It is sent as the mailing it follows is, and released with it. */
  @Update(
      """
      update mailing c
      set name = g.name || ', ' || #{name}, subject = g.subject, topic_id = g.topic_id,
          sender_id = g.sender_id, letterhead_id = g.letterhead_id, promotional = g.promotional,
          voice = g.voice, replies_to = g.replies_to, reply_colleague = g.reply_colleague,
          private = g.private, record_kind = g.record_kind, record_ids = g.record_ids,
          record_each = g.record_each, count_opens = g.count_opens, count_clicks = g.count_clicks,
          plan = #{plan}::jsonb, state = 'released', released_at = #{at}, held_until = #{at},
          due_at = #{at}, version = c.version + 1
      from offered.mailing g
      where c.id = #{id} and c.by_rule and g.id = c.follows_id and c.state in ('draft', 'withdrawn')
      """)
  int release(
      @Param("id") long id,
      @Param("name") String name,
      @Param("plan") String plan,
      @Param("at") Instant at);

  @Delete("delete from mailing where id = #{id} and by_rule")
  int remove(long id);
}
