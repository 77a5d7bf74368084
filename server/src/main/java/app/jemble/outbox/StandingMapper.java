package app.jemble.outbox;

import app.jemble.core.message.MessageId;
import app.jemble.core.message.MessageMove;
import app.jemble.core.response.Signs;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Where messages stand by what came back. */
@Mapper
interface StandingMapper {

  /** Keeps two responses to one message from being judged at once. */
  @Select("select id from message where id = #{id} for update")
  MessageId lock(MessageId id);

  @Select("select id from message where id = any(#{ids}) order by id for update")
  List<MessageId> lockAll(@Param("ids") MessageId[] ids);

  /** A response is evidence that a message in doubt arrived. */
  @Update(
      """
      update message
      set standing = #{standing},
          state = case when state = any(#{arrived.from}) then #{arrived.to} else state end,
          sent_at = case when state = any(#{arrived.from}) then first_try_at else sent_at end
      where id = #{id} and (standing <> #{standing} or state = any(#{arrived.from}))
      """)
  int stand(
      @Param("id") MessageId id,
      @Param("standing") String standing,
      @Param("arrived") MessageMove arrived);

  /** As {@link #stand} for many, with whether a person has opened each (1) or not (0). */
  @Update(
      """
      update message s
      set standing = n.standing,
          opened = s.opened or n.opened = 1,
          state = case when s.state = any(#{arrived.from}) then #{arrived.to} else s.state end,
          sent_at = case when s.state = any(#{arrived.from}) then s.first_try_at else s.sent_at end
      from unnest(#{ids}::bigint[], #{standings}::text[], #{opened}::bigint[])
        as n (id, standing, opened)
      where s.id = n.id
        and (s.standing <> n.standing or (n.opened = 1 and not s.opened)
             or s.state = any(#{arrived.from}))
      """)
  int standAll(
      @Param("ids") MessageId[] ids,
      @Param("standings") List<String> standings,
      @Param("opened") Long[] opened,
      @Param("arrived") MessageMove arrived);

  /** What filters ask of a message. */
  @Update(
      """
      update message
      set opened = #{s.opened}, clicked = #{s.clicked}, replied = #{s.replied},
          returned = #{s.returned}, has_left = #{s.left}
      where id = #{id}
      """)
  int sign(@Param("id") MessageId id, @Param("s") Signs signs);
}
