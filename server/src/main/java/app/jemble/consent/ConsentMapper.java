package app.jemble.consent;

import app.jemble.core.reach.Channel;
import app.jemble.core.record.PersonId;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

@Mapper
interface ConsentMapper {

  /** Who is not written to on a channel: not about a topic, or about none. */
  @Select(
      """
      select person_id from offered.not_on_way
      where channel = #{channel} and coalesce(topic_id, #{topicId}) = #{topicId}
      """)
  List<PersonId> notOnWay(@Param("topicId") long topicId, @Param("channel") Channel channel);

  @Select("select person_id from way_closed where channel = #{channel}")
  List<PersonId> closedOn(Channel channel);

  @Select("select topic_id from topic_left where person_id = #{personId} and channel = #{channel}")
  List<Long> topicsLeft(@Param("personId") PersonId personId, @Param("channel") Channel channel);

  @Delete(
      """
      delete from topic_left
      where person_id = #{personId} and topic_id = #{topicId} and channel = #{channel}
      """)
  int comeBack(
      @Param("personId") PersonId personId,
      @Param("topicId") long topicId,
      @Param("channel") Channel channel);

  /** The channels that a person asked not to be written to on at all. */
  @Select("select channel from way_closed where person_id = #{personId}")
  List<Channel> closed(PersonId personId);

  /** What they say themselves stands over what a colleague noted. */
  @Insert(
      """
      insert into way_closed (person_id, channel, closed_at, how, by_id)
      values (#{personId}, #{channel}, #{at}, #{how}, #{by})
      on conflict (person_id, channel) do update
      set closed_at = excluded.closed_at, how = excluded.how, by_id = null
      where excluded.by_id is null and way_closed.by_id is not null
      """)
  int close(
      @Param("personId") PersonId personId,
      @Param("channel") Channel channel,
      @Param("at") Instant at,
      @Param("how") String how,
      @Param("by") Long by);

  /**
   * A way on which somebody asked not to be written to.
   *
   * @param by the colleague who noted it; null when they said so themselves
   */
  record ClosedWay(Channel channel, Instant closedAt, String how, String by) {}

  @Select(
      """
      select w.channel, w.closed_at, w.how, a.name as by
      from way_closed w
      left join offered.account a on a.id = w.by_id
      where w.person_id = #{personId}
      """)
  List<ClosedWay> closedWays(PersonId personId);

  /** A topic that somebody left on a way. */
  record LeftTopic(Channel channel, String name) {}

  @Select(
      """
      select x.channel, t.name
      from topic_left x
      join offered.topic t on t.id = x.topic_id
      where x.person_id = #{personId}
      order by t.name
      """)
  List<LeftTopic> leftTopics(PersonId personId);

  @Select(
      "select exists (select from offered.person where id = #{personId} and archived_at is null)")
  boolean isOnRecord(PersonId personId);

  /** Those of some people who are written to on a way. */
  @Select(
      """
      select person from unnest(#{people}::bigint[]) person
      where person not in (select person_id from way_closed where channel = #{channel})
      """)
  List<PersonId> open(@Param("channel") Channel channel, @Param("people") PersonId[] people);

  /** Answers for whom it was not so before. */
  @Select(
      affectData = true,
      value =
          """
          insert into way_closed (person_id, channel, closed_at, how, by_id)
          select person, #{channel}, #{at}, #{how}, #{by} from unnest(#{people}::bigint[]) person
          on conflict do nothing
          returning person_id
          """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<PersonId> closeEach(
      @Param("channel") Channel channel,
      @Param("people") PersonId[] people,
      @Param("at") Instant at,
      @Param("how") String how,
      @Param("by") long by);

  /** As far as it was a colleague who noted it. */
  @Delete(
      """
      delete from way_closed
      where channel = #{channel} and person_id = any(#{people}) and by_id is not null
      """)
  int reopenNoted(@Param("channel") Channel channel, @Param("people") PersonId[] people);

  @Delete("delete from way_closed where person_id = #{personId} and channel = #{channel}")
  int reopen(@Param("personId") PersonId personId, @Param("channel") Channel channel);

  @Insert(
      """
      insert into topic_left (person_id, topic_id, channel, left_at)
      values (#{personId}, #{topicId}, #{channel}, #{at})
      on conflict do nothing
      """)
  int leave(
      @Param("personId") PersonId personId,
      @Param("topicId") long topicId,
      @Param("channel") Channel channel,
      @Param("at") Instant at);
}
