package app.jemble.cause;

import app.jemble.core.message.CauseState;
import app.jemble.core.reach.Ways;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface CauseMapper {

  String SELECT =
      """
      select id, kind, name, topic_id, sender_id, private as is_private, follows_id, wording_id, ways,
             state, released_at, held_until, due_at, paused_at, version
      from cause
      where id = #{id}
      """;

  @Select(SELECT)
  Cause find(long id);

  @Select(SELECT + "for no key update")
  Cause findLocked(long id);

  @Select(
      affectData = true,
      value =
          """
          insert into cause (kind, name, topic_id, sender_id, private, follows_id, wording_id,
                             created_at, created_by)
          values (#{c.kind}, #{c.name}, #{c.topicId}, #{c.senderId}, #{c.isPrivate},
                  #{c.followsId}, #{wordingId}, #{at}, #{c.senderId})
          returning id
          """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  long create(
      @Param("c") NewCause cause, @Param("wordingId") long wordingId, @Param("at") Instant at);

  @Update(
      """
      update cause
      set name = #{name}, topic_id = #{topicId}, private = #{isPrivate}, version = version + 1
      where id = #{id} and version = #{version} and state = #{draft}
      """)
  int write(
      @Param("id") long id,
      @Param("version") int version,
      @Param("name") String name,
      @Param("topicId") long topicId,
      @Param("isPrivate") boolean isPrivate,
      @Param("draft") CauseState draft);

  /** What its rules send is its sender's alone when it is. */
  @Update(
      """
      update cause c
      set private = g.private
      from cause g
      where g.id = #{id} and c.follows_id = g.id and c.kind = #{rule} and c.private <> g.private
      """)
  int shareWithRules(@Param("id") long id, @Param("rule") Cause.Kind rule);

  /** By which ways its messages go from now on. */
  @Update("update cause set ways = #{ways} where id = #{id}")
  int goBy(@Param("id") long id, @Param("ways") Ways ways);

  /** Whoever is writing at it meanwhile is told that it was changed elsewhere. */
  @Update("update cause set version = version + 1 where id = any(#{ids})")
  int touch(@Param("ids") Long[] ids);

  @Update(
      """
      update cause
      set state = #{to}, version = version + 1
      where id = #{id} and state = #{from}
      """)
  int move(@Param("id") long id, @Param("from") CauseState from, @Param("to") CauseState to);

  /** The instants of a release. */
  record Release(Instant at, Instant heldUntil, Instant dueAt) {}

  @Update(
      """
      update cause
      set state = #{to}, released_at = #{r.at}, held_until = #{r.heldUntil}, due_at = #{r.dueAt},
          version = version + 1
      where id = #{id} and state = #{from}
      """)
  int release(
      @Param("id") long id,
      @Param("from") CauseState from,
      @Param("to") CauseState to,
      @Param("r") Release release);

  /** As if it had never been released. */
  @Update(
      """
      update cause
      set state = #{draft}, released_at = null, held_until = null, due_at = null, paused_at = null,
          version = version + 1
      where id = #{id} and state = #{released}
      """)
  int takeBack(
      @Param("id") long id,
      @Param("released") CauseState released,
      @Param("draft") CauseState draft);

  /** It is sent as another cause is. */
  @Update(
      """
      update cause
      set name = #{c.name}, topic_id = #{c.topicId}, sender_id = #{c.senderId},
          private = #{c.isPrivate}
      where id = #{id}
      """)
  int become(@Param("id") long id, @Param("c") NewCause cause);

  /** It is held from when it is all there. */
  @Update(
      """
      update cause
      set held_until = greatest(held_until, #{heldUntil}), version = version + 1
      where id = #{id} and state = #{released}
      """)
  int written(
      @Param("id") long id,
      @Param("heldUntil") Instant heldUntil,
      @Param("released") CauseState released);

  @Update("update cause set paused_at = #{at} where id = #{id}")
  int pause(@Param("id") long id, @Param("at") Instant at);

  @Select(affectData = true, value = "delete from cause where id = #{id} returning wording_id")
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<Long> remove(long id);

  @Delete("delete from wording where id = any(#{ids})")
  int removeWordings(@Param("ids") Long[] ids);

  /** How many of a kind and in a state a colleague sends that others may know of. */
  @Select(
      """
      select count(*) from cause
      where sender_id = #{sender} and not private and kind = #{kind} and state = #{state}
      """)
  long count(
      @Param("sender") long sender,
      @Param("kind") Cause.Kind kind,
      @Param("state") CauseState state);

  /** Those that {@link #count} counts are another's from now on. */
  @Update(
      """
      update cause set sender_id = #{to}, version = version + 1
      where sender_id = #{from} and not private and kind = #{kind} and state = #{state}
      """)
  int giveAll(
      @Param("from") long from,
      @Param("to") long to,
      @Param("kind") Cause.Kind kind,
      @Param("state") CauseState state);

  /** These are another's from now on, with what their rules send. */
  @Update(
      """
      update cause set sender_id = #{to}, version = version + 1
      where id = any(#{ids}) or (follows_id = any(#{ids}) and kind = #{rule})
      """)
  int give(@Param("ids") Long[] ids, @Param("to") long to, @Param("rule") Cause.Kind rule);

  /** Replies to these kinds of causes that would go to one colleague go to another. */
  @Update(
      """
      update wording w set reply_colleague = #{to}
      from cause c
      where c.wording_id = w.id and w.reply_colleague = #{from}
        and c.kind = #{kind} and c.state = #{state}
      """)
  int replyTo(
      @Param("from") long from,
      @Param("to") long to,
      @Param("kind") Cause.Kind kind,
      @Param("state") CauseState state);

  /** Replies to these that would go to one colleague go to another. */
  @Update(
      """
      update wording w set reply_colleague = #{to}
      from cause c
      where c.wording_id = w.id and w.reply_colleague = #{from} and c.id = any(#{ids})
      """)
  int replyOf(@Param("ids") Long[] ids, @Param("from") long from, @Param("to") long to);
}
