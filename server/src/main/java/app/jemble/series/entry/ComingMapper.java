package app.jemble.series.entry;

import app.jemble.core.record.PersonId;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** People who come into series, are taken out, and what takes that back. */
@Mapper
interface ComingMapper {

  /** An entry, and whose. */
  record EntryOf(long id, PersonId personId) {}

  /** Of people {@code p}, with their last entry, those who are not in and may come in. */
  String WHO_MAY =
      """
      left join (
        select distinct on (e.person_id) e.person_id, e.turn, e.state, e.ended_at
        from series_entry e
        where e.series_id = #{series} and e.person_id = any(#{people})
        order by e.person_id, e.turn desc
      ) l on l.person_id = p.id
      where l.turn is null or (l.state <> 'in' and l.ended_at <= #{endedBy})
      on conflict do nothing
      """;

  /**
   * Lets people in who are not in, nor were, or whose last entry ended by an instant.
   *
   * @param lookAt when they are looked at first
   * @param endedBy null when nobody comes in again
   */
  @Select(
      """
      insert into series_entry (series_id, person_id, turn, came_by, entered_at, passed_at, look_at)
      select #{series}, p.id, coalesce(l.turn + 1, 0), #{cameBy}, #{at}, #{at}, #{lookAt}
      from unnest(#{people}::bigint[]) as p (id)
      """
          + WHO_MAY
          + "returning id, person_id")
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<EntryOf> letIn(
      @Param("series") long series,
      @Param("people") PersonId[] people,
      @Param("cameBy") String cameBy,
      @Param("at") Instant at,
      @Param("lookAt") Instant lookAt,
      @Param("endedBy") Instant endedBy);

  /** The same, each at their own instant. */
  @Select(
      """
      insert into series_entry (series_id, person_id, turn, came_by, entered_at, passed_at, look_at)
      select #{series}, p.id, coalesce(l.turn + 1, 0), #{cameBy}, to_timestamp(p.seconds),
             to_timestamp(p.seconds), to_timestamp(p.seconds)
      from unnest(#{people}::bigint[], #{seconds}::bigint[]) as p (id, seconds)
      """
          + WHO_MAY
          + "returning id, person_id")
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<EntryOf> letInAt(
      @Param("series") long series,
      @Param("people") PersonId[] people,
      @Param("seconds") Long[] seconds,
      @Param("cameBy") String cameBy,
      @Param("endedBy") Instant endedBy);

  @Select(
      """
      update series_entry
      set state = 'ended', ended_at = #{at}, ended_why = #{why}, look_at = null
      where series_id = #{series} and person_id = any(#{people}) and state = 'in'
      returning id, person_id
      """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<EntryOf> takeOut(
      @Param("series") long series,
      @Param("people") PersonId[] people,
      @Param("why") String why,
      @Param("at") Instant at);

  /** Of entries, those with whom nothing was done yet are forgotten. */
  @Delete(
      """
      delete from series_entry e
      where e.id = any(#{entries})
        and not exists (select from series_pass p where p.entry_id = e.id)
      """)
  int neverCame(@Param("entries") Long[] entries);

  /** Of entries, those that are not over are. */
  @Update(
      """
      update series_entry
      set state = 'ended', ended_at = #{at}, ended_why = #{why}, look_at = null
      where id = any(#{entries}) and state = 'in'
      """)
  int takeBack(@Param("entries") Long[] entries, @Param("why") String why, @Param("at") Instant at);

  /** Whoever was taken out goes on where they were, unless they came in again or it was ended. */
  @Update(
      """
      update series_entry e
      set state = 'in', ended_at = null, ended_why = '', look_at = #{at}
      from offered.series s
      where e.id = any(#{entries}) and e.state = 'ended' and s.id = e.series_id and not s.is_ended
        and not exists (select from series_entry o
                        where o.series_id = e.series_id and o.person_id = e.person_id
                          and o.turn > e.turn)
      """)
  int backIn(@Param("entries") Long[] entries, @Param("at") Instant at);
}
