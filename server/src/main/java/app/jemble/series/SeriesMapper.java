package app.jemble.series;

import app.jemble.core.series.SeriesState;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface SeriesMapper {

  String SELECT =
      """
      select id, name, state, topic_id, sender_id, private as is_private, own_clock,
             hours::text as hours, again_days, ends_on_reply, ends_on_click,
             enters_parts::text as enters_parts, ends_parts::text as ends_parts, paused_at, version
      from series
      """;

  @Select(SELECT + "where id = #{id}")
  Series find(long id);

  @Select(SELECT + "where id = #{id} for no key update")
  Series findLocked(long id);

  /** The same, which is neither paused nor changed until the transaction ends. */
  @Select(SELECT + "where id = #{id} for share")
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  Series findShared(long id);

  @Select(
      SELECT
          + """
            where id in (select o.id from offered.open_series o where o.open_to = #{me})
            order by lower(name), id
            """)
  List<Series> all(long me);

  @Select(
      affectData = true,
      value =
          """
          insert into series (name, topic_id, own_clock, sender_id, created_at, created_by)
          values (#{name}, #{topicId}, #{ownClock}, #{by}, #{at}, #{by})
          returning id
          """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  long create(
      @Param("name") String name,
      @Param("topicId") long topicId,
      @Param("ownClock") boolean ownClock,
      @Param("by") long by,
      @Param("at") Instant at);

  /** Nothing when it is not of the version that was seen. */
  @Update(
      """
      update series
      set name = #{s.name}, topic_id = #{s.topicId}, private = #{s.isPrivate},
          own_clock = #{s.ownClock}, hours = #{s.hours}::jsonb, again_days = #{s.againDays},
          ends_on_reply = #{s.endsOnReply}, ends_on_click = #{s.endsOnClick},
          enters_parts = #{s.entersParts}::jsonb, ends_parts = #{s.endsParts}::jsonb, version = version + 1
      where id = #{s.id} and version = #{s.version}
      """)
  int write(@Param("s") Series series);

  @Update(
      """
      update series
      set state = #{to}, paused_at = #{pausedAt}, version = version + 1
      where id = #{id}
      """)
  int move(@Param("id") long id, @Param("to") SeriesState to, @Param("pausedAt") Instant pausedAt);

  @Select(
      """
      select id, series_id, place, cause_id, wait_count, wait_unit, wait_at, in_thread,
             meant::text as meant, gone_at
      from series_step
      where series_id = #{series}
      order by place
      """)
  List<SeriesStep> steps(long series);

  @Select(
      affectData = true,
      value =
          """
          insert into series_step (series_id, place, cause_id, wait_count, wait_unit, wait_at,
                                   in_thread, meant)
          values (#{s.seriesId}, #{s.place}, #{s.causeId}, #{s.waitCount}, #{s.waitUnit},
                  #{s.waitAt}, #{s.inThread}, #{s.meant}::jsonb)
          returning id
          """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  long addStep(@Param("s") SeriesStep step);

  @Update(
      """
      update series_step
      set wait_count = #{s.waitCount}, wait_unit = #{s.waitUnit}, wait_at = #{s.waitAt},
          in_thread = #{s.inThread}, meant = #{s.meant}::jsonb
      where id = #{s.id}
      """)
  int writeStep(@Param("s") SeriesStep step);

  @Update("update series_step set place = #{place} where id = #{id}")
  int place(@Param("id") long id, @Param("place") int place);

  @Update("update series_step set gone_at = #{at} where id = #{id}")
  int takeAway(@Param("id") long id, @Param("at") Instant at);

  @Update("update series_step set gone_at = null where id = #{id}")
  int putBack(long id);

  @Delete("delete from series_step where id = #{id}")
  int removeStep(long id);

  /** The series of whose step a cause is; null where it is of none. */
  @Select("select series_id from series_step where cause_id = #{cause}")
  Long ofCause(long cause);

  /** Filters of a series, or of a step, as they are stored. */
  record StoredParts(long id, String parts) {}

  @Select(
      """
      select id, ends_parts::text as parts
      from series
      where jsonb_path_exists(ends_parts, '$.**.field ? (@ == $field)',
                              jsonb_build_object('field', #{field}::text))
      order by id
      for update
      """)
  List<StoredParts> endsAbout(String field);

  @Select(
      """
      select id, enters_parts::text as parts
      from series
      where jsonb_path_exists(enters_parts, '$.**.field ? (@ == $field)',
                              jsonb_build_object('field', #{field}::text))
      order by id
      for update
      """)
  List<StoredParts> entersAbout(String field);

  @Update(
      "update series set enters_parts = #{parts}::jsonb, version = version + 1 where id = #{id}")
  int writeEnters(@Param("id") long id, @Param("parts") String parts);

  /** Active series into which people come by themselves. */
  @Select("select id from series where state = 'active' and enters_parts <> '[]' order by id")
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<Long> standing();

  @Select(
      """
      select id, meant::text as parts
      from series_step
      where jsonb_path_exists(meant, '$.**.field ? (@ == $field)',
                              jsonb_build_object('field', #{field}::text))
      order by id
      for update
      """)
  List<StoredParts> meantAbout(String field);

  @Update("update series set ends_parts = #{parts}::jsonb, version = version + 1 where id = #{id}")
  int writeEnds(@Param("id") long id, @Param("parts") String parts);

  @Update("update series_step set meant = #{parts}::jsonb where id = #{id}")
  int writeMeant(@Param("id") long id, @Param("parts") String parts);

  /** How many a colleague sends that others may know of and that have not ended. */
  @Select(
      """
      select count(*) from series
      where sender_id = #{sender} and not private and state <> #{ended}
      """)
  long countSentBy(@Param("sender") long sender, @Param("ended") SeriesState ended);

  /** What the steps of those that {@link #countSentBy} counts say. */
  @Select(
      """
      select t.cause_id
      from series_step t
      join series s on s.id = t.series_id
      where s.sender_id = #{sender} and not s.private and s.state <> #{ended}
      """)
  List<Long> stepsSentBy(@Param("sender") long sender, @Param("ended") SeriesState ended);

  @Update(
      """
      update series set sender_id = #{to}, version = version + 1
      where sender_id = #{from} and not private and state <> #{ended}
      """)
  int sendBy(@Param("from") long from, @Param("to") long to, @Param("ended") SeriesState ended);
}
