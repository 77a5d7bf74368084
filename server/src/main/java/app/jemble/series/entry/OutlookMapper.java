package app.jemble.series.entry;

import app.jemble.series.entry.EntryMapper.Entry;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

@Mapper
interface OutlookMapper {

  @Select("select count(*) from series_entry where series_id = #{series} and state = 'in'")
  long in(long series);

  /** Some of those who are in it, as if drawn by lot: all of them where they are few. */
  @Select(
      """
      select id, person_id, turn, passed_step_id, passed_at,
             extract(epoch from stood_still)::float8 as stood_still, held_until
      from series_entry
      where series_id = #{series} and state = 'in'
      order by hashint8(id)
      limit #{most}
      """)
  List<Entry> some(@Param("series") long series, @Param("most") int most);

  /** Messages of other causes that are planned for a day. */
  record Planned(LocalDate day, long messages) {}

  @Select(
      """
      select (greatest(m.due_at, #{now}) at time zone #{zone})::date as day, count(*) as messages
      from offered.message m
      where m.to_depart
        and (m.due_at at time zone #{zone})::date < #{until}
        and m.cause_id not in (select cause_id from offered.series_step where series_id = #{series})
      group by 1
      """)
  List<Planned> planned(
      @Param("series") long series,
      @Param("zone") String zone,
      @Param("now") Instant now,
      @Param("until") LocalDate until);

  /** Who are in another series at the same time. */
  @Select(
      """
      select count(distinct e.person_id)
      from series_entry e
      join series_entry o on o.person_id = e.person_id and o.series_id <> e.series_id
      join offered.series s on s.id = o.series_id and s.is_active
      where e.series_id = #{series} and e.state = 'in' and o.state = 'in'
      """)
  long inOtherSeries(long series);

  /** To whom a message of something else is still to leave. */
  @Select(
      """
      select count(distinct e.person_id)
      from series_entry e
      join offered.message m on m.person_id = e.person_id and m.to_depart
      where e.series_id = #{series} and e.state = 'in'
        and m.cause_id not in (select cause_id from offered.series_step where series_id = #{series})
      """)
  long inMailings(long series);
}
